import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../../calendar/index.ts';
import { inGroundOf, type Milestone } from '../milestones/index.ts';
import type { PlannedPlanting, YearPlan } from './yearPlan.ts';

/** A planting as it takes ground: so wide and long, from the day it goes in to the day its ground is free. */
export interface GroundTaken {
  id: string;
  width: number;
  length: number;
  from: Day;
  until: Day;
  /** the planting between whose rows it grows, and so takes no ground of its own while that one stands */
  betweenId: string | null;
}

/**
 * The days on which a planting stands in its bed, both included: from sowing or setting out to clearing, or to its last
 * pick where nothing says when it is cleared. What stands for years has no first step in its later ones: it is there from
 * the first day of the season.
 */
export function inGroundSpan(
  steps: readonly Pick<Milestone, 'kind' | 'on'>[],
  seasonFirst: Day,
): { from: Day; until: Day } {
  const day = (kind: Milestone['kind']) => steps.find((step) => step.kind === kind)?.on;
  const from = inGroundOf(steps)?.on ?? seasonFirst;
  const until = day('clear') ?? day('lastPick') ?? steps.at(-1)!.on;
  return { from, until: laterOf(from, until) };
}

/** A planting as it takes ground in a season's plan. */
export const takenBy = (
  { id, width, length, betweenId, steps }: PlannedPlanting,
  { seasonFirst }: Pick<YearPlan, 'seasonFirst'>,
): GroundTaken => ({ id, width, length, betweenId, ...inGroundSpan(steps, seasonFirst) });

/** True where two are in the ground on a day in common. */
export const meet = (a: GroundTaken, b: GroundTaken): boolean => a.from <= b.until && b.from <= a.until;

/** What takes ground of its own: an interplanting does only outside the time of the planting it stands between. */
export function owned(taken: readonly GroundTaken[]): GroundTaken[] {
  const byId = new Map(taken.map((one) => [one.id, one]));
  return taken.flatMap((one) => {
    const host = one.betweenId ? byId.get(one.betweenId) : undefined;
    if (!host || !meet(one, host)) return [one];
    const before = one.from < host.from ? [{ ...one, until: addDays(host.from, -1) }] : [];
    const after = one.until > host.until ? [{ ...one, from: addDays(host.until, 1) }] : [];
    return [...before, ...after];
  });
}

/** Square metres of a bed that are taken on each of `days` days from `first` on. */
export function areaByDay(taken: readonly GroundTaken[], first: Day, days: number): Float64Array {
  const change = new Float64Array(days + 1);
  for (const { width, length, from, until } of owned(taken)) {
    const start = Math.max(0, daysBetween(first, from));
    const end = Math.min(days, daysBetween(first, until) + 1);
    if (start >= days || end <= start) continue;
    change[start]! += width * length;
    change[end]! -= width * length;
  }
  const area = new Float64Array(days);
  let sum = 0;
  for (let n = 0; n < days; n++) {
    sum += change[n]!;
    area[n] = Math.max(0, sum);
  }
  return area;
}

/** A stretch of days on which more is planned than a bed has room for. */
export interface Overfull {
  from: Day;
  until: Day;
  /** the most that is taken in it, m² */
  area: number;
}

/** Slack for parts of a bed that were typed in feet, m². */
const SLACK_M2 = 1e-3;

/** When a bed is overfull. @param room m² of the bed */
export function overfull(taken: readonly GroundTaken[], room: number): Overfull[] {
  if (taken.length === 0) return [];
  const first = taken.map(({ from }) => from).reduce(earlierOf);
  const last = taken.map(({ until }) => until).reduce(laterOf);
  const area = areaByDay(taken, first, daysBetween(first, last) + 1);
  const spans: Overfull[] = [];
  for (const [n, used] of area.entries()) {
    if (used <= room + SLACK_M2) continue;
    const on = addDays(first, n);
    const open = spans.at(-1);
    if (open && addDays(open.until, 1) === on) {
      open.until = on;
      open.area = Math.max(open.area, used);
    } else spans.push({ from: on, until: on, area: used });
  }
  return spans;
}
