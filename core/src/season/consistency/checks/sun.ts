import { FULL_SUN_HOURS, PART_SUN_HOURS } from '../../../ground/index.ts';
import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

/** Hours of sun are told to a tenth: half of that does not decide. */
const TOLD_HOURS = 0.05;

/** A bed has too few hours of sun for a crop. */
export const sun = rowWith({
  severity: 2,
  facts: { needed: 'hours', there: 'hours' },
  inBed: (_plan, bed, here) => {
    const there = bed.sunHours;
    if (there === null) return [];
    return here.flatMap(({ id, crop }) => {
      const needed = crop.sun === 'full' ? FULL_SUN_HOURS : PART_SUN_HOURS;
      return there < needed - TOLD_HOURS ? [{ bedId: bed.id, plantingIds: [id], needed, there }] : [];
    });
  },
  remedies: (trial) => elsewhere(trial),
});
