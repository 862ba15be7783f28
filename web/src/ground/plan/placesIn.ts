import type { Bed } from '@unity-acre/contract/ground';
import type { Garden } from '@unity-acre/contract/place';
import type { Planting } from '@unity-acre/contract/season';
import type { Catalogue } from '@unity-acre/core/crops';
import { dayInSeason } from '@unity-acre/core/place';
import { bedLayout, type GroundToLay, type PlaceInBed, toLay } from '@unity-acre/core/season';

/** A planting with the time it stands in its bed, and where. */
export interface Standing extends GroundToLay {
  planting: Planting;
  /** null where there is no room for it */
  place: PlaceInBed | null;
}

/**
 * The plantings of a bed in a season, each in its place.
 * @param plantings of the season, of this bed and others
 */
export function placesIn(
  bed: Bed,
  plantings: readonly Planting[],
  year: number,
  { latitude, ground }: Pick<Garden, 'latitude' | 'ground'>,
  catalogue: Catalogue,
): Standing[] {
  const seasonFirst = dayInSeason(latitude, year, 0);
  const here = plantings.flatMap((planting) => {
    const crop = catalogue.crop(planting.cropId);
    if (planting.bedId !== bed.id || !crop) return [];
    return [{ ...toLay({ ...planting, crop }, { seasonFirst }), planting }];
  });
  const places = bedLayout(bed, here, { latitude, north: ground.north });
  return here.map((one) => ({ ...one, place: places.get(one.id) ?? null }));
}
