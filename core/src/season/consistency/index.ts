import type { YearPlan } from '../yearPlan.ts';
import { findingsOfBed } from './byBed.ts';
import { type Finding, gravity } from './finding.ts';
import { apart, kinds, pollination, ripe, scattered, shades, supports } from './together.ts';

export { type Finding, type FindingCode, findingKey, gravity, type Remedy } from './finding.ts';
export { remediesFor } from './remedies.ts';

/** Everything in a season's plan that does not go together, the graver first. */
export function consistency(plan: YearPlan): Finding[] {
  const byBed = plan.beds.flatMap((bed) => {
    const here = plan.plantings.filter(({ bedId }) => bedId === bed.id);
    return here.length === 0 ? [] : [...findingsOfBed(plan, bed, here), ...apart(plan, here)];
  });
  const found = [
    ...byBed,
    ...shades(plan),
    ...pollination(plan),
    ...supports(plan),
    ...kinds(plan),
    ...scattered(plan),
    ...ripe(plan),
  ];
  return found.sort((a, b) => gravity[a.code] - gravity[b.code]);
}
