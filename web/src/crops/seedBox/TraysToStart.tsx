import type { Planting } from '@unity-acre/contract/season';
import { traysByWeek } from '@unity-acre/core/season';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useCropNames } from '../names.ts';

/** Trays to start, week by week. */
export function TraysToStart({
  plantings,
}: {
  plantings: Pick<Planting, 'id' | 'cropId' | 'steps' | 'holes'>[];
}) {
  const { t } = useTranslation('seedBox');
  const names = useCropNames();
  const dates = useDates();
  const { number } = useMeasure();
  const trays = useMemo(() => traysByWeek(plantings), [plantings]);
  const cropOf = new Map(plantings.map(({ id, cropId }) => [id, cropId]));
  return (
    <section className="furrow">
      <h2>{t('trays.title')}</h2>
      {trays.length === 0 && <p className="text-ink-soft">{t('trays.none')}</p>}
      <ol>
        {trays.map(({ week, cells, trays: count, sowings }) => (
          <li key={week} className="border-line border-b py-1.5">
            <p className="flex justify-between gap-3">
              <span className="font-semibold">{t('trays.week', { day: dates.short(week) })}</span>
              <span>{t('trays.count', { count, cells: number(cells, 0) })}</span>
            </p>
            <p className="text-ink-soft text-sm">
              {[...new Set(sowings.map(({ plantingId }) => names.crop(cropOf.get(plantingId)!)))].join(', ')}
            </p>
          </li>
        ))}
      </ol>
    </section>
  );
}
