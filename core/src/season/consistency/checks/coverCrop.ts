import type { Day } from '../../../calendar/index.ts';
import { inGroundOf } from '../../milestone.ts';
import { inGroundSpan } from '../../space.ts';
import type { YearPlan } from '../../yearPlan.ts';
import { rowWith } from '../row.ts';

/** A cover crop is still growing when the next year's first crop goes in. */
export const coverInTheWay = rowWith({
  severity: 1,
  facts: { until: 'day', next: 'day' },
  inBed(plan, bed, here) {
    const next = firstNeedOf(plan, bed.id);
    if (next === null) return [];
    return here.flatMap(({ id, crop, steps }) => {
      if (crop.harvest.style !== 'cover') return [];
      const { until } = inGroundSpan(steps, plan.seasonFirst);
      return until >= next ? [{ bedId: bed.id, plantingIds: [id], until, next }] : [];
    });
  },
  /** A mix that winter kills, where one is known: the catalogue's cover crops say how they end. */
  remedies({ plan, free }) {
    const planting = free.at(-1);
    const known = plan.covers.find(({ harvest }) => harvest.sign === 'winterKills');
    return planting && known
      ? [{ kind: 'crop', plantingId: planting.id, cropId: known.id, varietyId: known.varieties[0]!.id }]
      : [];
  },
});

/** The first day on which the season after needs a bed; null where nothing is planned there. */
function firstNeedOf(plan: YearPlan, bedId: string): Day | null {
  const days = plan.after
    .filter((planting) => planting.bedId === bedId && !planting.crop.perennial)
    .flatMap(({ steps }) => inGroundOf(steps)?.on ?? []);
  return days.length > 0 ? days.reduce((a, b) => (a.localeCompare(b) <= 0 ? a : b)) : null;
}
