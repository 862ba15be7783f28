import type { PlannedPlanting, YearPlan } from '../planning/index.ts';
import { inGroundSpan } from '../planning/index.ts';

/** Every two of a list, in its order. */
export const pairsOf = <T>(list: readonly T[]): [T, T][] =>
  list.flatMap((one, i) => list.slice(i + 1).map((other): [T, T] => [one, other]));

/** Whether two plantings stand in the ground on one day at least. */
export function standTogether(
  { seasonFirst }: Pick<YearPlan, 'seasonFirst'>,
  a: PlannedPlanting,
  b: PlannedPlanting,
): boolean {
  const [one, other] = [inGroundSpan(a.steps, seasonFirst), inGroundSpan(b.steps, seasonFirst)];
  return one.from <= other.until && other.from <= one.until;
}
