import { type Entry, type EntryInput, entryInput } from '@unity-acre/contract/log';
import { destinations, entryKinds, entryRow, type LineReading } from '@unity-acre/core/log';
import type { AmountUnit } from '@unity-acre/core/units';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../crops/catalogue.ts';
import { useCropNames } from '../crops/names.ts';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useHere, useList, useWrite } from '../kit/garden.ts';
import { usePreferences } from '../kit/preferences.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { useMoveWords } from '../season/Moves.tsx';
import { datesAlone, useBothSeasons } from '../season/year.ts';

interface Values {
  kind: EntryInput['kind'];
  on: string;
  cropId: string;
  bedId: string;
  plantingId: string;
  amount: string;
  unit: AmountUnit;
  destination: string;
  note: string;
}

const weightUnits = ['lb', 'oz', 'kg', 'g'] as const;
const countUnits = ['piece', 'bunch', 'head'] as const;
const lengthUnits = ['ft', 'm'] as const;

type Start = Pick<
  LineReading,
  'kind' | 'on' | 'cropId' | 'bedId' | 'plantingId' | 'amount' | 'destination' | 'note'
>;

interface Props {
  start: Start;
  /** the entry that is corrected; absent for a new one */
  entry?: Entry;
  onSaved(): void;
}

/** What will be saved, field by field, so that a misunderstanding is seen before it is one. */
export function EntryForm({ start, entry, onSaved }: Props) {
  const { t } = useTranslation(['log', 'season', 'kit']);
  const { garden } = useHere();
  const [id] = useState(() => entry?.id ?? newId());
  const names = useCropNames();
  const catalogue = useCatalogue();
  const language = usePreferences((preferences) => preferences.language);
  const dates = useDates();
  const moveWords = useMoveWords();
  const beds = useList('beds');
  const plantings = useBothSeasons('plantings', datesAlone);
  const save = useWrite('saveEntry', ({ data }) => {
    const next = data.moved.find((move) => move.kind === 'firstPick') ?? data.moved.at(-1);
    const said = t(`log:logged.${data.entry.kind}`, {
      crop: data.entry.cropId ? names.crop(data.entry.cropId) : '',
    });
    if (!next) return said;
    return `${said} ${t('log:moved', { step: t(`season:step.${next.kind}`), day: dates.short(next.to), by: moveWords(next) })}`;
  });
  const valuesOf = (row: Start): Values => ({
    kind: row.kind,
    on: row.on,
    cropId: row.cropId ?? '',
    bedId: row.bedId ?? '',
    plantingId: row.plantingId ?? '',
    amount: row.amount
      ? new Intl.NumberFormat(language, { maximumFractionDigits: 4, useGrouping: false }).format(
          row.amount.value,
        )
      : '',
    unit: row.amount?.unit ?? (garden.units === 'imperial' ? 'lb' : 'kg'),
    destination: row.destination ?? (entryRow(row.kind).isTaken ? 'household' : ''),
    note: row.note,
  });
  const form = useBodyForm<Values, EntryInput>({
    schema: entryInput,
    flat: (path) => path.replace('amount.value', 'amount').replace('amount.unit', 'unit'),
    defaults: valuesOf(start),
    version: entry?.version,
    toBody: (values, read) => ({
      kind: values.kind,
      on: values.on,
      plantingId: values.plantingId || null,
      bedId: values.bedId || null,
      cropId: values.cropId || null,
      amount:
        values.amount.trim() === ''
          ? null
          : { value: read.number('amount', values.amount), unit: values.unit },
      destination: entryRow(values.kind).isTaken && values.destination ? values.destination : null,
      note: values.note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onSaved();
    },
  });
  const { errors } = form.formState;
  const values = form.watch();
  const fitting = (plantings.data ?? []).filter(
    (planting) =>
      planting.id === values.plantingId ||
      ((values.cropId === '' || planting.cropId === values.cropId) &&
        (values.bedId === '' || planting.bedId === values.bedId)),
  );
  const bedName = (bedId: string) => beds.data?.find((bed) => bed.id === bedId)?.name ?? '';
  const units = [...weightUnits, ...countUnits, ...(entryRow(values.kind).isTaken ? [] : lengthUnits)];
  const shownUnits = (units as AmountUnit[]).includes(values.unit) ? units : [...units, values.unit];
  return (
    <form onSubmit={form.submit} noValidate className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4 xl:grid-cols-[repeat(4,minmax(0,1fr))_minmax(0,1.4fr)]">
        <Field label={t('log:kindLabel')} error={errors.kind?.message}>
          {(props) => (
            <select {...props} {...form.register('kind')} className="input">
              {entryKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {t(`log:kind.${kind}`)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label={t('log:on')} error={errors.on?.message}>
          {(props) => <input {...props} {...form.register('on')} type="date" className="input" />}
        </Field>
        <Field label={t('log:crop')} error={errors.cropId?.message}>
          {(props) => (
            <select {...props} {...form.register('cropId')} className="input">
              <option value="">–</option>
              {names.sorted(catalogue.crops).map((crop) => (
                <option key={crop.id} value={crop.id}>
                  {names.crop(crop.id)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label={t('log:bed')} error={errors.bedId?.message}>
          {(props) => (
            <select {...props} {...form.register('bedId')} className="input">
              <option value="">–</option>
              {beds.data?.map((bed) => (
                <option key={bed.id} value={bed.id}>
                  {bed.name}
                </option>
              ))}
            </select>
          )}
        </Field>
        <div className="col-span-2 md:col-span-4 xl:col-span-1">
          <Field
            label={t('log:planting')}
            hint={
              fitting.length === 0 && values.kind !== 'observation' && values.kind !== 'harvest'
                ? t('log:noPlanting')
                : undefined
            }
            error={errors.plantingId?.message}
          >
            {(props) => (
              <select {...props} {...form.register('plantingId')} className="input">
                <option value="">–</option>
                {fitting.map((planting) => (
                  <option key={planting.id} value={planting.id}>
                    {names.crop(planting.cropId)}, {bedName(planting.bedId)},{' '}
                    {dates.bare(planting.steps[0]!.on)}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </div>
        <Field label={t('log:amount')} error={errors.amount?.message}>
          {(props) => (
            <input
              {...props}
              {...form.register('amount')}
              inputMode="decimal"
              className="input"
              autoComplete="off"
            />
          )}
        </Field>
        <Field label={t('log:unit')} error={errors.unit?.message}>
          {(props) => (
            <select {...props} {...form.register('unit')} className="input">
              {shownUnits.map((unit) => (
                <option key={unit} value={unit}>
                  {t(`log:units.${unit}`)}
                </option>
              ))}
            </select>
          )}
        </Field>
        {entryRow(values.kind).isTaken && (
          <Field label={t('log:destinationLabel')} error={errors.destination?.message}>
            {(props) => (
              <select {...props} {...form.register('destination')} className="input">
                {destinations.map((destination) => (
                  <option key={destination} value={destination}>
                    {t(`log:destination.${destination}`)}
                  </option>
                ))}
              </select>
            )}
          </Field>
        )}
        <div className="col-span-2">
          <Field label={t('log:note')} error={errors.note?.message}>
            {(props) => <input {...props} {...form.register('note')} className="input" autoComplete="off" />}
          </Field>
        </div>
      </div>
      <RefusedNote refused={form.refused} clash={form.clash} />
      <Button type="submit" look="act" disabled={form.busy} className="self-start">
        {entry ? t('kit:save') : t('log:save')}
      </Button>
    </form>
  );
}
