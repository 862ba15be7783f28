import type { Day } from '../../calendar/index.ts';
import type { Evidence, Family } from '../../crops/index.ts';

/** Something of a season's plan that does not go together: what, where, which plantings, and why. Lengths in metres. */
export type Finding = { bedId: string | null; plantingIds: string[] } & (
  | { code: 'overfull'; from: Day; until: Day; share: number }
  | { code: 'noPlaceLeft' }
  | { code: 'rotation'; family: Family; last: number; again: number }
  | { code: 'apart'; why: string; evidence: Evidence }
  | { code: 'shadesLower'; share: number }
  | { code: 'soilDepth'; needed: number; there: number }
  | { code: 'sun'; needed: number; there: number }
  | { code: 'supportLate'; by: Day }
  | { code: 'pollinationBlock'; rows: number; needed: number }
  | { code: 'kindsCross'; days: number; needed: number }
  | { code: 'manyKinds'; kinds: number; most: number }
  | { code: 'tenderScattered'; places: number }
  | { code: 'ripeTogether'; week: Day; plantings: number }
  | { code: 'weekOfPlenty'; week: Day; share: number }
  | { code: 'heavyAfterHeavy' }
  | { code: 'coverInTheWay'; until: Day; next: Day }
);
export type FindingCode = Finding['code'];

/** The graver first: what cannot be, what will likely fail, what could be better. */
export const gravity: Record<FindingCode, 1 | 2 | 3> = {
  overfull: 1,
  noPlaceLeft: 2,
  rotation: 2,
  apart: 2,
  shadesLower: 2,
  soilDepth: 2,
  sun: 2,
  supportLate: 2,
  pollinationBlock: 2,
  kindsCross: 2,
  manyKinds: 3,
  tenderScattered: 3,
  ripeTogether: 3,
  weekOfPlenty: 3,
  heavyAfterHeavy: 3,
  coverInTheWay: 1,
};

/** A name for a finding that stays the same while it stands. */
export const findingKey = ({ code, bedId, plantingIds }: Finding): string =>
  [code, bedId ?? '', ...plantingIds].join(' ');

/** A change that would end a finding, as the screens offer it. */
export type Remedy =
  | { kind: 'moveBed'; plantingId: string; bedId: string }
  | { kind: 'startOn'; plantingId: string; startOn: Day }
  | { kind: 'length'; plantingId: string; length: number }
  | { kind: 'square'; plantingId: string }
  | { kind: 'between'; plantingId: string; betweenId: string }
  | { kind: 'crop'; plantingId: string; cropId: string; varietyId: string };
