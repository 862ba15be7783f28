import type { Method } from '../crops/index.ts';
import type { MilestoneKind } from '../season/index.ts';

/** Kinds of things that happen and are written down. */
export const entryKinds = [
  'sowing',
  'emergence',
  'thinning',
  'settingOut',
  'harvest',
  'clearing',
  'observation',
] as const;
export type EntryKind = (typeof entryKinds)[number];

/** Where a harvest went. */
export const destinations = ['household', 'pantry', 'school', 'stand', 'seed', 'compost'] as const;
export type Destination = (typeof destinations)[number];

/**
 * The step of a planting that an entry dates, or null where it dates none.
 * A sowing dates the first step of the planting's own method.
 */
export function milestoneOf(kind: EntryKind, method: Method): MilestoneKind | null {
  switch (kind) {
    case 'sowing':
      return method === 'startIndoors' ? 'startIndoors' : method === 'sowInPlace' ? 'sow' : null;
    case 'emergence':
      return method === 'setPlants' ? null : 'emerge';
    case 'thinning':
      return 'thin';
    case 'settingOut':
      return method === 'sowInPlace' ? null : 'setOut';
    case 'harvest':
      return 'firstPick';
    case 'clearing':
      return 'clear';
    case 'observation':
      return null;
  }
}
