import { type MyTimes, type MyTimesInput, myTimesInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { useHere, useList, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm, useRemedy } from '../../kit/forms/index.ts';
import { Loaded, Screen } from '../../kit/screens/index.ts';
import { AvailabilityField, listsOf, Strains, type WillingBy, willingOf } from '../people/index.ts';

interface Values {
  availability: MyTimesInput['availability'];
  strain: WillingBy;
  mostPerWeek: string;
}

const valuesOf = (times: MyTimesInput): Values => ({
  availability: times.availability,
  strain: willingOf(times),
  mostPerWeek: times.mostPerWeek === null ? '' : String(times.mostPerWeek / 60),
});

/** When one can come oneself, how much, and what is hard on one: said without asking a coordinator. */
export default function MyTimesPage() {
  const { t } = useTranslation('people');
  const times = useList('myTimes');
  return (
    <Screen title={t('mine.title')}>
      <p className="max-w-prose text-ink-soft">{t('mine.lead')}</p>
      <Loaded of={times}>{(mine) => <TimesForm mine={mine} />}</Loaded>
    </Screen>
  );
}

function TimesForm({ mine }: { mine: MyTimes }) {
  const { t } = useTranslation(['people', 'kit']);
  const { garden } = useHere();
  const remedy = useRemedy();
  const save = useWrite('saveMyTimes', () => t('people:mine.saved'));
  const form = useBodyForm<Values, MyTimesInput>({
    schema: myTimesInput,
    draft: 'my times',
    defaults: valuesOf(mine),
    version: mine.version,
    toValues: valuesOf,
    toBody: (values, read) => ({
      availability: values.availability,
      ...listsOf(values.strain),
      mostPerWeek:
        values.mostPerWeek.trim() === ''
          ? null
          : Math.round(read.number('mostPerWeek', values.mostPerWeek) * 60),
    }),
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  const { errors } = form.formState;
  return (
    <Form of={form} className="flex max-w-xl flex-col gap-6">
      <AvailabilityField
        value={form.watch('availability')}
        today={garden.today}
        onChange={(availability) => form.put({ availability })}
      />
      {errors.availability && (
        <p role="alert" className="text-beet text-sm">
          {remedy(String(errors.availability.message))}
        </p>
      )}
      <Strains value={form.watch('strain')} onChange={(strain) => form.put({ strain })} />
      <Field label={t('people:mostPerWeek')} name="mostPerWeek">
        {(props) => (
          <input {...props} {...form.register('mostPerWeek')} inputMode="decimal" className="input w-32" />
        )}
      </Field>
      <FormFaults />
      <Button type="submit" look="act" disabled={form.busy} className="self-start">
        {t('kit:save')}
      </Button>
    </Form>
  );
}
