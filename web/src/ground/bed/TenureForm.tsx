import { type Bed, tenureInput, tenureKinds } from '@unity-acre/contract/ground';
import { useTranslation } from 'react-i18next';
import { PersonSelect, presentPeople, tenureIn, useList, useWrite } from '../../garden/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';

/** Gives a bed to somebody, or to everybody, for a season. */
export function TenureForm({ bed, year }: { bed: Bed; year: number }) {
  const { t } = useTranslation(['ground', 'kit']);
  const people = useList('people');
  const tenure = tenureIn(bed, year);
  const save = useWrite('saveTenure', ({ data }) => {
    const now = tenureIn(data, year);
    return now?.holder
      ? t('ground:given', { bed: data.name, who: now.holder, year })
      : t('ground:heldAs', { bed: data.name, tenure: t(`ground:tenure.${now?.kind ?? 'none'}`), year });
  });
  const form = useBodyForm({
    draft: `tenure ${bed.id} ${year}`,
    schema: tenureInput,
    defaults: { kind: tenure?.kind ?? ('plot' as const), personId: tenure?.personId ?? '' },
    version: tenure?.version,
    toBody: ({ kind, personId }) => ({ kind, personId: personId || null }),
    send: (body, ifMatch) => save.mutateAsync({ params: { bedId: bed.id, year }, body, ifMatch }),
  });
  return (
    <Form of={form} className="mt-1 flex flex-col gap-3">
      <Field label={t('ground:tenureKind')} name="kind">
        {(props) => (
          <Select
            {...props}
            {...form.control('kind')}
            options={tenureKinds.map((kind) => ({ value: kind, label: t(`ground:tenure.${kind}`) }))}
          />
        )}
      </Field>
      <Field label={t('ground:holder')} name="personId">
        {(props) => (
          <PersonSelect
            {...props}
            {...form.control('personId')}
            none={t('ground:nobody')}
            people={presentPeople(people.data, tenure?.personId)}
          />
        )}
      </Field>
      <FormFaults />
      <Button type="submit" disabled={form.busy} className="self-start">
        {t('ground:give')}
      </Button>
    </Form>
  );
}
