import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import { contains, gridInside, outlineOf, shadowOf, workedOutline } from '../../ground/index.ts';
import { groupedBy } from '../../maths/index.ts';
import { Mip } from '../../solving/index.ts';
import type { YearPlan } from '../planning/index.ts';
import {
  type GroundTaken,
  isCorn,
  isTall,
  keptApart,
  owned,
  SHADED_SHARE,
  summerNoon,
} from '../planning/index.ts';
import type { Candidate } from './candidate.ts';
import { type Conflicts, conflictsOf } from './conflicts.ts';
import { type Demand, yieldOf } from './demand.ts';

/** What meeting a wish is worth, times its weight; all that is less important is small beside it. */
const WISH = 1000;
/** What each part that finds a place is worth beside its whole wish, so that half a wish is better than none. */
const PART = 150;
/** What an overfull week of harvest costs for the whole season's amount beyond its share. */
const UNEVEN = 40;
/** What each further bed with tender crops costs. */
const TENDER_BED = 4;
/** What a tall crop costs for each bed that lies in its noon shadow: tall goes to the side away from the sun. */
const SHADES_BED = 6;
/** What a week away from the best time costs. */
const OFF_WEEK = 0.5;
/** A week may bring so many times its even share before it counts. */
const EVEN_SHARE = 2;

/** A season's placement as a mixed-integer model, with the meaning of its first columns. */
export interface PlacementModel {
  mip: Mip;
  /** the column of candidate i is i */
  candidates: readonly Candidate[];
  demands: readonly Demand[];
  /** columns that say a wish is met as a whole, by wish */
  met: Map<string, number>;
}

/**
 * Builds the model: each part of a wish stands at most once; at no time is more of a bed taken than it has; what does not
 * go together is not put into one bed; and the more important of two ends always wins.
 * @param fixed what stands in the beds already
 */
export function placementModel(
  plan: YearPlan,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
  fixed: readonly (GroundTaken & { bedId: string })[],
): PlacementModel {
  const mip = new Mip();
  const shades = bedsShadedBy(plan);
  for (const [i, candidate] of candidates.entries()) {
    const demand = demands[candidate.demand]!;
    const parts = demands.filter(({ wish }) => wish === demand.wish).length;
    const whole = parts === 1 ? WISH * demand.wish.weight : 0;
    const shade = isTall(demand.wish.crop) ? SHADES_BED * (shades.get(candidate.bedId) ?? 0) : 0;
    mip.column(`x${i}`, whole + (PART * demand.wish.weight) / parts - OFF_WEEK * candidate.off - shade);
  }
  const byDemand = groupIndex(candidates, ({ demand }) => demand);
  const met = wholeWishes(mip, demands, byDemand);
  for (const [demand, list] of byDemand) {
    mip.row(
      `once ${demand}`,
      list.map((i) => [i, 1] as const),
      0,
      1,
    );
  }
  const byBed = groupIndex(candidates, ({ bedId }) => bedId);
  for (const bed of plan.beds) {
    const list = byBed.get(bed.id) ?? [];
    if (list.length === 0) continue;
    const here = owned(fixed.filter(({ bedId }) => bedId === bed.id));
    capacity(mip, candidates, list, here, workedOutline(bed));
    apartInTime(mip, plan, demands, candidates, list);
    tenderBed(mip, demands, candidates, list, bed.id);
  }
  kindsApart(mip, demands, candidates, conflictsOf(plan, demands, candidates));
  evenHarvest(mip, plan, demands, candidates);
  return { mip, candidates, demands, met };
}

/** A crop as high as this stands for the tall ones, metres. */
const TALL_CROP_M = 1.8;

/** How many other beds lie in the noon shadow of something tall in each bed. */
function bedsShadedBy(plan: YearPlan): Map<string, number> {
  const { beds, north } = plan;
  const noon = summerNoon(plan);
  const outlines = new Map(beds.map((bed) => [bed.id, outlineOf(bed)]));
  const places = new Map(beds.map((bed) => [bed.id, gridInside(outlines.get(bed.id)!, 12)]));
  return new Map(
    beds.map((bed) => {
      const shadow = shadowOf({ outline: outlines.get(bed.id)!, height: TALL_CROP_M }, noon, north);
      const shaded = beds.filter((other) => {
        if (other.id === bed.id) return false;
        const here = places.get(other.id)!;
        const dark = here.filter((p) => shadow.some((part) => contains(part, p))).length;
        return dark / here.length >= SHADED_SHARE;
      });
      return [bed.id, shaded.length];
    }),
  );
}

/** Places in a list, by what stands there. */
const groupIndex = <T, K>(list: readonly T[], key: (one: T) => K): Map<K, number[]> =>
  groupedBy([...list.keys()], (i) => key(list[i]!));

/** A wish of several parts is met when every part stands. */
function wholeWishes(
  mip: Mip,
  demands: readonly Demand[],
  byDemand: Map<number, number[]>,
): Map<string, number> {
  const met = new Map<string, number>();
  const byWish = groupIndex(demands, ({ wish }) => wish.id);
  for (const [id, parts] of byWish) {
    if (parts.length < 2) continue;
    const column = mip.column(`met ${id}`, WISH * demands[parts[0]!]!.wish.weight);
    met.set(id, column);
    for (const part of parts) {
      const terms = (byDemand.get(part) ?? []).map((i) => [i, 1] as const);
      mip.row(`part ${part}`, [...terms, [column, -1]], 0, Number.POSITIVE_INFINITY);
    }
  }
  return met;
}

/** On every day on which something new goes in, what stands takes no more of the bed's length than there is. */
function capacity(
  mip: Mip,
  candidates: readonly Candidate[],
  list: readonly number[],
  fixed: readonly GroundTaken[],
  { across, along }: { across: number; along: number },
): void {
  const stands = [...list.map((i) => candidates[i]!), ...fixed];
  for (const day of fullestDays(stands)) {
    const now = list.filter((i) => standsOn(candidates[i]!, day));
    const taken = fixed
      .filter((one) => standsOn(one, day))
      .reduce((sum, { width, length }) => sum + (width * length) / across, 0);
    const room = Math.max(0, along - taken);
    const terms = now.map((i) => [i, candidates[i]!.length] as const);
    const all = terms.reduce((sum, [, length]) => sum + length, 0);
    if (all > room) mip.row(`room ${list[0]} ${day}`, terms, 0, room + 1e-6);
  }
}

/**
 * The days that ask for all that any day asks for: those on which something goes in, and before the next of which something
 * ends. Where nothing does, the next one asks for the same, and more.
 */
function fullestDays(stands: readonly Pick<Candidate, 'from' | 'until'>[]): Day[] {
  const starts = [...new Set(stands.map(({ from }) => from))].sort();
  const ends = [...new Set(stands.map(({ until }) => until))].sort();
  return starts.filter((day, n) => {
    const next = starts[n + 1];
    return next === undefined || ends.some((end) => day <= end && end < next);
  });
}

/** Crops that harm each other share no bed on any day. */
function apartInTime(
  mip: Mip,
  plan: YearPlan,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
  list: readonly number[],
): void {
  const cropOf = (i: number) => demands[candidates[i]!.demand]!.wish.crop;
  const byCrop = [...groupedBy(list, (i) => cropOf(i).id).values()];
  for (const [n, some] of byCrop.entries()) {
    for (const others of byCrop.slice(n + 1)) {
      if (!keptApart(cropOf(some[0]!), cropOf(others[0]!), plan)) continue;
      for (const day of fullestDays([...some, ...others].map((i) => candidates[i]!))) {
        const [here, there] = [some, others].map((all) => all.filter((i) => standsOn(candidates[i]!, day)));
        if (here!.length === 0 || there!.length === 0) continue;
        const terms = [here!, there!].flatMap((all) => oneOf(mip, candidates, all, day));
        mip.row(`apart ${here![0]} ${there![0]} ${day}`, terms, 0, 1);
      }
    }
  }
}

const standsOn = ({ from, until }: Pick<Candidate, 'from' | 'until'>, day: Day): boolean =>
  from <= day && day <= until;

/** Terms that come to 1 at the most, and to no less than any of some candidates. */
function oneOf(
  mip: Mip,
  candidates: readonly Candidate[],
  some: readonly number[],
  day: Day,
): (readonly [number, number])[] {
  // Of the candidates of one part only one is chosen anyhow.
  if (new Set(some.map((i) => candidates[i]!.demand)).size === 1) return some.map((i) => [i, 1] as const);
  const name = `any of ${some.join(' ')} on ${day}`;
  const column = mip.column(name, 0, { whole: false });
  for (const i of some) {
    const terms = [[i, 1] as const, [column, -1] as const];
    mip.row(`${i} is ${name}`, terms, Number.NEGATIVE_INFINITY, 0);
  }
  return [[column, 1] as const];
}

/** Two kinds of corn whose pollen reaches each other are not both chosen. */
function kindsApart(
  mip: Mip,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
  { clash }: Conflicts,
): void {
  const cropOf = (i: number) => demands[candidates[i]!.demand]!.wish.crop;
  const corn = [...candidates.keys()].filter((i) => isCorn(cropOf(i)));
  for (const i of corn) {
    const bad = corn.filter((j) => cropOf(i).id < cropOf(j).id && clash(i, j));
    if (bad.length === 0) continue;
    const terms = [[i, bad.length] as const, ...bad.map((j) => [j, 1] as const)];
    mip.row(`crosses ${i}`, terms, 0, bad.length);
  }
}

function tenderBed(
  mip: Mip,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
  list: readonly number[],
  bedId: string,
): void {
  const tender = list.filter((i) => demands[candidates[i]!.demand]!.wish.crop.hardiness !== 'hardy');
  if (tender.length === 0) return;
  const column = mip.column(`tender ${bedId}`, -TENDER_BED);
  const parts = new Set(tender.map((i) => candidates[i]!.demand)).size;
  mip.row(
    `covers ${bedId}`,
    [...tender.map((i) => [i, 1] as const), [column, -parts]],
    Number.NEGATIVE_INFINITY,
    0,
  );
}

/** Grams a candidate brings in each week of the season from `first` on. */
export function weeklyGrams(
  demand: Demand,
  { firstPick, lastPick }: Candidate,
  first: Day,
): [week: number, grams: number][] {
  const gives = yieldOf(demand.wish.crop);
  if (!gives || !firstPick) return [];
  const from = Math.floor(daysBetween(first, firstPick) / 7);
  const to = Math.max(from, Math.floor(daysBetween(first, lastPick ?? firstPick) / 7));
  const each = (gives.grams * demand.plants) / (to - from + 1);
  return Array.from({ length: to - from + 1 }, (_, i) => [from + i, each]);
}

/** A week that brings far more than its share costs something. */
function evenHarvest(
  mip: Mip,
  plan: YearPlan,
  demands: readonly Demand[],
  candidates: readonly Candidate[],
): void {
  const total = demands.reduce((sum, { wish, plants }) => sum + (yieldOf(wish.crop)?.grams ?? 0) * plants, 0);
  if (total === 0) return;
  const weeks = new Map<number, [number, number][]>();
  for (const [i, candidate] of candidates.entries()) {
    for (const [week, grams] of weeklyGrams(demands[candidate.demand]!, candidate, plan.seasonFirst)) {
      const known = weeks.get(week) ?? [];
      known.push([i, grams / total]);
      weeks.set(week, known);
    }
  }
  const share = EVEN_SHARE / Math.max(1, Math.min(26, weeks.size));
  for (const [week, terms] of weeks) {
    const column = mip.column(`glut ${addDays(plan.seasonFirst, week * 7)}`, -UNEVEN, { whole: false });
    mip.row(`week ${week}`, [...terms, [column, -1]], Number.NEGATIVE_INFINITY, share);
  }
}
