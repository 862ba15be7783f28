import { harmTogether, standOf } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { pairsOf } from '../together.ts';
import { elsewhere } from '../trial.ts';

/** Kinds in one bed at one time do not go together, with how sure that is. */
export const apart = rowWith({
  severity: 2,
  facts: { why: 'harm', evidence: 'evidence' },
  inBed: (plan, bed, here) =>
    pairsOf(here).flatMap(([a, b]) => {
      // Whatever bed they are in by the plan: they may be tried in another.
      const [one, other] = [a, b].map((each) => standOf({ ...each, bedId: bed.id }, plan));
      const bad = harmTogether(one!, other!, plan);
      return bad ? [{ bedId: bed.id, plantingIds: [a.id, b.id], why: bad.why, evidence: bad.evidence }] : [];
    }),
  remedies: (trial) => elsewhere(trial),
});
