import type { PlannedBed, PlannedPlanting, YearPlan } from '../planning/index.ts';
import { type Finding, findingCodes, findingRow } from './findingKinds.ts';
import type { Remedy } from './row.ts';

export { type Finding, type FindingCode, findingCodes, findingRow, findingRows } from './findingKinds.ts';
export type { FactKind, FactValues, Remedy } from './row.ts';

const plantedIn = (plan: YearPlan, bed: PlannedBed): PlannedPlanting[] =>
  plan.plantings.filter(({ bedId }) => bedId === bed.id);

/** What the checks of one bed find there, given its plantings. */
function findingsIn(plan: YearPlan, bed: PlannedBed, here: readonly PlannedPlanting[]): Finding[] {
  return findingCodes.flatMap((code) =>
    (findingRow(code).inBed?.(plan, bed, here) ?? []).map((found) => ({ code, ...found }) as Finding),
  );
}

/** Everything in a season's plan that does not go together, the worst first. */
export function consistency(plan: YearPlan): Finding[] {
  const byBed = plan.beds.flatMap((bed) => {
    const here = plantedIn(plan, bed);
    return here.length === 0 ? [] : findingsIn(plan, bed, here);
  });
  const together = findingCodes.flatMap((code) =>
    (findingRow(code).inPlan?.(plan) ?? []).map((found) => ({ code, ...found }) as Finding),
  );
  return [...byBed, ...together].sort((a, b) => findingRow(a.code).severity - findingRow(b.code).severity);
}

/** A name for a finding that stays the same while it stands. */
export const findingKey = ({ code, bedId, plantingIds }: Finding): string =>
  [code, bedId ?? '', ...plantingIds].join(' ');

/** Changes that would end a finding, the best first; none where nothing that was tried does. What is logged is never moved. */
export function remediesFor(plan: YearPlan, finding: Finding): Remedy[] {
  const involved = finding.plantingIds.flatMap((id) => plan.plantings.find((one) => one.id === id) ?? []);
  const free = involved.filter(({ steps }) => !steps.some(({ done }) => done));
  const fits = (bed: PlannedBed, planting: PlannedPlanting) => {
    const others = plantedIn(plan, bed).filter(({ id }) => id !== planting.id);
    return !findingsIn(plan, bed, [...others, planting]).some(({ plantingIds }) =>
      plantingIds.includes(planting.id),
    );
  };
  return findingRow(finding.code).remedies?.({ plan, involved, free, fits }, finding) ?? [];
}
