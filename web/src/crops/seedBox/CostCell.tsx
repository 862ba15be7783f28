import type { Crop, Variety } from '@unity-acre/core/crops';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCoordinates } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { useCropNames } from '../names.ts';
import { type Prices, priceOf } from './priced.ts';

const PriceSheet = fetchedPart(async () => (await import('./PriceSheet.tsx')).PriceSheet);

interface Props {
  crop: Crop;
  variety: Variety;
  prices: Prices;
  /** what it comes to, line by line; nothing while the price is not known */
  lines: string[];
}

/** What something to get costs, and a hand to say its price. */
export function CostCell({ crop, variety, prices, lines }: Props) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const coordinates = useCoordinates();
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <>
      {lines.map((line) => (
        <span key={line} className="block sm:whitespace-nowrap">
          {line}
        </span>
      ))}
      {coordinates && (
        <Button look="quiet" onPointerEnter={PriceSheet.fetch} onClick={() => setOpen(true)}>
          {t('price.set')}
          <span className="sr-only">
            : {names.crop(crop.id)}, {names.variety(crop.id, variety.id)}
          </span>
        </Button>
      )}
      {isOpen && (
        <PriceSheet
          cropId={crop.id}
          varietyId={variety.id}
          price={priceOf(prices, { crop, variety })}
          onClose={close}
          onUnfetched={close}
        />
      )}
    </>
  );
}
