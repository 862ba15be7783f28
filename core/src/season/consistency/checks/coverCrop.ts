import type { Day } from '../../../calendar/index.ts';
import { inGroundOf } from '../../milestones/index.ts';
import type { YearPlan } from '../../planning/index.ts';
import { isCover, isWinterKilled } from '../../windows/index.ts';
import { rowWith } from '../row.ts';

/** A cover crop cannot be cut yet when the next year's first crop goes in: not even at the beginning of its time. */
export const coverInTheWay = rowWith({
  severity: 1,
  facts: { until: 'day', next: 'day' },
  inBed(plan, bed, here) {
    const next = firstNeedOf(plan, bed.id);
    if (next === null) return [];
    return here.flatMap(({ id, crop, steps }) => {
      const cut = isCover(crop) ? steps.find(({ kind }) => kind === 'clear') : undefined;
      if (!cut) return [];
      const until = cut.done ? cut.on : cut.window.earliest;
      return until >= next ? [{ bedId: bed.id, plantingIds: [id], until, next }] : [];
    });
  },
  /** A mix that winter kills there, where one is known: the catalogue's cover crops say how they end. */
  remedies({ plan, free }) {
    const planting = free.at(-1);
    if (!planting) return [];
    const almanac = plan.almanacOf(planting.bedId);
    const known = plan.covers.find((cover) => isWinterKilled(cover, almanac));
    return known
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
