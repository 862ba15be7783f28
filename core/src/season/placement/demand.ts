import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import type { Crop, Cropping, Method, Variety } from '../../crops/index.ts';
import { type Pattern, pack, workedOutline } from '../../ground/index.ts';
import { spacingOf } from '../amounts/index.ts';
import type { PlannedBed } from '../planning/index.ts';
import type { HouseRules } from '../rules.ts';
import { allowsMethod, hasCropping } from '../windows/index.ts';

/** What the garden wishes for. */
export interface Wish {
  id: string;
  crop: Crop;
  variety: Variety;
  /** plants, square metres, or grams a week */
  by: 'plants' | 'area' | 'weekly';
  amount: number;
  /** the span a weekly amount is wanted over */
  from: Day | null;
  until: Day | null;
  /** the kind of bed it is for; null for any that is nobody's own plot */
  tenure: string | null;
  /** how much it matters, 1 to 5 */
  weight: number;
}

/** A part of a wish that stands in one bed at one time. */
export interface Demand {
  wish: Wish;
  /** its number within the wish */
  part: number;
  plants: number;
  pattern: Pattern;
  /** the day its first pick is wanted; null for whenever the crop does best */
  pickOn: Day | null;
}

/** The most parts a wish is split into: beyond that it is more than any garden grows. */
const MOST_PARTS = 40;

/** Whether a bed is held in the way that a wish is for: one that is for no kind of bed is for those that everybody works. */
export const isFor = ({ tenure }: Pick<Wish, 'tenure'>, bed: Pick<PlannedBed, 'tenure'>): boolean =>
  tenure === null ? bed.tenure !== 'plot' && bed.tenure !== 'pollinator' : bed.tenure === tenure;

/** Ground one plant takes, m², in the closer of the two patterns that beds are planted in. */
export function groundPerPlant(crop: Crop): { pattern: Pattern; area: number } {
  const [rows, square] = [crop.inRow * crop.betweenRows, crop.intensive ** 2];
  return rows < square ? { pattern: 'rows', area: rows } : { pattern: 'square', area: square };
}

/** Grams a plant gives in all, and over how many weeks; null where the catalogue does not know. */
export function yieldOf(crop: Crop): { grams: number; weeks: number } | null {
  const { yieldKg, pickDays, onceOver } = crop;
  if (!yieldKg) return null;
  const perPlant = yieldKg.per === 'plant' ? yieldKg.kg : yieldKg.kg * crop.inRow;
  return { grams: perPlant * 1000, weeks: onceOver ? 1 : Math.max(1, pickDays.usual / 7) };
}

/** Plants that a wish comes to, before it is split; for a weekly amount those that stand at one time. */
export function plantsOf(wish: Wish): number {
  if (wish.by === 'plants') return Math.ceil(wish.amount);
  if (wish.by === 'area') return Math.max(1, Math.floor(wish.amount / groundPerPlant(wish.crop).area));
  const gives = yieldOf(wish.crop);
  return gives ? Math.ceil((wish.amount * gives.weeks) / gives.grams) : 0;
}

/**
 * A wish as parts that each fit a bed. A weekly amount over a span becomes a series: each part is ready when the one
 * before it ends.
 * @param room m² of an ordinary bed
 */
export function demandsOf(wish: Wish, room: number): Demand[] {
  const { pattern, area } = groundPerPlant(wish.crop);
  const times = wish.by === 'weekly' ? picksOf(wish) : [null];
  const plants = plantsOf(wish);
  const pieces = Math.max(1, Math.ceil((plants * area) / room));
  if (plants === 0 || times.length * pieces > MOST_PARTS) return [];
  return times.flatMap((pickOn, t) =>
    Array.from({ length: pieces }, (_, piece) => ({
      wish,
      part: t * pieces + piece,
      plants: Math.ceil(plants / pieces),
      pattern,
      pickOn,
    })),
  );
}

/** The first picks of a series that gives something in each week of its span. */
function picksOf({ crop, from, until }: Wish): (Day | null)[] {
  if (from === null) return [null];
  const gives = yieldOf(crop);
  const step = Math.max(7, Math.round((gives?.weeks ?? 1) * 7));
  const end = until ?? from;
  const picks: Day[] = [];
  for (let day = from; day <= end && picks.length <= MOST_PARTS; day = addDays(day, step)) picks.push(day);
  return picks.length > 0 && daysBetween(from, end) >= 0 ? picks : [from];
}

/** The ways a crop is grown, the usual one first. */
export function waysOf(crop: Crop, rules: HouseRules): { method: Method; cropping: Cropping }[] {
  const method = crop.methods.find((one) => allowsMethod(crop, one, rules));
  if (!method) return [];
  const croppings = crop.croppings.filter((cropping) => hasCropping(crop, cropping));
  const inSeason = croppings.filter((cropping) => cropping !== 'overwinter');
  return (inSeason.length > 0 ? inSeason : croppings).map((cropping) => ({ method, cropping }));
}

/**
 * The piece of a bed that so many plants take across its whole width; null where they do not fit.
 * @returns metres, along the bed
 */
export function pieceOf(
  bed: PlannedBed,
  crop: Crop,
  pattern: Pattern,
  plants: number,
): { width: number; length: number } | null {
  const { across, along } = workedOutline(bed);
  const inRow = spacingOf(crop, pattern);
  const whole = pack(pattern, across, along, inRow, crop.betweenRows);
  if (whole.count === 0) return null;
  if (bed.form !== 'rectangle') {
    // A round bed or a wedge: by its share of ground, with a tenth to spare for its edges.
    const share = (plants / whole.count) * (bed.form === 'circle' ? 1.4 : 2.1);
    return share <= 1 ? { width: across, length: Math.max(inRow, along * share) } : null;
  }
  const perRow = Math.ceil(plants / whole.rows);
  const length = perRow * inRow;
  return length <= along + 1e-6 ? { width: across, length: Math.min(along, length) } : null;
}
