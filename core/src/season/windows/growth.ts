import type { Crop, DaySpan, Method } from '../../crops/index.ts';
import { type Almanac, inYear, type SeasonDay, YEAR } from '../../place/index.ts';
import type { PlantingPlan } from '../plan.ts';

/** Days a seedling loses to being moved. Common practice, no source: one sown in place catches up as much. */
const MOVING_DAYS = 10;

/**
 * Days from the outdoor step (sowing in place or setting out) to the first pick, at the warmth they are quoted for.
 * Packets count some crops from setting out: sown in place they take the shortest indoor time more, less
 * what a move would cost. Crops counted from sowing need that much less once they are plants, but for the move.
 */
export function outdoorDays(crop: Crop, maturity: DaySpan, method: Method): DaySpan & { added: number } {
  // Sets, cloves and tubers have all their growing before them, as seed has.
  const isPlant = method === 'startIndoors' || crop.propagule === 'plants';
  const added =
    method === 'sowInPlace'
      ? crop.maturityFrom === 'settingOut'
        ? Math.max(0, (crop.daysIndoors?.fewest ?? 0) - MOVING_DAYS)
        : 0
      : crop.maturityFrom === 'sowing' && isPlant
        ? -Math.max(0, (crop.daysIndoors?.usual ?? 0) - MOVING_DAYS)
        : 0;
  const shifted = (days: number) => Math.max(1, days + added);
  return {
    fewest: shifted(maturity.fewest),
    usual: shifted(maturity.usual),
    most: shifted(maturity.most),
    added,
  };
}

/** Days quoted from the outdoor step of a plan to its first pick. */
export const quotedDays = ({
  crop,
  variety,
  method,
}: Pick<PlantingPlan, 'crop' | 'variety' | 'method'>): number =>
  outdoorDays(crop, variety.daysToMaturity, method).usual;

/** The first season day at which the running sum has reached `value`. */
export function seasonDayOfSum(sums: Float64Array, value: number): number {
  let low = 0;
  let high = sums.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sums[middle]! >= value) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** What has not grown within so many days does not: a year and a half. */
const LONGEST = Math.round(1.5 * YEAR);

/**
 * How fast a crop grows at a spot: days quoted for its usual warmth become days of this place and time of year, so that
 * early sowings take longer, later ones catch them up, and autumn slows again.
 * Common practice (heat units); the quoted warmth of each crop is in its catalogue row.
 */
export class Growth {
  readonly #sums: Float64Array;

  constructor(almanac: Almanac, crop: Crop) {
    this.#sums = almanac.growth(crop.growth);
  }

  /** Days it takes from `seasonDay`, of this year or another, to grow what takes `days` at the usual warmth. */
  daysFrom(seasonDay: SeasonDay, days: number): number {
    const start = inYear(Math.round(seasonDay));
    const reached = seasonDayOfSum(this.#sums, this.#sums[start]! + days);
    return Math.min(reached - start, LONGEST);
  }
}

const growths = new WeakMap<Almanac, Map<Crop, Growth>>();

/**
 * Days from a season day to the first pick. However fast a crop grows, it is not in less than half of its days from when it is up.
 * @param days days to the first pick at the usual warmth  @param up days until it is up; 0 for a plant
 */
export const daysToPick = (
  almanac: Almanac,
  crop: Crop,
  seasonDay: SeasonDay,
  days: number,
  up: number,
): number => Math.max(growthOf(almanac, crop).daysFrom(seasonDay, days), up + Math.round(days / 2));

/** The growth of a crop at a spot; made once for each. */
export function growthOf(almanac: Almanac, crop: Crop): Growth {
  let known = growths.get(almanac);
  if (!known) {
    known = new Map();
    growths.set(almanac, known);
  }
  let growth = known.get(crop);
  if (!growth) {
    growth = new Growth(almanac, crop);
    known.set(crop, growth);
  }
  return growth;
}
