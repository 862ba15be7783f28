import { lastYearOf, ROTATION_YEARS, rotates } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

/** A family comes back to a bed too soon. */
export const rotation = rowWith({
  severity: 2,
  facts: { family: 'family', last: 'year', again: 'year' },
  inBed: (plan, bed, here) =>
    here.flatMap(({ id, crop }) => {
      const last = rotates(crop) ? lastYearOf(plan, bed.id, crop.family, plan.year) : null;
      if (last === null) return [];
      const { family } = crop;
      return [{ bedId: bed.id, plantingIds: [id], family, last, again: last + ROTATION_YEARS }];
    }),
  remedies: (trial) => elsewhere(trial),
});
