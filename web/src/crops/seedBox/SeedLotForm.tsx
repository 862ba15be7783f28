import { type SeedLot, seedLotInput, seedUnits } from '@unity-acre/contract/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useWrite } from '../../garden/index.ts';
import { Checkbox, DateField, Select } from '../../kit/controls/index.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { FootedForm } from '../../kit/screens/index.ts';
import { CropVarietySelect } from '../CropVarietySelect.tsx';
import { useCatalogue } from '../catalogue.ts';
import { useCropNames } from '../names.ts';

/** A lot by its numbers. */
export function SeedLotForm({ lot, year, onDone }: { lot: SeedLot | null; year: number; onDone(): void }) {
  const { t } = useTranslation(['seedBox', 'kit']);
  const catalogue = useCatalogue();
  const names = useCropNames();
  const [id] = useState(() => lot?.id ?? newId());
  const save = useWrite('saveSeedLot', ({ data }) => t('seedBox:saved', { crop: names.crop(data.cropId) }));
  const remove = useWrite('removeSeedLot', () => t('seedBox:removed'));
  const first = names.sorted(catalogue.crops)[0]!;
  const valuesOf = (row: SeedLot) => ({
    ...row,
    year: String(row.year),
    amount: String(row.amount),
    germination: row.germination === null ? '' : String(Math.round(row.germination * 100)),
    testedOn: row.testedOn ?? '',
  });
  const form = useBodyForm<
    Omit<ReturnType<typeof valuesOf>, 'id' | 'version'>,
    ReturnType<typeof seedLotInput.parse>
  >({
    draft: `seed lot ${lot?.id ?? 'new'}`,
    schema: seedLotInput,
    defaults: lot
      ? valuesOf(lot)
      : {
          cropId: first.id,
          varietyId: first.varieties[0]!.id,
          source: '',
          year: String(year),
          amount: '100',
          unit: 'seeds',
          germination: '',
          testedOn: '',
          saved: false,
          note: '',
        },
    version: lot?.version,
    toValues: valuesOf,
    toBody: (values, read) => ({
      cropId: values.cropId,
      varietyId: values.varietyId,
      source: values.source,
      year: read.number('year', values.year),
      amount: read.number('amount', values.amount),
      unit: values.unit,
      germination:
        values.germination.trim() === '' ? null : read.number('germination', values.germination) / 100,
      testedOn: values.testedOn || null,
      saved: values.saved,
      note: values.note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onDone();
    },
  });
  const text = (field: 'source' | 'year' | 'amount' | 'germination' | 'note', hint?: string) => (
    <Field label={t(`seedBox:field.${field}`)} hint={hint} name={field}>
      {(props) => <input {...props} {...form.register(field)} className="input" autoComplete="off" />}
    </Field>
  );
  return (
    <FootedForm
      of={form}
      onClose={onDone}
      onRemove={
        lot ? () => remove.mutate({ params: { id }, ifMatch: lot.version }, { onSuccess: onDone }) : undefined
      }
    >
      <CropVarietySelect
        cropId={form.watch('cropId')}
        varietyId={form.watch('varietyId')}
        onChange={form.put}
        labels={{ crop: t('seedBox:field.crop'), variety: t('seedBox:field.variety') }}
      />
      <div className="grid grid-cols-2 gap-4">
        {text('amount')}
        <Field label={t('seedBox:field.unit')} name="unit">
          {(props) => (
            <Select
              {...props}
              {...form.control('unit')}
              options={seedUnits.map((unit) => ({ value: unit, label: t(`seedBox:unit.${unit}`) }))}
            />
          )}
        </Field>
        {text('year')}
        {text('source')}
        {text('germination', t('seedBox:germinationHint'))}
        <Field label={t('seedBox:field.testedOn')} name="testedOn">
          {(props) => <DateField {...props} {...form.control('testedOn')} />}
        </Field>
      </div>
      <Checkbox label={t('seedBox:field.saved')} {...form.check('saved')} />
      {text('note')}
    </FootedForm>
  );
}
