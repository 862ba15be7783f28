import { type MaterialNeed, materialRow } from '@unity-acre/core/crops';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../garden/index.ts';

/** Tablespoons in a cup, and what one of granular feed weighs, grams (KNOWLEDGE 4.1). */
const CUP_SPOONS = 16;
const SPOON_G = 14;
/** Cubic metres: a cup, a gallon, and a cubic foot. */
const CUP_M3 = 0.2365882365e-3;
const GALLON_M3 = 16 * CUP_M3;
const CUBIC_FOOT_M3 = 0.3048 ** 3;
/** What a bag of compost or straw holds, as it is sold by either system. Common practice, no source. */
const BAG_M3 = { imperial: 2 * CUBIC_FOOT_M3, metric: 0.04 };
/** Cups and gallons are said to the half. */
const HALF = 2;

export interface AmountWords {
  /** tablespoons, as one measures them out: in spoons and cups, or weighed */
  spoons(count: number): string;
  /** compost or straw, from a cup to bags, cubic metres */
  heap(volume: number): string;
  of(need: MaterialNeed): string;
}

/** Says amounts of what is spread, filled in, and stood up, in the measures of a garden shed. */
export function useAmountWords(): AmountWords {
  const { t } = useTranslation('materials');
  const { system, number, length, volume, weight } = useMeasure();
  const halves = (value: number) => Math.max(1, Math.round(value * HALF)) / HALF;
  const measured = (name: 'tablespoons' | 'cups' | 'gallons', value: number) =>
    t(`amount.${name}`, { count: value, n: number(value, 1) });
  const bagged = (cubicMetres: number) => {
    const size = BAG_M3[system];
    const whole = volume(cubicMetres, 'solid');
    if (cubicMetres < size / 2) return whole;
    const bags = Math.ceil(cubicMetres / size - 1e-9);
    return t('amount.bags', { count: bags, whole, size: volume(size, 'solid') });
  };
  const words: AmountWords = {
    spoons: (count) => {
      if (system === 'metric') return weight(count * SPOON_G);
      return count < CUP_SPOONS
        ? measured('tablespoons', count)
        : measured('cups', halves(count / CUP_SPOONS));
    },
    heap: (cubicMetres) => {
      if (system === 'imperial' && cubicMetres < GALLON_M3)
        return measured('cups', halves(cubicMetres / CUP_M3));
      if (system === 'imperial' && cubicMetres < CUBIC_FOOT_M3)
        return measured('gallons', halves(cubicMetres / GALLON_M3));
      return bagged(cubicMetres);
    },
    of: ({ material, amount }) => {
      switch (materialRow(material).unit) {
        case 'count':
          return number(amount, 0);
        case 'length':
          return length(amount);
        case 'volume':
          return words.heap(amount);
        case 'spoons':
          return words.spoons(amount);
      }
    },
  };
  return words;
}
