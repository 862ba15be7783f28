import { type CrewRules, crewRulesInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useList, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Loaded } from '../kit/states.tsx';
import { CrewPaths } from './CrewPaths.tsx';

/** What the garden asks of its crew: children for each grown person, and the agreement of plot holders. */
export default function CrewRulesPage() {
  const { t } = useTranslation('plots');
  const rules = useList('crewRules');
  return (
    <div className="flex flex-col gap-6">
      <h1>{t('rulesOf.title')}</h1>
      <CrewPaths />
      <p className="max-w-prose text-ink-soft">{t('rulesOf.lead')}</p>
      <Loaded of={rules}>{(now) => <Form key={now.version} rules={now} />}</Loaded>
    </div>
  );
}

function Form({ rules }: { rules: CrewRules }) {
  const { t } = useTranslation(['plots', 'kit']);
  const save = useWrite('saveCrewRules', () => t('plots:rulesOf.saved'));
  const valuesOf = ({ childRatio, agreement, remindDays, pastNames }: CrewRules) => ({
    childRatio: String(childRatio),
    remindDays: remindDays === null ? '' : String(remindDays),
    agreement,
    pastNames,
  });
  const form = useBodyForm({
    schema: crewRulesInput,
    defaults: valuesOf(rules),
    version: rules.version ?? undefined,
    toValues: valuesOf,
    toBody: (values, read) => ({
      childRatio: read.number('childRatio', values.childRatio),
      remindDays: values.remindDays.trim() === '' ? null : read.number('remindDays', values.remindDays),
      agreement: values.agreement,
      pastNames: values.pastNames,
    }),
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  const { errors } = form.formState;
  return (
    <form onSubmit={form.submit} noValidate className="flex max-w-2xl flex-col gap-4">
      <Field
        label={t('plots:rulesOf.childRatio')}
        hint={t('plots:rulesOf.childRatioHint')}
        error={errors.childRatio?.message}
      >
        {(props) => (
          <input {...props} {...form.register('childRatio')} inputMode="numeric" className="input w-24" />
        )}
      </Field>
      <Field
        label={t('plots:rulesOf.remindDays')}
        hint={t('plots:rulesOf.remindDaysHint')}
        error={errors.remindDays?.message}
      >
        {(props) => (
          <input {...props} {...form.register('remindDays')} inputMode="numeric" className="input w-24" />
        )}
      </Field>
      <Field label={t('plots:rulesOf.pastNames')} error={errors.pastNames?.message}>
        {(props) => (
          <select {...props} {...form.register('pastNames')} className="input max-w-xs">
            {(['full', 'initials'] as const).map((one) => (
              <option key={one} value={one}>
                {t(`plots:rulesOf.pastNamesChoice.${one}`)}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field
        label={t('plots:rulesOf.agreement')}
        hint={t('plots:rulesOf.agreementHint')}
        error={errors.agreement?.message}
      >
        {(props) => <textarea {...props} {...form.register('agreement')} rows={12} className="input" />}
      </Field>
      <RefusedNote refused={form.refused} clash={form.clash} />
      <Button type="submit" look="act" className="self-start" disabled={form.busy}>
        {t('kit:save')}
      </Button>
    </form>
  );
}
