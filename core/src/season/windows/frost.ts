import type { Crop } from '../../crops/index.ts';
import { type Almanac, earlierQuantile } from '../../place/index.ts';

/** The frost that ends a crop's season: the first for what is tender, the damaging one for what is hardy, °C. */
export const killsAt = (crop: Crop): number =>
  crop.hardiness === 'hardy' ? crop.frostDamageC : Math.min(0, crop.frostDamageC);

const medianPlace = (almanac: Almanac, atC: number): number | null => {
  const seasonDay = earlierQuantile(almanac.firstFreeze(atC), 0.5);
  return seasonDay === null ? null : Math.round(seasonDay);
};

/** The first autumn frost of the median year; null where most years have none. */
export const firstFrostSeasonDay = (almanac: Almanac): number | null => medianPlace(almanac, 0);

/** When frost kills a crop in the median autumn; null where most winters leave it alive. */
export const killingSeasonDay = (crop: Crop, almanac: Almanac): number | null =>
  medianPlace(almanac, killsAt(crop));
