import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

/** Depths are measured to half a centimetre. */
const MEASURED_M = 0.005;

/** The loose soil of a bed is too shallow for a crop's roots. */
export const soilDepth = rowWith({
  severity: 2,
  facts: { needed: 'depth', there: 'depth' },
  inBed: (_plan, bed, here) => {
    const there = bed.soilDepth;
    if (there === null) return [];
    return here
      .filter(({ crop }) => crop.soilDepth > there + MEASURED_M)
      .map(({ id, crop }) => ({ bedId: bed.id, plantingIds: [id], needed: crop.soilDepth, there }));
  },
  remedies: (trial) => elsewhere(trial),
});
