import type { AtHand, PracticeFacts, PracticeKind, PracticeRow } from './practice.ts';
import { type PracticeCode, practiceRows } from './rows.ts';

export {
  type Material,
  type MaterialNeed,
  type MaterialUnit,
  materialRow,
  materials,
  materialsFor,
  totalled,
} from './materials.ts';
export type { AtHand, PracticeFacts, PracticeKind } from './practice.ts';
export type { PracticeCode } from './rows.ts';
export {
  type ChosenPractices,
  type PracticeSchool,
  type Practices,
  practiceSchools,
  practicesOf,
  usualPractices,
} from './schools.ts';

export const practiceCodes = Object.keys(practiceRows) as [PracticeCode, ...PracticeCode[]];

/**
 * How a kind of work is done with a crop, in short lines, in the order in which hands do it. Numbers are in the units of the
 * core: metres, litres, °C.
 */
export function practiceFor(kind: PracticeKind, at: AtHand): (PracticeFacts & { code: PracticeCode })[] {
  return practiceCodes.flatMap((code) => {
    const row: PracticeRow = practiceRows[code];
    if (!row.kinds.includes(kind) || (row.of && !row.of(at))) return [];
    return [{ code, ...row.facts?.(at) }];
  });
}
