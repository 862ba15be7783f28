import type { RolledPlanting } from '@unity-acre/contract/season';
import type { Finding, Remedy, Rolling } from '@unity-acre/core/season';
import { consistency, findingKey, remediesFor, rollOver } from '@unity-acre/core/season';
import { receivedPlan, type SentPlan } from './placementTask.ts';

/* What a whole season is judged by takes seconds where it is large: for threads of the pool. */

/** A season as JSON: written piece by piece it holds the main thread less than a copy of it would. */
const planIn = (json: string) => receivedPlan(JSON.parse(json) as SentPlan);

export const judgeSeason = (json: string): Finding[] => consistency(planIn(json));

export function remediesOf({ json, key }: { json: string; key: string }): Remedy[] {
  const plan = planIn(json);
  const finding = consistency(plan).find((one) => findingKey(one) === key);
  return finding ? remediesFor(plan, finding) : [];
}

export function rollSeason({ json, by }: { json: string; by: Rolling }): RolledPlanting[] {
  const plan = planIn(json);
  return rollOver(plan, by).map(({ planting, bedId, width, length, tooSoon }) => ({
    fromId: planting.id,
    tooSoon,
    planting: {
      cropId: planting.crop.id,
      varietyId: planting.variety.id,
      bedId,
      year: plan.year + 1,
      cropping: planting.cropping,
      method: planting.method,
      pattern: planting.pattern,
      width,
      length,
      startOn: null,
      afterId: null,
      afterDays: null,
      betweenId: null,
      pinned: false,
      protection: planting.protection,
      ...planting.spacing,
      at: null,
      practices: planting.practices,
      note: '',
    },
  }));
}
