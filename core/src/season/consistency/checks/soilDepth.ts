import { lackOf } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

/** The loose soil of a bed is too shallow for a crop's roots. */
export const soilDepth = rowWith({
  severity: 2,
  facts: { needed: 'depth', there: 'depth' },
  inBed: (plan, bed, here) =>
    here.flatMap(({ id, crop }) => {
      const lack = lackOf('soilDepth', plan, bed, crop);
      return lack ? [{ bedId: bed.id, plantingIds: [id], needed: lack.needed, there: lack.there }] : [];
    }),
  remedies: (trial) => elsewhere(trial),
});
