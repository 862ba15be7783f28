import { addDays, type Day, daysBetween } from '../../../calendar/index.ts';
import { gapBetween, outlineOf } from '../../../ground/index.ts';
import { amounts } from '../../amounts/index.ts';
import type { PlannedPlanting } from '../../planning/index.ts';
import { isCover } from '../../windows/index.ts';
import { rowWith } from '../row.ts';
import { pairsOf } from '../together.ts';
import { later } from '../trial.ts';

/** Rows that make a block wind can pollinate. Common practice, no source (KNOWLEDGE 2.5); the number from memory. */
const BLOCK_ROWS = 4;
/** Days between the tassels of two kinds of corn that keep them apart. Common practice, no source (KNOWLEDGE 4). */
const TASSEL_DAYS = 14;
/**
 * Days from tassel to the first ears: sweet corn is picked milky, three weeks on; popcorn and flour corn ripen for seven to
 * eight weeks and then dry on the stalk. From memory.
 */
const TASSEL_BEFORE_PICK = { milky: 21, dry: 52 };

const isCorn = ({ crop }: PlannedPlanting): boolean =>
  crop.isolation.by === 'wind' && crop.family === 'grasses' && !isCover(crop);

/** Corn stands in too few rows for its pollen. */
export const pollinationBlock = rowWith({
  severity: 2,
  facts: { rows: 'count', needed: 'count' },
  // Not of one bed: corn in two rows is wanted in another bed none the less where its own has a worse fault.
  inPlan(plan) {
    const bedOf = new Map(plan.beds.map((bed) => [bed.id, bed]));
    return plan.plantings.filter(isCorn).flatMap(({ crop, method, pattern, width, length, id, bedId }) => {
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

const tasselOf = ({ crop, steps }: PlannedPlanting): Day | null => {
  const pick = steps.find(({ kind }) => kind === 'firstPick')?.on;
  const before = TASSEL_BEFORE_PICK[crop.harvest.style === 'seed' ? 'dry' : 'milky'];
  return pick ? addDays(pick, -before) : null;
};

/** Two kinds of corn tassel near each other in place and time, and spoil each other's kernels. */
export const kindsCross = rowWith({
  severity: 2,
  facts: { days: 'count', needed: 'count' },
  inPlan(plan) {
    const bedOf = new Map(plan.beds.map((bed) => [bed.id, bed]));
    return pairsOf(plan.plantings.filter(isCorn)).flatMap(([a, b]) => {
      const [first, second] = [tasselOf(a), tasselOf(b)];
      if (a.crop.id === b.crop.id || !first || !second) return [];
      const days = Math.abs(daysBetween(first, second));
      const [bedA, bedB] = [bedOf.get(a.bedId), bedOf.get(b.bedId)];
      const gap = bedA && bedB ? gapBetween(outlineOf(bedA), outlineOf(bedB)) : 0;
      if (days >= TASSEL_DAYS || gap > a.crop.isolation.metres) return [];
      const plantingIds = first <= second ? [a.id, b.id] : [b.id, a.id];
      return [{ bedId: b.bedId, plantingIds, days, needed: TASSEL_DAYS }];
    });
  },
  remedies: (trial, { needed, days }) => later(trial, needed - days),
});
