import { type Day, daysBetween } from '../../../calendar/index.ts';
import type { PlannedPlanting, YearPlan } from '../../planning/index.ts';
import { isCover } from '../../windows/index.ts';
import { rowWith } from '../row.ts';
import { later } from '../trial.ts';

/** First picks of one once-over crop nearer together than this are one glut, days. */
const GLUT_DAYS = 6;
/** Days that spread two pickings of one crop well. */
const SPREAD_DAYS = 14;
/** The share of a season's first picks in one week from which on it is everything at once. */
const PLENTY_SHARE = 0.4;
/** A season of fewer plantings has no week of plenty. */
const FEW_PLANTINGS = 6;

/** First picks of what is eaten, in the order of their days. */
function firstPicks(plan: YearPlan): { planting: PlannedPlanting; on: Day }[] {
  return plan.plantings
    .flatMap((planting) => {
      const on = planting.steps.find(({ kind }) => kind === 'firstPick')?.on;
      return on && !isCover(planting.crop) ? [{ planting, on }] : [];
    })
    .sort((a, b) => a.on.localeCompare(b.on));
}

/** Two plantings of a crop that is picked once are ready within a week. */
export const ripeTogether = rowWith({
  severity: 3,
  facts: { week: 'day' },
  inPlan(plan) {
    const once = firstPicks(plan).filter(
      ({ planting }) => planting.crop.onceOver && !planting.crop.pastFirstFrostDays,
    );
    const byCrop = new Map<string, typeof once>();
    for (const pick of once) {
      const { id } = pick.planting.crop;
      byCrop.set(id, [...(byCrop.get(id) ?? []), pick]);
    }
    return [...byCrop.values()].flatMap((picks) =>
      picks.slice(1).flatMap((next, i) => {
        const { planting, on } = picks[i]!;
        if (daysBetween(on, next.on) > GLUT_DAYS) return [];
        const plantingIds = [planting.id, next.planting.id];
        return [{ bedId: next.planting.bedId, plantingIds, week: on }];
      }),
    );
  },
  remedies: (trial) => later(trial, SPREAD_DAYS),
});

/** "I planted everything at once and then it was all ready at once." */
export const weekOfPlenty = rowWith({
  severity: 3,
  facts: { week: 'day', share: 'share' },
  inPlan(plan) {
    const picks = firstPicks(plan);
    if (picks.length < FEW_PLANTINGS) return [];
    for (const { on } of picks) {
      const within = picks.filter((other) => other.on >= on && daysBetween(on, other.on) < 7);
      const share = within.length / picks.length;
      if (share < PLENTY_SHARE) continue;
      return [{ bedId: null, plantingIds: within.map(({ planting }) => planting.id), week: on, share }];
    }
    return [];
  },
});
