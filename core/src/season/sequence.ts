import type { Day } from '../calendar/index.ts';
import type { Milestone } from './milestone.ts';
import type { Stage } from './plan.ts';

/** A step of a sequence of crops in one place: it waits for a stage of the crop before it, not for a date. */
export interface SequenceStep {
  cropId: string;
  /** days from the emergence of the crop before to the stage it waits for; null for the first */
  afterEmergenceDays: number | null;
}

/**
 * Corn first, in a block; climbing beans when the corn is about 3 in tall; squash last, when it is warm.
 * Common practice, no source (KNOWLEDGE 3.9); the days to 3 in of corn, and on to squash, from memory.
 */
export const cornBeansSquash: readonly SequenceStep[] = [
  { cropId: 'sweet-corn', afterEmergenceDays: null },
  { cropId: 'pole-bean', afterEmergenceDays: 10 },
  { cropId: 'winter-squash', afterEmergenceDays: 7 },
];

/** The sequences that can begin with a crop. */
export const sequencesFrom = (cropId: string): readonly (readonly SequenceStep[])[] =>
  [cornBeansSquash].filter((steps) => steps[0]!.cropId === cropId);

/**
 * The stage that a planting waits for, from the steps of the one before it.
 * @param afterDays days from its emergence
 * @param seen the day on which the stage was seen and logged, if it was: it wins over the reckoned one
 * @returns null where the planting before does not come up from seed
 */
export function stageOf(
  cropId: string,
  steps: readonly Milestone[],
  afterDays: number,
  seen: Day | null = null,
): Stage | null {
  if (seen !== null) return { cropId, from: seen, days: 0 };
  const up = steps.find(({ kind }) => kind === 'emerge');
  return up ? { cropId, from: up.on, days: afterDays } : null;
}
