import type { Crop } from '../../crops/index.ts';
import { type Almanac, placeForEarlier } from '../../place/index.ts';

/** The frost that ends a crop's season: the first for what is tender, the damaging one for what is hardy, °C. */
export const killsAt = (crop: Crop): number =>
  crop.temperament === 'hardy' ? crop.frostDamageC : Math.min(0, crop.frostDamageC);

const medianPlace = (almanac: Almanac, atC: number): number | null => {
  const place = placeForEarlier(almanac.firstFreeze(atC), 0.5);
  return place === null ? null : Math.round(place);
};

/** The first autumn frost of the median year, as a place; null where most years have none. */
export const firstFrostPlace = (almanac: Almanac): number | null => medianPlace(almanac, 0);

/** When frost kills a crop in the median autumn, as a place; null where most winters leave it alive. */
export const killingPlace = (crop: Crop, almanac: Almanac): number | null =>
  medianPlace(almanac, killsAt(crop));
