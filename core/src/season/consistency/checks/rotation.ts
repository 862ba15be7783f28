import { lackOf } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

/** A family comes back to a bed too soon. */
export const rotation = rowWith({
  severity: 2,
  facts: { family: 'family', last: 'year', again: 'year' },
  inBed: (plan, bed, here) =>
    here.flatMap(({ id, crop }) => {
      const lack = lackOf('rotation', plan, bed, crop);
      if (!lack) return [];
      const { last, again } = lack;
      return [{ bedId: bed.id, plantingIds: [id], family: crop.family, last, again }];
    }),
  remedies: (trial) => elsewhere(trial),
});
