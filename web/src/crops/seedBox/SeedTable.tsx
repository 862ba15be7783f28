import { packetCost, pieceCost, type SeedNeed } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { useCropNames } from '../names.ts';
import { CostCell } from './CostCell.tsx';
import { type Prices, priceOf } from './priced.ts';

/** What is needed of a variety, and how many plants the seed to be got is for. */
export type NeedWithPlants = SeedNeed & { plants: number };

/** The seed of each variety: how many holes, what the box has for them, and what is to be ordered. */
export function SeedTable({ needs, prices }: { needs: NeedWithPlants[]; prices: Prices }) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const { money, number, seedWeight } = useMeasure();
  /** Packets of seed, and the same bought as plants where the crop is set as plants too. */
  const costs = ({ crop, variety, order, plants }: NeedWithPlants) => {
    if (order === 0) return [];
    const price = priceOf(prices, { crop, variety });
    const packets = packetCost(order, price);
    const pieces = crop.methods.includes('setPlants') ? pieceCost(plants, price) : null;
    return [
      ...(packets ? [t('price.packets', { count: packets.packets, cost: money(packets.cost) })] : []),
      ...(pieces === null ? [] : [t('price.asPlants', { n: number(plants, 0), cost: money(pieces) })]),
    ];
  };
  return (
    <table className="w-full text-sm">
      <thead className="text-left">
        <tr className="border-line-strong border-b">
          <th className="py-1">{t('needs.crop')}</th>
          <th className="py-1 text-right">{t('needs.holes')}</th>
          <th className="py-1 pl-4">{t('needs.box')}</th>
          <th className="py-1 text-right">{t('needs.order')}</th>
          <th className="py-1 text-right">{t('price.cost')}</th>
        </tr>
      </thead>
      <tbody>
        {needs.map((need) => {
          const { crop, variety, holes, from, poor, order, orderGrams } = need;
          return (
            <tr key={`${crop.id} ${variety.id}`} className="border-line border-b align-top">
              <td className="py-1.5">
                <span className="font-semibold">{names.crop(crop.id)}</span>,{' '}
                {names.variety(crop.id, variety.id)}
              </td>
              <td className="py-1.5 text-right">{number(holes, 0)}</td>
              <td className="py-1.5 pl-4">
                {from.map((one) => (
                  <span key={one.lotId} className="block">
                    {t('needs.from', {
                      seeds: number(one.seeds, 0),
                      count: one.perHole,
                      left: number(one.left, 0),
                    })}
                  </span>
                ))}
                {poor.length > 0 && (
                  <span className="block text-beet">{t('needs.poor', { count: poor.length })}</span>
                )}
                {from.length === 0 && poor.length === 0 && (
                  <span className="text-ink-soft">{t('needs.nothing')}</span>
                )}
              </td>
              <td className="py-1.5 pl-2 text-right font-semibold sm:whitespace-nowrap">
                {order === 0 ? t('needs.enough') : t('needs.seeds', { seeds: number(order, 0) })}
                {order > 0 && orderGrams !== null && (
                  <span className="block font-normal text-ink-soft">{seedWeight(orderGrams)}</span>
                )}
              </td>
              <td className="py-1.5 pl-4 text-right">
                {order > 0 && <CostCell crop={crop} variety={variety} prices={prices} lines={costs(need)} />}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
