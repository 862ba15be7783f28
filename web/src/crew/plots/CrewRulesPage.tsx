import { type CrewRules, crewRulesInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { useList, useWrite } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Loaded, Screen } from '../../kit/screens/index.ts';

/** What the garden asks of its crew: children for each grown person, and the agreement of plot holders. */
export default function CrewRulesPage() {
  const { t } = useTranslation('plots');
  const rules = useList('crewRules');
  return (
    <Screen title={t('rulesOf.title')}>
      <PlacePaths of="plots" />
      <p className="max-w-prose text-ink-soft">{t('rulesOf.lead')}</p>
      <Loaded of={rules}>{(now) => <RulesForm rules={now} />}</Loaded>
    </Screen>
  );
}

function RulesForm({ rules }: { rules: CrewRules }) {
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
    draft: 'crew rules',
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
  return (
    <Form of={form} className="flex max-w-2xl flex-col gap-4">
      <Field label={t('plots:rulesOf.childRatio')} hint={t('plots:rulesOf.childRatioHint')} name="childRatio">
        {(props) => (
          <input {...props} {...form.register('childRatio')} inputMode="numeric" className="input w-24" />
        )}
      </Field>
      <Field label={t('plots:rulesOf.remindDays')} hint={t('plots:rulesOf.remindDaysHint')} name="remindDays">
        {(props) => (
          <input {...props} {...form.register('remindDays')} inputMode="numeric" className="input w-24" />
        )}
      </Field>
      <Field label={t('plots:rulesOf.pastNames')} name="pastNames">
        {(props) => (
          <Select
            {...props}
            {...form.control('pastNames')}
            className="max-w-xs"
            options={(['full', 'initials'] as const).map((one) => ({
              value: one,
              label: t(`plots:rulesOf.pastNamesChoice.${one}`),
            }))}
          />
        )}
      </Field>
      <Field label={t('plots:rulesOf.agreement')} hint={t('plots:rulesOf.agreementHint')} name="agreement">
        {(props) => <textarea {...props} {...form.register('agreement')} rows={12} className="input" />}
      </Field>
      <FormFaults />
      <Button type="submit" look="act" className="self-start" disabled={form.busy}>
        {t('kit:save')}
      </Button>
    </Form>
  );
}
