import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../../calendar/index.ts';
import { neighboursOf } from '../../crops/index.ts';
import { FULL_SUN_HOURS, PART_SUN_HOURS, workedOutline } from '../../ground/index.ts';
import { computeMilestones, type Milestone, startOf } from '../milestones/index.ts';
import { inGroundSpan, lastYearOf, type PlannedBed, rotates, type YearPlan } from '../planning/index.ts';
import { doubtsOf } from '../windows/index.ts';
import { type Demand, isFor, pieceOf, waysOf } from './demand.ts';

/** Why a bed does not do for a part of a wish. */
export const barriers = ['tenure', 'rotation', 'sun', 'soilDepth', 'size', 'neighbours', 'dates'] as const;
export type Barrier = (typeof barriers)[number];

/** One way to meet a part of a wish: a bed, a start, and what it takes. */
export interface Candidate {
  demand: number;
  bedId: string;
  method: ReturnType<typeof waysOf>[number]['method'];
  cropping: ReturnType<typeof waysOf>[number]['cropping'];
  startOn: Day;
  steps: readonly Milestone[];
  width: number;
  length: number;
  from: Day;
  until: Day;
  firstPick: Day | null;
  lastPick: Day | null;
  /** how far from the best time, in weeks: a little less wanted */
  off: number;
}

/** Starts tried in a window beside its best day, in parts of what is left to both sides. */
const STARTS = [0, 0.5, -0.6] as const;
/** A pick this far from the wanted day still meets it, days. */
const PICK_GIVE = 10;

interface Timed {
  method: Candidate['method'];
  cropping: Candidate['cropping'];
  startOn: Day;
  steps: readonly Milestone[];
  off: number;
}

/** All ways to meet the parts, and for each part how many beds each barrier takes away. */
export function candidatesOf(
  plan: YearPlan,
  demands: readonly Demand[],
): {
  candidates: Candidate[];
  barred: Map<Barrier, number>[];
} {
  const candidates: Candidate[] = [];
  const times = new Map<string, Timed[]>();
  const barred = demands.map((demand, i) => {
    const counts = new Map<Barrier, number>();
    for (const bed of plan.beds) {
      const barrier = barrierOf(plan, demand, bed);
      const found = barrier ? null : inBed(plan, demand, i, bed, times);
      const why = barrier ?? (found!.length === 0 ? 'dates' : null);
      if (why) counts.set(why, (counts.get(why) ?? 0) + 1);
      else candidates.push(...found!);
    }
    return counts;
  });
  return { candidates, barred };
}

/** What keeps a part out of a bed whatever its time; null for nothing. */
function barrierOf(plan: YearPlan, { wish, pattern, plants }: Demand, bed: PlannedBed): Barrier | null {
  const { crop } = wish;
  if (!isFor(wish, bed)) return 'tenure';
  if (rotates(crop) && lastYearOf(plan, bed.id, crop.family, plan.year) !== null) return 'rotation';
  const hours = crop.sun === 'full' ? FULL_SUN_HOURS : PART_SUN_HOURS;
  if (bed.sunHours !== null && bed.sunHours < hours - 0.05) return 'sun';
  if (bed.soilDepth !== null && crop.soilDepth > bed.soilDepth + 0.005) return 'soilDepth';
  const here = plan.plantings.filter(({ bedId }) => bedId === bed.id);
  const bad = neighboursOf(crop, plan.evidence).filter(({ is }) => is === 'apart');
  if (here.some((one) => bad.some((other) => other.with === one.crop.id || other.with === one.crop.family))) {
    return 'neighbours';
  }
  return pieceOf(bed, crop, pattern, plants) ? null : 'size';
}

function inBed(
  plan: YearPlan,
  demand: Demand,
  index: number,
  bed: PlannedBed,
  known: Map<string, Timed[]>,
): Candidate[] {
  const piece = pieceOf(bed, demand.wish.crop, demand.pattern, demand.plants)!;
  const almanac = plan.almanacOf(bed.id);
  const { crop, variety } = demand.wish;
  const key = `${crop.id} ${variety.id} ${demand.pickOn} ${almanacKey(plan, bed.id)}`;
  let times = known.get(key);
  if (!times) {
    times = timesOf(plan, demand, almanac);
    known.set(key, times);
  }
  const { along } = workedOutline(bed);
  return times.map(({ steps, ...time }) => {
    const day = (kind: Milestone['kind']) => steps.find((step) => step.kind === kind)?.on ?? null;
    return {
      demand: index,
      bedId: bed.id,
      ...time,
      steps,
      width: piece.width,
      length: Math.min(along, piece.length),
      ...inGroundSpan(steps, plan.seasonFirst),
      firstPick: day('firstPick'),
      lastPick: day('lastPick') ?? day('firstPick'),
    };
  });
}

const almanacIds = new WeakMap<object, number>();
let nextAlmanac = 1;
/** Beds with the same almanac share their dates. */
function almanacKey(plan: YearPlan, bedId: string): number {
  const almanac = plan.almanacOf(bedId);
  let id = almanacIds.get(almanac);
  if (!id) {
    id = nextAlmanac++;
    almanacIds.set(almanac, id);
  }
  return id;
}

/** The starts worth trying, in every part of the season the crop is grown in. */
function timesOf(
  plan: YearPlan,
  { wish, pickOn }: Demand,
  almanac: ReturnType<YearPlan['almanacOf']>,
): Timed[] {
  const { crop, variety } = wish;
  return waysOf(crop, plan.rules).flatMap(({ method, cropping }): Timed[] => {
    const at = (startOn: Day | null) =>
      computeMilestones({ crop, variety, method, cropping, year: plan.year, startOn }, almanac, plan.rules);
    const best = at(null);
    const start = best && startOf(best);
    if (!best || !start || doubtsOf(best).some(({ code }) => code === 'notOwnSeason')) return [];
    const { earliest, best: bestDay, latest } = start.window;
    // What has not been begun cannot begin before today.
    const least = laterOf(earliest, plan.today);
    if (latest < least) return [];
    if (pickOn !== null) return pickedOn(pickOn, at, least, latest, method, cropping);
    const days = STARTS.map((share) =>
      share >= 0
        ? addDays(bestDay, Math.round(share * Math.max(0, daysBetween(bestDay, latest))))
        : addDays(bestDay, Math.round(share * Math.max(0, daysBetween(earliest, bestDay)))),
    ).map((day) => laterOf(least, earlierOf(day, latest)));
    return [...new Set(days)].flatMap((startOn): Timed[] => {
      const steps = at(startOn);
      return steps
        ? [{ method, cropping, startOn, steps, off: Math.abs(daysBetween(bestDay, startOn)) / 7 }]
        : [];
    });
  });
}

/** The start whose first pick comes nearest to a wanted day, found by halving: later starts are never picked earlier. */
function pickedOn(
  wanted: Day,
  at: (startOn: Day) => Milestone[] | null,
  least: Day,
  latest: Day,
  method: Timed['method'],
  cropping: Timed['cropping'],
): Timed[] {
  const pickOf = (steps: readonly Milestone[] | null) => steps?.find(({ kind }) => kind === 'firstPick')?.on;
  let low = 0;
  let high = daysBetween(least, latest);
  while (low < high) {
    const middle = (low + high) >> 1;
    const pick = pickOf(at(addDays(least, middle)));
    if (pick && pick < wanted) low = middle + 1;
    else high = middle;
  }
  const startOn = addDays(least, low);
  const steps = at(startOn);
  const pick = pickOf(steps);
  if (!steps || !pick) return [];
  const off = Math.abs(daysBetween(wanted, pick));
  return off <= PICK_GIVE ? [{ method, cropping, startOn, steps, off: off / 7 }] : [];
}
