import { addDays } from '../../../calendar/index.ts';
import { inGroundOf } from '../../milestones/index.ts';
import { rowWith } from '../row.ts';

/** Supports go in before the seed: those that are not up so many days before are late. */
const NOTICE_DAYS = 7;

/** The support of a crop that is about to go in, or is in, is not up. */
export const supportLate = rowWith({
  severity: 2,
  facts: { by: 'day' },
  inPlan: (plan) =>
    plan.plantings.flatMap(({ id, bedId, crop, steps }) => {
      const support = steps.find(({ kind }) => kind === 'support');
      const out = inGroundOf(steps);
      if (crop.support === 'none' || !support || support.done || !out) return [];
      const isDue = out.done || addDays(out.on, -NOTICE_DAYS) <= plan.today;
      const isOver = steps.some(({ kind, done }) => kind === 'firstPick' && done);
      return isDue && !isOver ? [{ bedId, plantingIds: [id], by: out.on }] : [];
    }),
});
