import type { PlantNeed } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useCropNames } from '../names.ts';
import { CostCell } from './CostCell.tsx';
import { type Prices, plantCost } from './priced.ts';

/** Plants, sets, cloves, tubers, crowns and slips that are set and not sown: how many to get, and by when. */
export function PlantsToGet({ needs, prices }: { needs: PlantNeed[]; prices: Prices }) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const dates = useDates();
  const { money, number } = useMeasure();
  return (
    <section className="furrow min-w-0">
      <h2>{t('pieces.title')}</h2>
      <ul className="text-sm">
        {needs.map(({ crop, variety, pieces, by }) => (
          <li
            key={`${crop.id} ${variety.id}`}
            className="grid grid-cols-[minmax(0,1fr)_auto_9rem_6rem] gap-x-4 border-line border-b py-1.5"
          >
            <span>
              <span className="font-semibold">{names.crop(crop.id)}</span>,{' '}
              {names.variety(crop.id, variety.id)}
            </span>
            <span className="text-right font-semibold">
              {t(`pieces.${crop.propagule ?? 'plants'}`, { count: pieces, n: number(pieces, 0) })}
            </span>
            <span className="text-right">{t('pieces.by', { day: dates.short(by) })}</span>
            <span className="text-right">
              <CostCell
                crop={crop}
                variety={variety}
                prices={prices}
                lines={[plantCost(prices, { crop, variety, pieces })].flatMap((cost) =>
                  cost === null ? [] : money(cost),
                )}
              />
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
