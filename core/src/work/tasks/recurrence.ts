import { addDays, type Day, daysBetween, laterOf } from '../../calendar/index.ts';
import { type Crop, daysBetweenPicks } from '../../crops/index.ts';
import { isSowing, type Milestone, type MilestoneKind } from '../../season/index.ts';
import type { Recurrence } from '../kinds/index.ts';

/** A planting, as far as it tells when work on it comes round. */
export interface RecurringPlanting {
  crop: Pick<Crop, 'harvest' | 'growth' | 'feedEveryDays'>;
  steps: readonly Milestone[];
  /** mean temperature of a day where it stands, °C */
  meanOn(day: Day): number;
}

/** Which times of what comes round are wanted: those from today to a day that is looked ahead to, and some by name. */
export interface Wanted {
  today: Day;
  until: Day;
  /** times that are wanted whatever their day, as those that stand in a session or were marked */
  kept?: readonly TimeName[];
}

/** What tells a time of work from the others: its day where it is of every day, else its number. */
export type TimeName = { day: Day } | { nth: number };

/** One time of work that comes round. */
export interface Time {
  name: TimeName;
  /** 1 for the first */
  nth: number;
  on: Day;
  latest: Day;
  /** true where the log has it */
  isLogged: boolean;
}

/**
 * The times at which work comes round for a planting. Daily work has its days, one by one, and a day that is past is past;
 * feeding and picking are counted on from the last time that was logged, so that one of them at most is overdue.
 * @param logged the days on which it was done, by the log, in any order
 * @returns the first time too where it is a step of its own; none where the planting has not the steps it lies between
 */
export function timesOf(
  { from, until, every }: Recurrence,
  planting: RecurringPlanting,
  logged: readonly Day[],
  wanted: Wanted,
): Time[] {
  const { steps } = planting;
  const first = from.map((kind) => stepOf(steps, kind)).find((step) => step !== undefined);
  const last = stepOf(steps, until);
  if (!first || !last) return [];
  const done = [...new Set(logged)].sort();
  if (every === 'day') return daysOf(first, last, done, wanted);
  return countedOn(first, last, done, wanted, (on) =>
    every === 'feeding'
      ? (planting.crop.feedEveryDays ?? null)
      : daysBetweenPicks(planting.crop, planting.meanOn(on)),
  );
}

const stepOf = (steps: readonly Milestone[], kind: MilestoneKind): Milestone | undefined =>
  steps.find((step) => step.kind === kind);

/** Every day from a step to the one that ends it. What is not up by the day expected is waited for to the last of its window. */
function daysOf(first: Milestone, last: Milestone, done: readonly Day[], wanted: Wanted): Time[] {
  const { today, until, kept = [] } = wanted;
  // What has not been begun on its day is begun today at the soonest.
  const delay = first.done ? 0 : Math.max(0, daysBetween(first.on, today));
  // What is done when seed is sown includes that day's water: its days begin with the next.
  const begin = addDays(first.on, delay + (isSowing(first.kind) ? 1 : 0));
  const end = last.done ? last.on : addDays(isSowing(first.kind) ? last.window.latest : last.on, delay);
  const days = new Set(kept.flatMap((name) => ('day' in name ? [name.day] : [])));
  for (let on = laterOf(begin, today); on < end && on <= until; on = addDays(on, 1)) days.add(on);
  return [...days].sort().map((on) => ({
    name: { day: on },
    nth: daysBetween(begin, on) + 1,
    on,
    latest: on,
    isLogged: done.includes(on),
  }));
}

/** Times so many days apart, the next one counted from the last that was done. */
function countedOn(
  first: Milestone,
  last: Milestone,
  done: readonly Day[],
  { today, until, kept = [] }: Wanted,
  everyDays: (on: Day) => number | null,
): Time[] {
  const keptNths = new Set(kept.flatMap((name) => ('nth' in name ? [name.nth] : [])));
  const furthest = Math.max(0, ...keptNths);
  const timeOf = (nth: number, on: Day, latest: Day, isLogged: boolean): Time => ({
    ...{ name: { nth }, nth, on, latest, isLogged },
  });
  const times = done.map((on, i) => timeOf(i + 1, on, on, true));
  if (times.length === 0) times.push(timeOf(1, first.on, first.window.latest, first.done));
  for (let before = times.at(-1)!; ; before = times.at(-1)!) {
    // What is overdue is done today at the soonest, and what comes after it so much later.
    const from = before.isLogged ? before.on : laterOf(before.on, today);
    const days = everyDays(from);
    if (days === null) break;
    const on = addDays(from, days);
    if ((on > last.on || on > until) && before.nth >= furthest) break;
    times.push(timeOf(before.nth + 1, on, addDays(on, days - 1), false));
  }
  return times.filter(
    ({ nth, on, isLogged }) => keptNths.has(nth) || (!isLogged && on <= until && on <= last.on),
  );
}
