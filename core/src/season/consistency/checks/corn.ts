import { amounts } from '../../amounts/index.ts';
import { isCorn, TASSEL_DAYS, tasselOf, tasselsMeet } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { pairsOf } from '../together.ts';
import { later } from '../trial.ts';

/** Rows that make a block wind can pollinate. Common practice, no source (KNOWLEDGE 2.5); the number from memory. */
const BLOCK_ROWS = 4;
/** Corn stands in too few rows for its pollen. */
export const pollinationBlock = rowWith({
  severity: 2,
  facts: { rows: 'count', needed: 'count' },
  // Not of one bed: corn in two rows is wanted in another bed none the less where its own has a worse fault.
  inPlan(plan) {
    const bedOf = new Map(plan.beds.map((bed) => [bed.id, bed]));
    return plan.plantings
      .filter(({ crop }) => isCorn(crop))
      .flatMap(({ crop, method, pattern, width, length, id, bedId }) => {
        const { rows } = amounts(crop, method, pattern, width, length, bedOf.get(bedId)).packing;
        return rows < BLOCK_ROWS ? [{ bedId, plantingIds: [id], rows, needed: BLOCK_ROWS }] : [];
      });
  },
  remedies({ plan, free }) {
    const planting = free.at(-1);
    if (!planting) return [];
    const bed = plan.beds.find(({ id }) => id === planting.bedId);
    const { crop, method, width, length } = planting;
    const { rows } = amounts(crop, method, 'square', width, length, bed).packing;
    return rows >= BLOCK_ROWS ? [{ kind: 'square', plantingId: planting.id }] : [];
  },
});

/** Two kinds of corn tassel near each other in place and time, and spoil each other's kernels. */
export const kindsCross = rowWith({
  severity: 2,
  facts: { days: 'count', needed: 'count' },
  inPlan(plan) {
    const bedOf = new Map(plan.beds.map((bed) => [bed.id, bed]));
    return pairsOf(plan.plantings.filter(({ crop }) => isCorn(crop))).flatMap(([a, b]) => {
      const [one, other] = [a, b].map((each) => ({ ...each, bed: bedOf.get(each.bedId) }));
      const days = tasselsMeet(one!, other!);
      if (days === null) return [];
      const [first, second] = [a, b].map(({ crop, steps }) => tasselOf(crop, steps)!);
      const plantingIds = first! <= second! ? [a.id, b.id] : [b.id, a.id];
      return [{ bedId: b.bedId, plantingIds, days, needed: TASSEL_DAYS }];
    });
  },
  remedies: (trial, { needed, days }) => later(trial, needed - days),
});
