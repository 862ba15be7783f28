import { isCover } from '../../windows/index.ts';
import { rowWith } from '../row.ts';

/** Kinds that are plenty for a first year. Common practice, no source (KNOWLEDGE 1). */
const FIRST_YEAR_KINDS = 8;

/** A garden's first year has more kinds of crops than its people can learn. */
export const manyKinds = rowWith({
  severity: 3,
  facts: { kinds: 'count', most: 'count' },
  inPlan(plan) {
    const isFirst = plan.before.length === 0 && plan.beds.length > 0;
    const known = new Set(plan.plantings.filter(({ crop }) => !isCover(crop)).map(({ crop }) => crop.id));
    return isFirst && known.size > FIRST_YEAR_KINDS
      ? [{ bedId: null, plantingIds: [], kinds: known.size, most: FIRST_YEAR_KINDS }]
      : [];
  },
});
