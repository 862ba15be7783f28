import { ownCropInput } from '@unity-acre/contract/crops';
import type { Crop, CropPatch, CropRow } from '@unity-acre/core/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useHere, useList, useWrite } from '../../garden/index.ts';
import { Field, type Reading, useBodyForm } from '../../kit/forms/index.ts';
import { FormSheet } from '../../kit/screens/index.ts';
import { CropSelect } from '../CropSelect.tsx';
import { useCatalogue } from '../catalogue.ts';
import { useCropNames } from '../names.ts';
import { slug } from '../slug.ts';

interface Values {
  like: string;
  nameEn: string;
  nameEs: string;
  inRow: string;
  betweenRows: string;
  intensive: string;
  frostDamage: string;
  weeksFewest: string;
  weeksUsual: string;
  weeksMost: string;
  variety: string;
  daysFewest: string;
  daysMost: string;
}

const INCH_CM = 2.54;
/** The form's names of what the contract's paths speak of. */
const flat = (path: string): string =>
  path
    .replace(/^patch\.name\.en$/, 'nameEn')
    .replace(/^patch\.name\.es$/, 'nameEs')
    .replace(/^patch\.inRowIn$/, 'inRow')
    .replace(/^patch\.betweenRowsIn$/, 'betweenRows')
    .replace(/^patch\.intensiveIn$/, 'intensive')
    .replace(/^patch\.frostDamageC$/, 'frostDamage')
    .replace(/^patch\.weeksIndoors.*$/, 'weeksUsual')
    .replace(/^patch\.varieties.*(daysToMaturity).*$/, 'daysFewest')
    .replace(/^patch\.varieties.*$/, 'variety')
    .replace(/^cropId$/, 'nameEn');

/**
 * What the garden says of a crop beyond the catalogue: other spacings, frost and weeks, a variety of its own; or a new
 * crop that is like a known one. Everything else is changed through the file.
 */
export function OwnCropSheet({ crop, onClose }: { crop: Crop | null; onClose(): void }) {
  const { t } = useTranslation(['crops', 'kit', 'season']);
  const { garden } = useHere();
  const navigate = useNavigate();
  const catalogue = useCatalogue();
  const names = useCropNames();
  const own = useList('ownCrops').data?.find((one) => one.cropId === crop?.id) ?? null;
  const [id] = useState(() => own?.id ?? newId());
  const [like, setLike] = useState('kale');
  const base = catalogue.row(crop?.id ?? like)!;
  const save = useWrite('saveOwnCrop', ({ data }) =>
    t('crops:own.saved', { crop: data.patch.name?.en ?? names.crop(data.cropId) }),
  );
  const remove = useWrite('removeOwnCrop', () =>
    t('crops:own.removed', { crop: crop ? names.crop(crop.id) : '' }),
  );
  const isImperial = garden.units === 'imperial';
  const lengthOf = (inches: number) => String(isImperial ? inches : Math.round(inches * INCH_CM * 10) / 10);
  const degreesOf = (c: number) => String(isImperial ? Math.round((c * 1.8 + 32) * 10) / 10 : c);
  const valuesOf = (row: CropRow): Values => ({
    like,
    nameEn: crop ? row.name.en : '',
    nameEs: crop ? row.name.es : '',
    inRow: lengthOf(row.inRowIn),
    betweenRows: lengthOf(row.betweenRowsIn),
    intensive: lengthOf(row.intensiveIn),
    frostDamage: degreesOf(row.frostDamageC),
    weeksFewest: String(row.weeksIndoors?.[0] ?? ''),
    weeksUsual: String(row.weeksIndoors?.[1] ?? ''),
    weeksMost: String(row.weeksIndoors?.[2] ?? ''),
    variety: '',
    daysFewest: '',
    daysMost: '',
  });
  const toBody = (values: Values, read: Reading): unknown => {
    const length = (field: keyof Values) => {
      const value = read.number(field, values[field]);
      return isImperial ? value : value / INCH_CM;
    };
    const cold = read.number('frostDamage', values.frostDamage);
    const fields: CropPatch = {
      name: { en: values.nameEn, es: values.nameEs.trim() === '' ? values.nameEn : values.nameEs },
      inRowIn: length('inRow'),
      betweenRowsIn: length('betweenRows'),
      intensiveIn: length('intensive'),
      frostDamageC: isImperial ? (cold - 32) / 1.8 : cold,
      ...(base.weeksIndoors
        ? {
            weeksIndoors: [
              read.number('weeksFewest', values.weeksFewest),
              read.number('weeksUsual', values.weeksUsual),
              read.number('weeksMost', values.weeksMost),
            ] as [number, number, number],
          }
        : {}),
    };
    const variety = values.variety.trim();
    const added =
      variety === ''
        ? []
        : [
            {
              id: slug(variety),
              name: { en: variety, es: variety },
              daysToMaturity: [
                read.number('daysFewest', values.daysFewest),
                read.number('daysMost', values.daysMost),
              ] as [number, number],
            },
          ];
    if (!crop) {
      const { id: _, ...row } = base;
      const varieties = added.length > 0 ? added : base.varieties;
      return {
        cropId: slug(values.nameEn),
        patch: { ...row, ...fields, alsoCalled: { en: [], es: [] }, varieties },
      };
    }
    // Only what differs from the catalogue is the garden's own word.
    const shipped = catalogue.shippedRow(crop.id);
    const kept = own?.patch.varieties?.filter((one) => one.id !== added[0]?.id) ?? [];
    const changed = Object.entries(fields).filter(
      ([name, value]) => !near(value, shipped?.[name as keyof CropRow]),
    );
    const varieties = [...kept, ...added];
    const { varieties: _, ...before } = own?.patch ?? {};
    const touched = new Set(Object.keys(fields));
    const others = Object.entries(before).filter(([name]) => !touched.has(name));
    return {
      cropId: crop.id,
      patch: {
        ...Object.fromEntries([...others, ...changed]),
        ...(varieties.length > 0 ? { varieties } : {}),
      },
    };
  };
  const form = useBodyForm<Values, ReturnType<typeof ownCropInput.parse>>({
    draft: `own crop ${crop?.id ?? 'new'}`,
    schema: ownCropInput,
    defaults: valuesOf(base),
    version: own?.version,
    flat,
    toBody,
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
      if (!crop) await navigate(`/season/crops/${body.cropId}`);
    },
  });
  const input = (field: Exclude<keyof Values, 'like'>, label: string, hint?: string) => (
    <Field label={label} hint={hint} name={field}>
      {(props) => <input {...props} {...form.register(field)} className="input" autoComplete="off" />}
    </Field>
  );
  const unit = isImperial ? 'in' : 'cm';
  return (
    <FormSheet
      of={form}
      title={crop ? t('crops:own.change', { crop: names.crop(crop.id) }) : t('crops:add')}
      onClose={onClose}
      removeWords={t('crops:own.remove')}
      onRemove={
        own
          ? () =>
              remove.mutate(
                { params: { id: own.id }, ifMatch: own.version },
                {
                  onSuccess: () => {
                    onClose();
                    if (!catalogue.shippedRow(own.cropId)) void navigate('/season/crops');
                  },
                },
              )
          : undefined
      }
    >
      {!crop && (
        <Field label={t('crops:own.like')} hint={t('crops:own.likeHint')}>
          {(props) => (
            <CropSelect
              {...props}
              value={like}
              onChange={(value) => {
                setLike(value);
                const row = catalogue.row(value)!;
                const { nameEn, nameEs } = form.getValues();
                form.reset({ ...valuesOf(row), nameEn, nameEs, like: value });
              }}
            />
          )}
        </Field>
      )}
      <div className="grid grid-cols-2 gap-4">
        {input('nameEn', t('crops:own.nameEn'))}
        {input('nameEs', t('crops:own.nameEs'))}
      </div>
      <div className="grid grid-cols-3 gap-4">
        {input('inRow', t('crops:own.inRow', { unit }))}
        {input('betweenRows', t('crops:own.betweenRows', { unit }))}
        {input('intensive', t('crops:own.intensive', { unit }))}
      </div>
      {input(
        'frostDamage',
        t('crops:own.frost', { unit: isImperial ? '°F' : '°C' }),
        t('crops:own.frostHint'),
      )}
      {base.weeksIndoors && (
        <fieldset>
          <legend className="mb-1 font-semibold text-sm">{t('crops:own.weeks')}</legend>
          <div className="grid grid-cols-3 gap-4">
            {input('weeksFewest', t('crops:own.fewest'))}
            {input('weeksUsual', t('crops:own.usual'))}
            {input('weeksMost', t('crops:own.most'))}
          </div>
        </fieldset>
      )}
      <fieldset>
        <legend className="mb-1 font-semibold text-sm">{t('crops:own.addVariety')}</legend>
        <div className="grid grid-cols-[1fr_6rem_6rem] gap-4">
          {input('variety', t('crops:own.variety'))}
          {input('daysFewest', t('crops:own.daysFrom'))}
          {input('daysMost', t('crops:own.daysTo'))}
        </div>
      </fieldset>
    </FormSheet>
  );
}

/** Equal but for what rounding in other units does. */
function near(a: unknown, b: unknown): boolean {
  if (typeof a === 'number' && typeof b === 'number') return Math.abs(a - b) < 0.06;
  return JSON.stringify(a) === JSON.stringify(b);
}
