import {
  almanacOf,
  climateOfFrosts,
  frostDates,
  frostsInOrder,
  growingDays,
  readCoordinate,
} from '@unity-acre/core/place';
import { useTranslation } from 'react-i18next';
import { typedMonthDay } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import type { GardenValues } from './gardenForm.ts';

/** The frosts as the program understands them, while they are typed. */
export function FrostsRead({ values }: { values: GardenValues }) {
  const { t } = useTranslation('place');
  const dates = useDates();
  const latitude = readCoordinate(values.latitude, 'latitude');
  const lastFrost = typedMonthDay(values.lastFrost, dates);
  const firstFrost = typedMonthDay(values.firstFrost, dates);
  if (latitude === null || lastFrost === null || firstFrost === null) return null;
  const place = { latitude, longitude: 0, lastFrost, firstFrost };
  if (!frostsInOrder(place)) return null;
  const almanac = almanacOf(climateOfFrosts(place));
  const frosts = frostDates(almanac, 2026);
  if (frosts.lastFrost === null || frosts.firstFrost === null) return null;
  return (
    <p className="border-rain border-l-4 bg-rain-soft px-3 py-1.5">
      {t('frostsRead', {
        last: dates.bare(frosts.lastFrost),
        first: dates.bare(frosts.firstFrost),
        days: growingDays(almanac),
      })}
    </p>
  );
}
