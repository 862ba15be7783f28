import { daysBetween } from '@unity-acre/core/calendar';
import { useTranslation } from 'react-i18next';
import { useHere, useList } from '../../../garden/index.ts';
import { useDates } from '../../../kit/dates.ts';
import type { Lens } from '../lens.ts';
import { LegendRow, legendList } from './LegendRow.tsx';

/** Beds by how long nobody has looked in, in days up to which a colour holds. */
const steps = [
  { upTo: 3, fill: 'color-mix(in srgb, var(--leaf-mid) 55%, var(--paper))' },
  { upTo: 7, fill: 'color-mix(in srgb, var(--leaf-mid) 25%, var(--paper))' },
  { upTo: 14, fill: 'color-mix(in srgb, var(--blossom) 45%, var(--paper))' },
] as const;
const LONGER = 'color-mix(in srgb, var(--beet) 45%, var(--paper))';

/** When somebody last wrote of each bed, as of today. */
export const lookedAt: Lens = {
  key: 'lookedAt',
  may: 'crew',
  use: (_, isShown) => {
    const { t } = useTranslation('map');
    const { garden } = useHere();
    const dates = useDates();
    const records = useList('bedRecords', isShown).data;
    const lastOf = (bed: { id: string }) => records?.find(({ bedId }) => bedId === bed.id)?.lookedAt ?? null;
    return {
      fillOf: (bed) => {
        if (!records) return undefined;
        const last = lastOf(bed);
        const days = last === null ? Number.POSITIVE_INFINITY : daysBetween(last, garden.today);
        return steps.find(({ upTo }) => days <= upTo)?.fill ?? LONGER;
      },
      says: (bed) => {
        if (!records) return null;
        const last = lastOf(bed);
        if (last === null) return t('lookedAt.never');
        const count = daysBetween(last, garden.today);
        return t('lookedAt.says', { day: dates.short(last), count });
      },
      legend: (
        <ul className={legendList}>
          {steps.map(({ upTo, fill }) => (
            <LegendRow key={upTo} fill={fill}>
              {t('lookedAt.upTo', { count: upTo })}
            </LegendRow>
          ))}
          <LegendRow fill={LONGER}>{t('lookedAt.longer')}</LegendRow>
        </ul>
      ),
    };
  },
};
