import { addDays, type Day } from '../../calendar/index.ts';
import { workedOutline } from '../../ground/index.ts';
import { computeMilestones, startOf } from '../milestones/index.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from '../planning/index.ts';
import type { Remedy, Trial } from './row.ts';

/* Changes that more than one kind of finding tries. */

/** So many other beds are offered. */
const MOST_BEDS = 3;
/** A later start is looked for so far ahead, days. */
const MOST_DAYS_LATER = 70;

/** The steps of a planting with another start; null where the crop does not grow so. */
export const startedOn = (plan: YearPlan, planting: PlannedPlanting, startOn: Day | null) => {
  const { crop, variety, method, cropping, bedId, protection } = planting;
  return computeMilestones(
    { crop, variety, method, cropping, year: plan.year, startOn },
    plan.almanacOf(bedId, protection),
    plan.rules,
  );
};

/** A planting moved to a bed, its steps computed there; null where the crop does not grow there so. */
function movedTo(plan: YearPlan, planting: PlannedPlanting, bed: PlannedBed): PlannedPlanting | null {
  const { across, along } = workedOutline(bed);
  const width = Math.min(planting.width, across);
  // As much ground as before, where the bed is narrower.
  const length = Math.min(along, (planting.width * planting.length) / width);
  if (width * length < planting.width * planting.length * 0.95) return null;
  const steps = startedOn(plan, { ...planting, bedId: bed.id }, startOf(planting.steps)?.on ?? null);
  return steps && { ...planting, bedId: bed.id, width, length, betweenId: null, steps };
}

/**
 * Other beds, held in the same way, that take the last of the plantings that may change.
 * @param prefer where beds differ: how much each is wanted, the most wanted first
 */
export function elsewhere(trial: Trial, prefer: (bed: PlannedBed) => number = () => 0): Remedy[] {
  const planting = trial.free.at(-1);
  return planting ? elsewhereFor(trial, planting, prefer) : [];
}

/** Other beds, held in the same way, that take a planting. */
export function elsewhereFor(
  { plan, fits }: Trial,
  planting: PlannedPlanting,
  prefer: (bed: PlannedBed) => number = () => 0,
): Remedy[] {
  const from = plan.beds.find(({ id }) => id === planting.bedId);
  const order = plan.beds
    .filter((bed) => bed.id !== planting.bedId && bed.tenure === (from?.tenure ?? null))
    .sort((a, b) => prefer(b) - prefer(a));
  const offers: Remedy[] = [];
  for (const bed of order) {
    const moved = movedTo(plan, planting, bed);
    if (!moved || !fits(bed, moved)) continue;
    offers.push({ kind: 'moveBed', plantingId: planting.id, bedId: bed.id });
    if (offers.length === MOST_BEDS) break;
  }
  return offers;
}

/** The last of the plantings that may change, started so late that it is first picked `days` later, as far as its window goes. */
export function later({ plan, free }: Trial, days: number): Remedy[] {
  const planting = free.at(-1);
  const start = planting && startOf(planting.steps);
  if (!start) return [];
  const pickOf = (steps: PlannedPlanting['steps'] | null) =>
    steps?.find(({ kind }) => kind === 'firstPick')?.on;
  const wanted = addDays(pickOf(planting.steps) ?? start.on, days);
  for (let more = 1; more <= MOST_DAYS_LATER; more++) {
    const startOn = addDays(start.on, more);
    if (startOn > start.window.latest) return [];
    const pick = pickOf(startedOn(plan, planting, startOn));
    if (pick && pick >= wanted) return [{ kind: 'startOn', plantingId: planting.id, startOn }];
  }
  return [];
}
