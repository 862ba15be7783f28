import type { Crop, DaySpan, Method } from '../crops/index.ts';
import type { Almanac } from '../place/index.ts';
import type { PlantingPlan } from './plan.ts';

/** Days a seedling loses to being moved. Common practice, no source: one sown in place catches up as much. */
const MOVING_DAYS = 10;

/**
 * Days from the outdoor step (sowing in place or setting out) to the first pick, at the warmth they are quoted for.
 * Packets count some crops from setting out: sown in place they take the shortest indoor time more, less
 * what a move would cost. Crops counted from sowing need that much less once they are plants.
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
        ? -(crop.daysIndoors?.usual ?? 0)
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

/** Growth slower than this many times the quoted days is a plant standing still. */
const STANDSTILL = 2;

/** The first place at which the running sum has reached `value`. */
function placeOfSum(sums: Float64Array, value: number): number {
  let low = 0;
  let high = sums.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sums[middle]! >= value) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Warmth gathered up to a place; places before midwinter have none yet. */
const sumAt = (sums: Float64Array, place: number): number =>
  sums[Math.max(0, Math.min(sums.length - 1, Math.round(place)))]!;

/**
 * How fast a crop grows at a spot: days quoted for its usual warmth become days of this place and time of year, so that
 * early sowings take longer, later ones catch them up, and autumn slows again.
 * Common practice (heat units); the quoted warmth of each crop is in its catalogue row.
 */
export class Growth {
  readonly #sums: Float64Array;
  readonly #perDay: number;

  constructor(almanac: Almanac, crop: Crop) {
    const { base, cap, usual } = crop.growth;
    this.#sums = almanac.heat(base, cap);
    this.#perDay = usual - base;
  }

  /** Days it takes from `place` to grow what takes `days` at the usual warmth. */
  daysFrom(place: number, days: number): number {
    const start = Math.max(0, Math.round(place));
    const wanted = sumAt(this.#sums, start) + days * this.#perDay;
    const reached = placeOfSum(this.#sums, wanted);
    return Math.min(reached - start, days * STANDSTILL);
  }

  /** The last place from which what takes `days` is grown by `limit`. */
  lastPlaceFor(days: number, limit: number): number {
    const left = sumAt(this.#sums, limit) - days * this.#perDay;
    // The sum stands still in winter: the last place that still has as little is meant.
    return placeOfSum(this.#sums, Math.max(0, left) + 1e-9) - 1;
  }
}

const growths = new WeakMap<Almanac, Map<Crop, Growth>>();

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
