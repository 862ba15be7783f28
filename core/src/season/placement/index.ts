import type { Day } from '../../calendar/index.ts';
import { groundArea } from '../../ground/index.ts';
import type { YearPlan } from '../planning/index.ts';
import { sunWanted, takenBy } from '../planning/index.ts';
import { type Barred, type Barrier, barriers, type Candidate, candidatesOf } from './candidate.ts';
import { type Demand, demandsOf, groundPerPlant, plantsOf, type Wish } from './demand.ts';
import { greedyPlacement } from './greedy.ts';
import { type PlacementModel, placementModel, weeklyGrams } from './model.ts';
import { openParts } from './standing.ts';

export { type Barrier, barriers, type Candidate, type Demand, plantsOf, type Wish };

/** Why a wish was not met, or not wholly: what the most beds lack, or that the room went to what matters more. */
export type Unmet = {
  wishId: string;
  /** parts that found a place, of all */
  placed: number;
  parts: number;
} & (
  | { why: 'moreThanGarden'; area: number; there: number }
  | { why: 'noYieldKnown' }
  | { why: 'barred'; barrier: Barrier; beds: number; of: number }
  /** none of the `beds` that are fit is free from `from` to `until`; `hours` of sun a day they have, null where that is not known of all */
  | { why: 'room'; beds: number; hours: number | null; from: Day; until: Day }
);

/** A placement as it can be looked at, edited and applied. */
export interface Placement {
  chosen: { wishId: string; candidate: Candidate; demand: Demand }[];
  unmet: Unmet[];
  /** wishes met by weight, of all */
  met: number;
  wanted: number;
  /** expected grams by week from the season's first day on, as far as yields are known */
  weeks: number[];
  seasonFirst: Day;
}

/** A season's wishes, ready for a solver. */
export interface Posed extends PlacementModel {
  plan: YearPlan;
  wishes: readonly Wish[];
  /** wishes that the plan meets already */
  standing: ReadonlySet<string>;
  barred: Map<Barrier, Barred>[];
  /** a first choice to begin with, by column */
  first: Float64Array;
}

/**
 * Poses a season's wishes as a model: where, how much and when, so that the ground suffices at all times, rotation, sun,
 * soil, neighbours and tenure hold, and what stands by hand stays.
 * @param plan its plantings are those that stay
 */
export function pose(plan: YearPlan, wishes: readonly Wish[]): Posed {
  const shared = plan.beds.filter(({ tenure }) => tenure !== 'plot');
  const areas = (shared.length > 0 ? shared : plan.beds).map(groundArea).sort((a, b) => a - b);
  // Parts of half an ordinary bed leave room beside them.
  const room = (areas[areas.length >> 1] ?? 1) / 2;
  const open = wishes.map((wish) => openParts(plan, wish, room));
  const demands = open.flat();
  // What the plan has already needs no place; a wish that comes to no parts at all is not met by that.
  const standing = new Set(
    wishes.filter((wish, i) => open[i]!.length === 0 && demandsOf(wish, room).length > 0).map(({ id }) => id),
  );
  const { candidates, barred } = candidatesOf(plan, demands);
  const fixed = plan.plantings.map((planting) => ({ ...takenBy(planting, plan), bedId: planting.bedId }));
  const model = placementModel(plan, demands, candidates, fixed);
  const first = complete(model, greedyPlacement(plan, demands, candidates, fixed));
  return { ...model, plan, wishes, standing, barred, first };
}

/** The values of all columns that follow from a choice of candidates. */
function complete(
  { mip, candidates, demands, met }: PlacementModel,
  chosen: readonly number[],
): Float64Array {
  const values = new Float64Array(mip.columns.length);
  for (const i of chosen) values[i] = 1;
  const placed = new Set(chosen.map((i) => candidates[i]!.demand));
  for (const [wishId, column] of met) {
    const parts = demands.flatMap((demand, d) => (demand.wish.id === wishId ? [d] : []));
    if (parts.every((d) => placed.has(d))) values[column] = 1;
  }
  // What the other columns have to be at the least, by the rows they stand in.
  for (const { terms, most } of mip.rows) {
    const last = terms.at(-1)!;
    if (last[1] >= 0 || last[0] < candidates.length) continue;
    if ([...met.values()].includes(last[0])) continue;
    const sum = terms.slice(0, -1).reduce((total, [column, times]) => total + times * values[column]!, 0);
    const least = (sum - most) / -last[1];
    const column = mip.columns[last[0]]!;
    values[last[0]] = Math.max(values[last[0]]!, column.whole ? Math.ceil(least - 1e-9) : least, 0);
  }
  return values;
}

/** A solver's choice as plantings, with every wish that failed and why. @param values by column of the model */
export function readPlacement(posed: Posed, values: ArrayLike<number>): Placement {
  const { plan, wishes, standing, demands, candidates } = posed;
  const chosen = candidates.flatMap((candidate, i) =>
    values[i]! > 0.5
      ? [{ wishId: demands[candidate.demand]!.wish.id, candidate, demand: demands[candidate.demand]! }]
      : [],
  );
  const weeks: number[] = [];
  for (const { candidate, demand } of chosen) {
    for (const [week, grams] of weeklyGrams(demand, candidate, plan.seasonFirst)) {
      if (week >= 0) weeks[week] = (weeks[week] ?? 0) + grams;
    }
  }
  let met = 0;
  const unmet: Unmet[] = [];
  for (const wish of wishes) {
    const parts = demands.flatMap((demand, d) => (demand.wish === wish ? [d] : []));
    const placed = new Set(
      chosen.flatMap(({ wishId, candidate }) => (wishId === wish.id ? [candidate.demand] : [])),
    );
    const isMet = parts.length > 0 ? placed.size === parts.length : standing.has(wish.id);
    if (isMet) met += wish.weight;
    else {
      const why = whyUnmet(posed, wish, parts, placed);
      unmet.push({ wishId: wish.id, placed: placed.size, parts: parts.length, ...why });
    }
  }
  const wanted = wishes.reduce((sum, { weight }) => sum + weight, 0);
  return {
    chosen,
    unmet,
    met,
    wanted,
    weeks: Array.from(weeks, (grams) => grams ?? 0),
    seasonFirst: plan.seasonFirst,
  };
}

type Why = Unmet extends infer U ? (U extends Unmet ? Omit<U, 'wishId' | 'placed' | 'parts'> : never) : never;

function whyUnmet(posed: Posed, wish: Wish, parts: readonly number[], placed: ReadonlySet<number>): Why {
  const { plan, candidates, barred } = posed;
  if (parts.length === 0) {
    const plants = plantsOf(wish);
    if (plants === 0) return { why: 'noYieldKnown' };
    const there = plan.beds.reduce((sum, bed) => sum + groundArea(bed), 0);
    return { why: 'moreThanGarden', area: plants * groundPerPlant(wish.crop).area, there };
  }
  const without = parts.find((d) => !candidates.some(({ demand }) => demand === d));
  if (without === undefined) return noRoom(posed, parts, placed);
  const { barrier, beds } = bindingBarrier(barred[without]!);
  const notForIt = barrier === 'tenure' ? 0 : (barred[without]!.get('tenure')?.beds ?? 0);
  return { why: 'barred', barrier, beds, of: plan.beds.length - notForIt };
}

/** The barrier that alone keeps a part out of the most beds; of those that never are alone, the one at the most. */
function bindingBarrier(barred: ReadonlyMap<Barrier, Barred>): { barrier: Barrier; beds: number } {
  const all = [...barred].map(([barrier, counts]) => ({ barrier, ...counts }));
  // Where some beds are for it, it is told of those what they lack.
  const ofOwnBeds = all.filter(({ barrier }) => barrier !== 'tenure');
  const [most] = (ofOwnBeds.length > 0 ? ofOwnBeds : all).sort(
    (a, b) => b.alone - a.alone || b.beds - a.beds,
  );
  return most ?? { barrier: 'size', beds: 0 };
}

/** Beds are fit for what has found no place, and none of them is free at its time. */
function noRoom(
  { plan, candidates, demands }: Posed,
  parts: readonly number[],
  placed: ReadonlySet<number>,
): Why {
  const left = parts.find((d) => !placed.has(d)) ?? parts[0]!;
  const ways = candidates.filter(({ demand }) => demand === left);
  const best = ways.reduce((a, b) => (b.off < a.off ? b : a));
  const fit = new Set(ways.map(({ bedId }) => bedId));
  const isKnown = plan.beds.every(({ id, sunHours }) => !fit.has(id) || sunHours !== null);
  const hours = isKnown ? sunWanted(demands[left]!.wish.crop) : null;
  return { why: 'room', beds: fit.size, hours, from: best.from, until: best.until };
}
