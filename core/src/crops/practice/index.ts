import type { Method } from '../kinds.ts';
import { materialsFor } from './materials.ts';
import {
  type AtHand,
  type PracticeFacts,
  type PracticeKind,
  type PracticeRow,
  practiceKinds,
} from './practice.ts';
import { type PracticeCode, practiceRows } from './rows.ts';
import { type PracticeSchool, practiceSchools } from './schools.ts';

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

const sown = ['sowInPlace', 'startIndoors'] as const;
const setOut = ['startIndoors', 'setPlants'] as const;
/** Work that only plantings of some methods have; the rest is at all of them. */
const methodsOf: { [Kind in PracticeKind]?: readonly Method[] } = {
  startIndoors: ['startIndoors'],
  thinTrays: ['startIndoors'],
  potOn: ['startIndoors'],
  keepMoist: sown,
  hardenOff: setOut,
  setOut,
  sow: ['sowInPlace'],
  thin: ['sowInPlace'],
  thinAgain: ['sowInPlace'],
};

/** The schools that make a difference to work at a planting: to how it is done, or to what it takes. */
export function schoolsAt(at: AtHand): PracticeSchool[] {
  const kinds = practiceKinds.filter((kind) => methodsOf[kind]?.includes(at.method) ?? true);
  const workOf = (practices: AtHand['practices']) =>
    JSON.stringify(
      kinds.map((kind) => [
        practiceFor(kind, { ...at, practices }),
        materialsFor(kind, { ...at, practices }),
      ]),
    );
  return (Object.keys(practiceSchools) as PracticeSchool[]).filter((school) => {
    const ways = practiceSchools[school].map((way) => workOf({ ...at.practices, [school]: way }));
    return new Set(ways).size > 1;
  });
}
