import { lackOf } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

/** A bed has too few hours of sun for a crop. */
export const sun = rowWith({
  severity: 2,
  facts: { needed: 'hours', there: 'hours' },
  inBed: (plan, bed, here) =>
    here.flatMap(({ id, crop }) => {
      const lack = lackOf('sun', plan, bed, crop);
      return lack ? [{ bedId: bed.id, plantingIds: [id], needed: lack.needed, there: lack.there }] : [];
    }),
  remedies: (trial) => elsewhere(trial),
});
