import { neighboursOf } from '../../../crops/index.ts';
import { rowWith } from '../row.ts';
import { pairsOf, standTogether } from '../together.ts';
import { elsewhere } from '../trial.ts';

/** Kinds in one bed at one time do not go together, with how sure that is. */
export const apart = rowWith({
  severity: 2,
  facts: { why: 'harm', evidence: 'evidence' },
  inBed: (plan, bed, here) =>
    pairsOf(here).flatMap(([a, b]) => {
      if (a.crop.id === b.crop.id || !standTogether(plan, a, b)) return [];
      const bad = neighboursOf(a.crop, plan.evidence).find(
        (one) => one.is === 'apart' && (one.with === b.crop.id || one.with === b.crop.family),
      );
      if (!bad) return [];
      return [{ bedId: bed.id, plantingIds: [a.id, b.id], why: bad.why, evidence: bad.evidence }];
    }),
  remedies: (trial) => elsewhere(trial),
});
