import type { PlannedPlanting } from '../../planning/index.ts';
import { inGroundSpan } from '../../planning/index.ts';
import { rowWith } from '../row.ts';
import { elsewhere } from '../trial.ts';

const isHeavy = ({ crop }: Pick<PlannedPlanting, 'crop'>): boolean =>
  crop.feeding === 'heavy' && !crop.perennial;

/** Heavy feeders follow heavy feeders, within the season or from the one before. */
export const heavyAfterHeavy = rowWith({
  severity: 3,
  facts: {},
  inBed(plan, bed, here) {
    const heavy = here
      .filter((planting) => isHeavy(planting) && planting.betweenId === null)
      .map((planting) => ({ planting, span: inGroundSpan(planting.steps, plan.seasonFirst) }))
      .sort((a, b) => a.span.from.localeCompare(b.span.from));
    const found = heavy.flatMap(({ planting, span }) => {
      const before = heavy.find((other) => other.span.until < span.from);
      return before ? [{ bedId: bed.id, plantingIds: [before.planting.id, planting.id] }] : [];
    });
    const lastYear = plan.before.filter(({ bedId, year }) => bedId === bed.id && year === plan.year - 1);
    const rested = lastYear.some(({ crop }) => crop.family === 'coverCrops' || crop.feeding === 'fixes');
    const first = heavy[0];
    if (first && lastYear.some(isHeavy) && !rested)
      found.push({ bedId: bed.id, plantingIds: [first.planting.id] });
    return found;
  },
  remedies: (trial) => elsewhere(trial),
});
