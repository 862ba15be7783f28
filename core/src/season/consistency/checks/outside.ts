import { laterOf } from '../../../calendar/index.ts';
import { outsideWindow, startOf } from '../../milestones/index.ts';
import type { PlannedPlanting, YearPlan } from '../../planning/index.ts';
import { doubtsOf } from '../../windows/index.ts';
import type { Remedy, Trial } from '../row.ts';
import { rowWith } from '../row.ts';
import { startedOn } from '../trial.ts';

/* Plantings outside their time, or of what the place is against. */

/** A chance of frost smaller than this is no reason to speak of what is planted already. */
const SELDOM = 0.05;

/** How a planting stands outside its window, where that can still be helped or cost something. */
function outsideOf(plan: YearPlan, { crop, bedId, protection, steps }: PlannedPlanting) {
  const almanac = plan.almanacOf(bedId, protection);
  const outside = outsideWindow(crop, steps, almanac, plan.year, plan.today);
  const isBegun = startOf(steps)?.done ?? true;
  // What was logged stands: only frost that may still come is worth a word.
  if (!outside || (isBegun && (outside.how === 'late' || (outside.lost ?? 0) < SELDOM))) return null;
  return outside;
}

/** The start put on a day, where that brings it into its window. */
function started({ plan, free }: Trial, on: 'best' | 'latest'): Remedy[] {
  const planting = free.at(-1);
  const start = planting && startOf(planting.steps);
  if (!planting || !start) return [];
  const startOn = laterOf(start.window[on], plan.today);
  if (startOn > start.window.latest) return [];
  const steps = startedOn(plan, planting, startOn);
  return steps && !outsideOf(plan, { ...planting, steps })
    ? [{ kind: 'startOn', plantingId: planting.id, startOn }]
    : [];
}

/** A quicker kind of the crop that is still in time on the day. */
function quicker({ plan, free }: Trial): Remedy[] {
  const planting = free.at(-1);
  const start = planting && startOf(planting.steps);
  if (!planting || !start) return [];
  return planting.crop.varieties.flatMap((variety): Remedy[] => {
    if (variety.daysToMaturity.usual >= planting.variety.daysToMaturity.usual) return [];
    const steps = startedOn(plan, { ...planting, variety }, start.on);
    if (!steps || outsideOf(plan, { ...planting, variety, steps })) return [];
    return [{ kind: 'crop', plantingId: planting.id, cropId: planting.crop.id, varietyId: variety.id }];
  });
}

/** A planting begins before its window opens. */
export const tooEarly = rowWith({
  severity: 2,
  facts: { days: 'days', opens: 'day', lost: 'frostRisk' },
  inBed: (plan, bed, here) =>
    here.flatMap((planting) => {
      const outside = outsideOf(plan, planting);
      if (outside?.how !== 'early') return [];
      const { days, bound, lost } = outside;
      return [{ bedId: bed.id, plantingIds: [planting.id], days, opens: bound, lost }];
    }),
  remedies: (trial) => started(trial, 'best'),
});

/** A planting begins after its window has closed. */
export const tooLate = rowWith({
  severity: 2,
  facts: { days: 'days', closed: 'day', lost: 'frostLoss' },
  inBed: (plan, bed, here) =>
    here.flatMap((planting) => {
      const outside = outsideOf(plan, planting);
      if (outside?.how !== 'late') return [];
      const { days, bound, lost } = outside;
      return [{ bedId: bed.id, plantingIds: [planting.id], days, closed: bound, lost }];
    }),
  remedies: (trial) => [...started(trial, 'latest'), ...quicker(trial)],
});

/** The place is against a planting, whenever it begins. */
export const notAdvised = rowWith({
  severity: 2,
  facts: { doubt: 'reason' },
  inBed: (_, bed, here) =>
    here.flatMap((planting) => {
      const [doubt] = doubtsOf(planting.steps);
      return doubt ? [{ bedId: bed.id, plantingIds: [planting.id], doubt }] : [];
    }),
});
