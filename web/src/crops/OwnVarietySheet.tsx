import { ownCropInput } from '@unity-acre/contract/crops';
import { type Crop, supports, type Trait } from '@unity-acre/core/crops';
import { fromMetres } from '@unity-acre/core/units';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useList, useMeasure, useWrite } from '../garden/index.ts';
import { Checkbox, Select } from '../kit/controls/index.ts';
import { Field, useBodyForm } from '../kit/forms/index.ts';
import { FormSheet } from '../kit/screens/index.ts';
import { useCropNames } from './names.ts';
import { slug } from './slug.ts';

interface Values {
  name: string;
  daysFewest: string;
  daysMost: string;
  height: string;
  spread: string;
  inRow: string;
  seedsPerGram: string;
  /** when it bulbs; empty for what has no such */
  dayLength: string;
  support: string;
  determinate: boolean;
  note: string;
}

/** By which length of day onions bulb. */
const dayLengths = ['longDay', 'intermediateDay', 'shortDay'] as const;

/** The form's names of what the contract's paths speak of. */
const flat = (path: string): string => {
  const field = /^patch\.varieties\.\d+\.(\w+)/.exec(path)?.[1];
  const names: Record<string, string> = {
    daysToMaturity: 'daysFewest',
    heightIn: 'height',
    spreadIn: 'spread',
    traits: 'dayLength',
    inRowIn: 'inRow',
  };
  return field ? (names[field] ?? field) : 'name';
};

/** A variety of the garden's own, by the few things in which it differs from its crop. */
export function OwnVarietySheet({
  crop,
  onClose,
  onAdded,
}: {
  crop: Crop;
  onClose(): void;
  onAdded(varietyId: string): void;
}) {
  const { t } = useTranslation(['season', 'kit']);
  const { number, spacing, system } = useMeasure();
  const names = useCropNames();
  const own = useList('ownCrops').data?.find(({ cropId }) => cropId === crop.id) ?? null;
  const [id] = useState(() => own?.id ?? newId());
  const save = useWrite('saveOwnCrop', () => t('season:ownVariety.saved'));
  const bare = system === 'imperial' ? 'in' : 'cm';
  const usual = crop.varieties[0]!.daysToMaturity;
  const form = useBodyForm<Values, ReturnType<typeof ownCropInput.parse>>({
    draft: `variety of ${crop.id}`,
    schema: ownCropInput,
    flat,
    defaults: {
      name: '',
      daysFewest: String(usual.fewest),
      daysMost: String(usual.most),
      height: '',
      spread: '',
      inRow: '',
      seedsPerGram: '',
      dayLength: '',
      support: '',
      determinate: false,
      note: '',
    },
    version: own?.version,
    toBody: (values, read) => {
      const inches = (field: 'height' | 'spread' | 'inRow') =>
        Math.round(fromMetres(read.length(field, values[field], bare), 'in') * 100) / 100;
      const days = (field: 'daysFewest' | 'daysMost') => read.number(field, values[field]);
      const traits: Trait[] = [
        ...(values.determinate ? ['determinate' as const] : []),
        ...dayLengths.filter((dayLength) => dayLength === values.dayLength),
      ];
      const variety = {
        id: slug(values.name),
        name: { en: values.name.trim(), es: values.name.trim() },
        daysToMaturity: [days('daysFewest'), days('daysMost')] as [number, number],
        ...(values.height.trim() && { heightIn: inches('height') }),
        ...(values.spread.trim() && { spreadIn: inches('spread') }),
        ...(values.inRow.trim() && { inRowIn: inches('inRow') }),
        ...(values.seedsPerGram.trim() && { seedsPerGram: read.number('seedsPerGram', values.seedsPerGram) }),
        ...(values.support && { support: values.support as Crop['support'] }),
        ...(traits.length > 0 && { traits }),
        ...(values.note.trim() && { note: values.note.trim() }),
      };
      if (crop.varieties.some((known) => known.id === variety.id)) read.errors.name = 'varietyKnown';
      const patch = own?.patch ?? {};
      // A crop that does not ship with the program is whole in its patch; of one that does, only what is the garden's is.
      return { cropId: crop.id, patch: { ...patch, varieties: [...(patch.varieties ?? []), variety] } };
    },
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onAdded(body.patch.varieties!.at(-1)!.id);
    },
  });
  const bulbs = crop.varieties.some(({ traits }) => traits?.some((one) => dayLengths.includes(one as never)));
  const input = (name: Exclude<keyof Values, 'support' | 'determinate' | 'dayLength'>, hint?: string) => (
    <Field label={t(`season:ownVariety.${name}`)} hint={hint} name={name}>
      {(props) => <input {...props} {...form.register(name)} className="input" autoComplete="off" />}
    </Field>
  );
  return (
    <FormSheet
      of={form}
      title={t('season:ownVariety.title', { crop: names.crop(crop.id) })}
      onClose={onClose}
      className="flex flex-col gap-4"
    >
      {input('name')}
      <div className="grid grid-cols-2 gap-4">
        {input('daysFewest')}
        {input('daysMost')}
        {input('height', t('season:spacing.usual', { value: spacing(crop.height) }))}
        {input('spread', t('season:spacing.usual', { value: spacing(crop.spread) }))}
        {input('inRow', t('season:spacing.usual', { value: spacing(crop.inRow) }))}
        {input(
          'seedsPerGram',
          crop.seedsPerGram ? t('season:spacing.usual', { value: number(crop.seedsPerGram, 0) }) : undefined,
        )}
      </div>
      {bulbs && (
        <Field label={t('season:ownVariety.dayLength')} name="dayLength">
          {(props) => (
            <Select
              {...props}
              {...form.control('dayLength')}
              options={[
                { value: '', label: t('season:ownVariety.dayLengths.unsaid') },
                ...dayLengths.map((one) => ({ value: one, label: t(`season:ownVariety.dayLengths.${one}`) })),
              ]}
            />
          )}
        </Field>
      )}
      <Field label={t('season:ownVariety.support')} name="support">
        {(props) => (
          <Select
            {...props}
            {...form.control('support')}
            options={[
              { value: '', label: t('season:ownVariety.asCrop') },
              ...supports.map((support) => ({
                value: support,
                label: t(`season:ownVariety.supports.${support}`),
              })),
            ]}
          />
        )}
      </Field>
      <Checkbox label={t('season:ownVariety.determinate')} {...form.check('determinate')} />
      {input('note', t('kit:optional'))}
    </FormSheet>
  );
}
