import type { Day } from '../calendar/index.ts';
import type { Method } from '../crops/index.ts';
import type { Happened, MilestoneKind } from '../season/index.ts';
import { type EntryKind, entryRow } from './kinds.ts';

/** Where a harvest went. */
export const destinations = ['household', 'pantry', 'school', 'stand', 'seed', 'compost'] as const;
export type Destination = (typeof destinations)[number];

/**
 * The step of a planting that an entry dates, or null where it dates none.
 * A sowing dates the first step of the planting's own method; a second thinning is told by its order.
 */
export const milestoneOf = (kind: EntryKind, method: Method): MilestoneKind | null =>
  entryRow(kind).step?.(method) ?? null;

/**
 * The steps that entries of a planting date, the earliest of each; the second of two thinnings on different days dates
 * the second pass.
 */
export function happenedOf(entries: readonly { kind: EntryKind; on: Day }[], method: Method): Happened[] {
  const happened: Happened[] = [];
  const thinned = [...new Set(entries.filter(({ kind }) => kind === 'thinning').map(({ on }) => on))].sort();
  for (const { kind, on } of entries) {
    const step = milestoneOf(kind, method);
    if (step) happened.push({ kind: step, on });
  }
  if (thinned[1] !== undefined && method !== 'startIndoors')
    happened.push({ kind: 'thinAgain', on: thinned[1] });
  return happened;
}
