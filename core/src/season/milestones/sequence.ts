import type { Day } from '../../calendar/index.ts';
import type { Stage } from '../plan.ts';
import type { Milestone } from './milestone.ts';

/** A step of a sequence of crops in one place: it waits for a stage of an earlier crop, not for a date. */
export interface SequenceStep {
  cropId: string;
  /** the earlier crop and the days from its emergence to the stage that is waited for; null for the first */
  waitsFor: { cropId: string; days: number } | null;
}

/**
 * Corn first, in a block; climbing beans when the corn is about 3 in tall; squash last, a week after them, when it is warm.
 * Common practice, no source (KNOWLEDGE 3.9); the days from emergence to 3 in and to about 8 in of corn from memory.
 */
export const cornBeansSquash: readonly SequenceStep[] = [
  { cropId: 'sweet-corn', waitsFor: null },
  { cropId: 'pole-bean', waitsFor: { cropId: 'sweet-corn', days: 10 } },
  { cropId: 'winter-squash', waitsFor: { cropId: 'sweet-corn', days: 17 } },
];

/** Corn is sown in a block, so that the wind can pollinate it; what follows stands between its plants. */
const PATTERN = 'square';

/** How a crop of a sequence stands in the ground of the first. */
export interface SequencePlace {
  cropId: string;
  pattern: typeof PATTERN;
  /** the crop between whose plants it grows; null for the first, which has the ground */
  between: string | null;
  /** the crop it waits for, and the days from its emergence to the stage that is waited for */
  waitsFor: SequenceStep['waitsFor'];
}

/** The crops of a sequence on one piece of ground, in the order in which they go in. */
export const sequencePlaces = (steps: readonly SequenceStep[]): SequencePlace[] =>
  steps.map(({ cropId, waitsFor }, i) => ({
    ...{ cropId, pattern: PATTERN, waitsFor },
    between: i === 0 ? null : steps[0]!.cropId,
  }));

/** The sequences that can begin with a crop. */
export const sequencesFrom = (cropId: string): readonly (readonly SequenceStep[])[] =>
  [cornBeansSquash].filter((steps) => steps[0]!.cropId === cropId);

/**
 * The stage that a planting waits for, from the steps of the one before it.
 * @param afterDays days from its emergence
 * @param seen the day on which the stage was seen and logged, if it was: it wins over the computed one
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
