import { type Entry, type EntryInput, entryInput } from '@unity-acre/contract/log';
import { numberIn } from '@unity-acre/contract/wording';
import { destinations, type EntryRow, entryKinds, entryRow, type LineReading } from '@unity-acre/core/log';
import { type AmountUnit, isTemperatureUnit, type UnitSystem } from '@unity-acre/core/units';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { CropSelect } from '../crops/CropSelect.tsx';
import { useCropNames } from '../crops/names.ts';
import { BedSelect, datesAlone, useBothSeasons, useHere, useList, useWrite } from '../garden/index.ts';
import { Button, DateField, Select } from '../kit/controls/index.ts';
import { useDates } from '../kit/dates.ts';
import { Field, Form, FormFaults, useBodyForm } from '../kit/forms/index.ts';
import { useMoveWords } from '../season/explain/index.ts';
import { SeedsFromField } from './SeedsFromField.tsx';

interface Values {
  kind: EntryInput['kind'];
  on: string;
  cropId: string;
  bedId: string;
  plantingId: string;
  amount: string;
  unit: AmountUnit;
  destination: string;
  seedsFrom: EntryInput['seedsFrom'];
  note: string;
}

const weightUnits = ['lb', 'oz', 'kg', 'g'] as const;
const countUnits = ['piece', 'bunch', 'head'] as const;
const lengthUnits = ['ft', 'm'] as const;

/** The units in which an amount of a kind of entry is given. */
const unitsOf: Record<EntryRow['amountIs'], readonly AmountUnit[]> = {
  taken: [...weightUnits, ...countUnits],
  used: [...weightUnits, ...countUnits, ...lengthUnits],
  temperature: ['degF', 'degC'],
};
/** What is read in the soil of a bed is of no crop. */
const isOfSoil = (kind: EntryInput['kind']) => entryRow(kind).amountIs === 'temperature';
/** The unit that a garden gives it in first, by its own system. */
const firstUnit = (kind: EntryInput['kind'], units: UnitSystem): AmountUnit => {
  const isImperial = units === 'imperial';
  if (isOfSoil(kind)) return isImperial ? 'degF' : 'degC';
  return isImperial ? 'lb' : 'kg';
};

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
  const dates = useDates();
  const moveWords = useMoveWords();
  const beds = useList('beds');
  const plantings = useBothSeasons(datesAlone);
  const save = useWrite('saveEntry', ({ data }) => {
    const next = data.moved.find((move) => move.kind === 'firstPick') ?? data.moved.at(-1);
    const said = t(`log:logged.${data.entry.kind}`, {
      crop: data.entry.cropId ? names.crop(data.entry.cropId) : '',
    });
    if (!next) return said;
    return `${said} ${t('log:moved', { step: t(`season:step.${next.kind}`), day: dates.short(next.to), by: moveWords(next) })}`;
  });
  const valuesOf = (row: Start & Partial<Pick<Entry, 'seedsFrom'>>): Values => ({
    kind: row.kind,
    on: row.on,
    cropId: row.cropId ?? '',
    bedId: row.bedId ?? '',
    plantingId: row.plantingId ?? '',
    amount: row.amount ? numberIn(row.amount.value, { decimals: 4, grouped: false }) : '',
    unit: row.amount?.unit ?? firstUnit(row.kind, garden.units),
    destination: row.destination ?? (entryRow(row.kind).amountIs === 'taken' ? 'household' : ''),
    seedsFrom: row.seedsFrom ?? null,
    note: row.note,
  });
  const form = useBodyForm<Values, EntryInput>({
    draft: entry ? `entry ${entry.id}` : null,
    schema: entryInput,
    flat: (path) => path.replace('amount.value', 'amount').replace('amount.unit', 'unit'),
    defaults: valuesOf({ ...start, seedsFrom: entry?.seedsFrom ?? null }),
    version: entry?.version,
    toBody: (values, read) => ({
      kind: values.kind,
      on: values.on,
      plantingId: (!isOfSoil(values.kind) && values.plantingId) || null,
      bedId: values.bedId || null,
      cropId: (!isOfSoil(values.kind) && values.cropId) || null,
      amount:
        values.amount.trim() === ''
          ? null
          : { value: read.number('amount', values.amount), unit: values.unit },
      destination:
        entryRow(values.kind).amountIs === 'taken' && values.destination ? values.destination : null,
      seedsFrom: values.kind === 'sowing' ? values.seedsFrom : null,
      note: values.note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onSaved();
    },
  });
  const values = form.watch();
  const fitting = (plantings.data ?? []).filter(
    (planting) =>
      planting.id === values.plantingId ||
      ((values.cropId === '' || planting.cropId === values.cropId) &&
        (values.bedId === '' || planting.bedId === values.bedId)),
  );
  const bedName = (bedId: string) => beds.data?.find((bed) => bed.id === bedId)?.name ?? '';
  const units = unitsOf[entryRow(values.kind).amountIs];
  const isDegrees = isOfSoil(values.kind);
  const shownUnits = units.includes(values.unit) || isDegrees ? units : [...units, values.unit];
  const kind = form.control('kind');
  const sown = values.kind === 'sowing' && fitting.find(({ id: one }) => one === values.plantingId);
  return (
    <Form of={form} className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)_repeat(2,minmax(0,1fr))_minmax(0,1.25fr)]">
        <Field label={t('log:kindLabel')} name="kind">
          {(props) => (
            <Select
              {...props}
              {...kind}
              onChange={(next) => {
                kind.onChange(next);
                if (isTemperatureUnit(values.unit) !== isOfSoil(next))
                  form.setValue('unit', firstUnit(next, garden.units));
              }}
              options={entryKinds.map((kind) => ({ value: kind, label: t(`log:kind.${kind}`) }))}
            />
          )}
        </Field>
        <Field label={t('log:on')} name="on">
          {(props) => <DateField {...props} {...form.control('on')} />}
        </Field>
        {!isDegrees && (
          <Field label={t('log:crop')} name="cropId">
            {(props) => <CropSelect {...props} {...form.control('cropId')} none="–" />}
          </Field>
        )}
        <Field label={t('log:bed')} name="bedId">
          {(props) => <BedSelect {...props} {...form.control('bedId')} none="–" />}
        </Field>
        {!isDegrees && (
          <div className="col-span-2 md:col-span-4 xl:col-span-1">
            <Field
              label={t('log:planting')}
              hint={
                fitting.length === 0 && entryRow(values.kind).needs.some((field) => field === 'plantingId')
                  ? t('log:noPlanting')
                  : undefined
              }
              name="plantingId"
            >
              {(props) => (
                <Select
                  {...props}
                  {...form.control('plantingId')}
                  options={[
                    { value: '', label: '–' },
                    ...fitting.map((planting) => ({
                      value: planting.id,
                      label: `${names.crop(planting.cropId)}, ${bedName(planting.bedId)}, ${dates.bare(planting.steps[0]!.on)}`,
                    })),
                  ]}
                />
              )}
            </Field>
          </div>
        )}
        <Field label={t('log:amount')} name="amount">
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
        <Field label={t('log:unit')} name="unit">
          {(props) => (
            <Select
              {...props}
              {...form.control('unit')}
              options={shownUnits.map((unit) => ({ value: unit, label: t(`log:units.${unit}`) }))}
            />
          )}
        </Field>
        {entryRow(values.kind).amountIs === 'taken' && (
          <Field label={t('log:destinationLabel')} name="destination">
            {(props) => (
              <Select
                {...props}
                {...form.control('destination')}
                options={destinations.map((destination) => ({
                  value: destination,
                  label: t(`log:destination.${destination}`),
                }))}
              />
            )}
          </Field>
        )}
        {sown && (
          <SeedsFromField
            planting={sown}
            value={values.seedsFrom}
            onChange={(taken) => form.setValue('seedsFrom', taken, { shouldDirty: true })}
          />
        )}
        <div className="col-span-2">
          <Field label={t('log:note')} name="note">
            {(props) => <input {...props} {...form.register('note')} className="input" autoComplete="off" />}
          </Field>
        </div>
      </div>
      <FormFaults />
      <Button type="submit" look="act" disabled={form.busy} className="self-start">
        {entry ? t('kit:save') : t('log:save')}
      </Button>
    </Form>
  );
}
