import { useTranslation } from 'react-i18next';
import { DateField, Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';
import type { RoundForm } from './RoundSheet.tsx';
import { repeats } from './repeat.ts';

/** When a round is first due, how often it comes again, until when, and how many days there are for it. */
export function WhenFields({ form }: { form: RoundForm }) {
  const { t } = useTranslation('day');
  return (
    <div className="grid grid-cols-2 items-start gap-4">
      <Field label={t('care.first')} name="first">
        {(props) => <DateField {...props} {...form.control('first')} />}
      </Field>
      <Field label={t('care.span')} name="span">
        {(props) => <input {...props} {...form.register('span')} inputMode="numeric" className="input" />}
      </Field>
      <Field label={t('care.repeat')} name="repeat">
        {(props) => (
          <Select
            {...props}
            {...form.control('repeat')}
            options={repeats.map((repeat) => ({ value: repeat, label: t(`care.repeats.${repeat}`) }))}
          />
        )}
      </Field>
      <Field label={t('care.until')} hint={t('care.untilHint')} name="until">
        {(props) => <DateField {...props} {...form.control('until')} />}
      </Field>
      {form.watch('repeat') === 'days' && (
        <Field label={t('care.every')} name="every">
          {(props) => <input {...props} {...form.register('every')} inputMode="numeric" className="input" />}
        </Field>
      )}
    </div>
  );
}
