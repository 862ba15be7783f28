import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../../calendar/index.ts';
import type { Crop } from '../../crops/index.ts';
import { workedOutline } from '../../ground/index.ts';
import { computeMilestones, type Milestone, startOf } from '../milestones/index.ts';
import {
  harmTogether,
  inGroundSpan,
  lacksOf,
  type PlannedBed,
  standOf,
  tasselsMeet,
  type YearPlan,
} from '../planning/index.ts';
import { doubtsOf } from '../windows/index.ts';
import { type Demand, isFor, pieceOf, waysOf } from './demand.ts';

/** Why a bed does not do for a part of a wish. */
export const barriers = [
  'tenure',
  'rotation',
  'sun',
  'soilDepth',
  'size',
  'neighbours',
  'crossing',
  'dates',
] as const;
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

/** Of how many beds something keeps a part out, and of how many nothing else does. */
export interface Barred {
  beds: number;
  alone: number;
}

/** All ways to meet the parts, and for each part what keeps it out of how many beds. */
export function candidatesOf(
  plan: YearPlan,
  demands: readonly Demand[],
): {
  candidates: Candidate[];
  barred: Map<Barrier, Barred>[];
} {
  const candidates: Candidate[] = [];
  const times = new Map<string, Timed[]>();
  const barred = demands.map((demand, i) => {
    const counts = new Map<Barrier, Barred>();
    for (const bed of plan.beds) {
      const barriers = groundBarriers(plan, demand, bed);
      const found = barriers.length > 0 ? barriers : inBed(plan, demand, i, bed, times);
      if (isBarred(found)) {
        for (const one of found) {
          const { beds, alone } = counts.get(one) ?? { beds: 0, alone: 0 };
          counts.set(one, { beds: beds + 1, alone: alone + (found.length === 1 ? 1 : 0) });
        }
      } else candidates.push(...found);
    }
    return counts;
  });
  return { candidates, barred };
}

const isBarred = (found: readonly (Barrier | Candidate)[]): found is Barrier[] =>
  typeof found[0] === 'string';

/** What keeps a part out of a bed whatever its time. */
function groundBarriers(plan: YearPlan, { wish, pattern, plants }: Demand, bed: PlannedBed): Barrier[] {
  // What a bed that is not for it lacks is nobody's concern.
  if (!isFor(wish, bed)) return ['tenure'];
  const lacks: Barrier[] = lacksOf(plan, bed, wish.crop).map(({ is }) => is);
  return pieceOf(bed, wish.crop, pattern, plants) ? lacks : [...lacks, 'size'];
}

/** What of that which stands keeps a way to meet a part out of its bed. */
function standingBarrier(plan: YearPlan, crop: Crop, bed: PlannedBed, way: Candidate): Barrier | null {
  const own = { ...way, crop };
  if (plan.plantings.some((one) => harmTogether(own, standOf(one, plan), plan))) return 'neighbours';
  const crosses = plan.plantings.some((one) => {
    const there = plan.beds.find(({ id }) => id === one.bedId);
    return tasselsMeet({ crop, bed, steps: way.steps }, { ...one, bed: there }) !== null;
  });
  return crosses ? 'crossing' : null;
}

/** The ways to meet a part in a bed whose ground is fit for it, or what keeps all of them out. */
function inBed(
  plan: YearPlan,
  demand: Demand,
  index: number,
  bed: PlannedBed,
  known: Map<string, Timed[]>,
): Candidate[] | Barrier[] {
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
  if (times.length === 0) return ['dates'];
  const ways = times.map(({ steps, ...time }): Candidate => {
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
  const barriers = ways.map((way) => standingBarrier(plan, crop, bed, way));
  const free = ways.filter((_, n) => barriers[n] === null);
  return free.length > 0 ? free : [...new Set(barriers.flatMap((one) => one ?? []))];
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
