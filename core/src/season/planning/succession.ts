import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import type { Almanac } from '../../place/index.ts';
import { computeMilestones, type Milestone, type MilestoneKind, startOf } from '../milestones/index.ts';
import type { PlantingPlan } from '../plan.ts';
import type { HouseRules } from '../rules.ts';

/** Sowings at even intervals, or so that harvests come at even intervals. */
export type SuccessionBy = 'sowing' | 'harvest';

/** One planting of a series. */
export interface Succeeding {
  startOn: Day;
  firstPick: Day;
  /** false where the window of the crop has closed by then */
  inWindow: boolean;
}

/** More plantings than this are no series but a mistake. */
export const MOST_IN_SERIES = 20;

const dayOf = (steps: readonly Milestone[], kind: MilestoneKind): Day | undefined =>
  steps.find((step) => step.kind === kind)?.on;

/**
 * The starts of a series of plantings of one crop. By harvest, each start is the first from which the first pick comes
 * the wanted days after the one before: early sowings are caught up by later ones in warmer weather, so even harvests
 * need sowings close together at first and farther apart later.
 * @param first the start of the first planting
 * @param every days between sowings, or between first picks; at least 1
 * @param count plantings in all, the first among them
 * @returns the series, shorter where the year ends before it; null where the crop is not grown that way
 */
export function succession(
  plan: PlantingPlan,
  almanac: Almanac,
  rules: HouseRules,
  first: Day,
  by: SuccessionBy,
  every: number,
  count: number,
): Succeeding[] | null {
  if (!(every >= 1) || !(count >= 1))
    throw new RangeError('a series needs a day between and one planting at least');
  const at = (startOn: Day): Succeeding | null => {
    const steps = computeMilestones({ ...plan, startOn }, almanac, rules);
    const firstPick = steps && dayOf(steps, 'firstPick');
    if (!steps || !firstPick) return null;
    const start = startOf(steps)!;
    return { startOn, firstPick, inWindow: startOn <= start.window.latest };
  };
  const opening = at(first);
  if (!opening) return null;
  const series = [opening];
  while (series.length < Math.min(count, MOST_IN_SERIES)) {
    const before = series.at(-1)!;
    const next =
      by === 'sowing'
        ? at(addDays(before.startOn, every))
        : nextByHarvest(at, before, addDays(before.firstPick, every));
    if (!next || daysBetween(first, next.startOn) > 300) break;
    series.push(next);
  }
  return series;
}

/** The first start after another whose first pick is not before a day; growth may slow so that none is exactly on it. */
function nextByHarvest(
  at: (startOn: Day) => Succeeding | null,
  before: Succeeding,
  wanted: Day,
): Succeeding | null {
  // First picks never come earlier for a later start, so the start is found by halving.
  let low = 1;
  let high = Math.max(2, daysBetween(before.firstPick, wanted) * 4);
  while (low < high) {
    const middle = (low + high) >> 1;
    const tried = at(addDays(before.startOn, middle));
    if (!tried || tried.firstPick >= wanted) high = middle;
    else low = middle + 1;
  }
  return at(addDays(before.startOn, low));
}
