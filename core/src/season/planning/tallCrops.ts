import { addDays, type Day } from '../../calendar/index.ts';
import type { Crop } from '../../crops/index.ts';
import type { Obstacle, Shape } from '../../ground/index.ts';
import { bedLayout, type GroundToLay, type NoonSun, outlineIn } from './bedLayout.ts';

/** Days from going in until a tall crop throws a shadow worth counting. */
const GROWING_UP_DAYS = 35;

/** The tall crops of a bed as things that shade, each in its place and in the months it stands high. */
export function tallCrops(
  bed: Shape,
  plantings: readonly (GroundToLay & { crop: Crop })[],
  sun: NoonSun,
): Obstacle[] {
  const places = bedLayout(bed, plantings, sun);
  return plantings.flatMap((one): Obstacle[] => {
    const at = places.get(one.id);
    if (!at || !one.isTall) return [];
    const high = addDays(one.from, GROWING_UP_DAYS);
    if (high > one.until) return [];
    return [
      {
        outline: outlineIn(bed, one, at),
        height: one.crop.height,
        months: monthsBetween(high, one.until),
      },
    ];
  });
}

/** The months a span of days touches by at least half, January first. */
function monthsBetween(from: Day, until: Day): boolean[] {
  const months = new Array<boolean>(12).fill(false);
  for (let day = from; day <= until; day = addDays(day, 1)) {
    if (day.endsWith('-15')) months[Number(day.slice(5, 7)) - 1] = true;
  }
  return months;
}
