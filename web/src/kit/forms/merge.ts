import type { Clash } from '../formContext.ts';

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

type Values = Readonly<Record<string, unknown>>;

/**
 * Brings together what is typed here and what somebody else has saved meanwhile, field by field: where only one of them
 * changed a field that change stands, and where both did, differently, what is typed stands and the clash is told.
 * @param base what both began with
 */
export function mergeForms(
  base: Values,
  mine: Values,
  theirs: Values,
): { values: Record<string, unknown>; clashes: Clash[] } {
  const values: Record<string, unknown> = {};
  const clashes: Clash[] = [];
  for (const field of Object.keys(theirs)) {
    const isMineNew = field in mine && !isSame(mine[field], base[field]);
    const isTheirsNew = !isSame(theirs[field], base[field]);
    values[field] = isMineNew ? mine[field] : theirs[field];
    if (isMineNew && isTheirsNew && !isSame(mine[field], theirs[field]))
      clashes.push({ field, mine: mine[field], theirs: theirs[field] });
  }
  return { values, clashes };
}
