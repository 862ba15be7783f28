import { type Bed, tenureInput, tenureKinds } from '@unity-acre/contract/ground';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm } from '../kit/form.tsx';
import { presentPeople, useList, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { tenureIn } from './bedShape.ts';

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
    schema: tenureInput,
    defaults: { kind: tenure?.kind ?? ('plot' as const), personId: tenure?.personId ?? '' },
    version: tenure?.version,
    toBody: ({ kind, personId }) => ({ kind, personId: personId || null }),
    send: (body, ifMatch) => save.mutateAsync({ params: { bedId: bed.id, year }, body, ifMatch }),
  });
  const { errors } = form.formState;
  return (
    <form onSubmit={form.submit} noValidate className="mt-1 flex flex-col gap-3">
      <Field label={t('ground:tenureKind')} error={errors.kind?.message}>
        {(props) => (
          <select {...props} {...form.register('kind')} className="input">
            {tenureKinds.map((kind) => (
              <option key={kind} value={kind}>
                {t(`ground:tenure.${kind}`)}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label={t('ground:holder')} error={errors.personId?.message}>
        {(props) => (
          <select {...props} {...form.register('personId')} className="input">
            <option value="">{t('ground:nobody')}</option>
            {presentPeople(people.data, tenure?.personId).map((person) => (
              <option key={person.id} value={person.id}>
                {person.name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <RefusedNote refused={form.refused} />
      <Button type="submit" disabled={form.busy} className="self-start">
        {t('ground:give')}
      </Button>
    </form>
  );
}
