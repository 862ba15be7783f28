import { type SeedPrice, seedPriceInput } from '@unity-acre/contract/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useWrite } from '../../garden/index.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { FormSheet } from '../../kit/screens/index.ts';
import { useCropNames } from '../names.ts';

interface Props {
  cropId: string;
  varietyId: string;
  price: SeedPrice | undefined;
  onClose(): void;
}

const typed = (value: number | null): string => (value === null ? '' : String(value));

/** What the garden pays for a variety: a packet of seed, or a plant or piece. */
export function PriceSheet({ cropId, varietyId, price, onClose }: Props) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const [id] = useState(() => price?.id ?? newId());
  const save = useWrite('saveSeedPrice', ({ data }) => t('price.saved', { crop: names.crop(data.cropId) }));
  const valuesOf = (row: Pick<SeedPrice, 'packet' | 'packetSeeds' | 'piece'>) => ({
    packet: typed(row.packet),
    packetSeeds: typed(row.packetSeeds),
    piece: typed(row.piece),
  });
  const form = useBodyForm({
    draft: `price ${cropId} ${varietyId}`,
    schema: seedPriceInput,
    defaults: valuesOf(price ?? { packet: null, packetSeeds: null, piece: null }),
    version: price?.version,
    toValues: valuesOf,
    toBody: (values, read) => {
      const number = (field: 'packet' | 'packetSeeds' | 'piece') =>
        values[field].trim() === '' ? null : read.number(field, values[field]);
      const [packet, packetSeeds, piece] = [number('packet'), number('packetSeeds'), number('piece')];
      return { cropId, varietyId, packet, packetSeeds, piece };
    },
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
    },
  });
  return (
    <FormSheet
      of={form}
      title={t('price.title', { crop: names.crop(cropId), variety: names.variety(cropId, varietyId) })}
      onClose={onClose}
    >
      <p className="text-ink-soft text-sm">{t('price.hint')}</p>
      {(['packet', 'packetSeeds', 'piece'] as const).map((field) => (
        <Field key={field} label={t(`price.${field}`)} name={field}>
          {(props) => (
            <input {...props} {...form.register(field)} inputMode="decimal" className="input w-32" />
          )}
        </Field>
      ))}
    </FormSheet>
  );
}
