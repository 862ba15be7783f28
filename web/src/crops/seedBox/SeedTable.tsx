import type { SeedNeed } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { useCropNames } from '../names.ts';

/** The seed of each variety: how many holes, what the box has for them, and what is to be ordered. */
export function SeedTable({ needs }: { needs: SeedNeed[] }) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const { number, seedWeight } = useMeasure();
  return (
    <table className="w-full text-sm">
      <thead className="text-left">
        <tr className="border-line-strong border-b">
          <th className="py-1">{t('needs.crop')}</th>
          <th className="py-1 text-right">{t('needs.holes')}</th>
          <th className="py-1 pl-4">{t('needs.box')}</th>
          <th className="py-1 text-right">{t('needs.order')}</th>
        </tr>
      </thead>
      <tbody>
        {needs.map(({ crop, variety, holes, from, poor, order, orderGrams }) => (
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
            <td className="py-1.5 text-right font-semibold">
              {order === 0 ? t('needs.enough') : t('needs.seeds', { seeds: number(order, 0) })}
              {order > 0 && orderGrams !== null && (
                <span className="block font-normal text-ink-soft">{seedWeight(orderGrams)}</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
