import { type SeedLot, seedLotInput, seedUnits } from '@unity-acre/contract/crops';
import { plainCatalogue } from '@unity-acre/core/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { SheetActions } from '../kit/SheetActions.tsx';
import { useCatalogue } from './catalogue.ts';
import { useCropNames } from './names.ts';

/** A lot by its numbers. */
export function SeedLotForm({ lot, year, onDone }: { lot: SeedLot | null; year: number; onDone(): void }) {
  const { t } = useTranslation(['seedBox', 'kit']);
  const catalogue = useCatalogue();
  const names = useCropNames();
  const [id] = useState(() => lot?.id ?? newId());
  const save = useWrite('saveSeedLot', ({ data }) => t('seedBox:saved', { crop: names.crop(data.cropId) }));
  const remove = useWrite('removeSeedLot', () => t('seedBox:removed'));
  const first = names.sorted(catalogue.crops)[0] ?? plainCatalogue.crops[0]!;
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
    toBody: (values, read) => ({
      cropId: values.cropId,
      varietyId: catalogue.crop(values.cropId)?.varieties.some((one) => one.id === values.varietyId)
        ? values.varietyId
        : (catalogue.crop(values.cropId)?.varieties[0]?.id ?? ''),
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
  const { errors } = form.formState;
  const crop = catalogue.crop(form.watch('cropId')) ?? first;
  const text = (field: 'source' | 'year' | 'amount' | 'germination' | 'note', hint?: string) => (
    <Field label={t(`seedBox:field.${field}`)} hint={hint} error={errors[field]?.message}>
      {(props) => <input {...props} {...form.register(field)} className="input" autoComplete="off" />}
    </Field>
  );
  return (
    <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
      <Field label={t('seedBox:field.crop')} error={errors.cropId?.message}>
        {(props) => (
          <select {...props} {...form.register('cropId')} className="input">
            {names.sorted(catalogue.crops).map((one) => (
              <option key={one.id} value={one.id}>
                {names.crop(one.id)}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label={t('seedBox:field.variety')} error={errors.varietyId?.message}>
        {(props) => (
          <select {...props} {...form.register('varietyId')} className="input">
            {crop.varieties.map((one) => (
              <option key={one.id} value={one.id}>
                {names.variety(crop.id, one.id)}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="grid grid-cols-2 gap-4">
        {text('amount')}
        <Field label={t('seedBox:field.unit')} error={errors.unit?.message}>
          {(props) => (
            <select {...props} {...form.register('unit')} className="input">
              {seedUnits.map((unit) => (
                <option key={unit} value={unit}>
                  {t(`seedBox:unit.${unit}`)}
                </option>
              ))}
            </select>
          )}
        </Field>
        {text('year')}
        {text('source')}
        {text('germination', t('seedBox:germinationHint'))}
        <Field label={t('seedBox:field.testedOn')} error={errors.testedOn?.message}>
          {(props) => <input {...props} {...form.register('testedOn')} type="date" className="input" />}
        </Field>
      </div>
      <label className="flex min-h-target items-center gap-2">
        <input type="checkbox" className="size-5" {...form.register('saved')} />
        {t('seedBox:field.saved')}
      </label>
      {text('note')}
      <RefusedNote refused={form.refused ?? remove.error} clash={form.clash} />
      <SheetActions
        busy={form.busy}
        onCancel={onDone}
        onRemove={
          lot
            ? () => remove.mutate({ params: { id }, ifMatch: lot.version }, { onSuccess: onDone })
            : undefined
        }
      />
    </form>
  );
}
