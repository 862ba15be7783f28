import type { YearPlan } from '../planning/index.ts';
import { kindsCross, pollinationBlock } from './checks/corn.ts';
import { coverInTheWay } from './checks/coverCrop.ts';
import { noPlaceLeft, overfull } from './checks/crowding.ts';
import { manyKinds } from './checks/firstYear.ts';
import { ripeTogether, weekOfPlenty } from './checks/glut.ts';
import { heavyAfterHeavy } from './checks/heavyFeeders.ts';
import { apart } from './checks/neighbours.ts';
import { notAdvised, tooEarly, tooLate } from './checks/outside.ts';
import { tooLongInPot } from './checks/pots.ts';
import { rotation } from './checks/rotation.ts';
import { shadesLower } from './checks/shade.ts';
import { soilDepth } from './checks/soilDepth.ts';
import { sun } from './checks/sun.ts';
import { supportLate } from './checks/supports.ts';
import { tenderScattered } from './checks/tenderPlaces.ts';
import type { FindingRow, Found, Remedy, Trial } from './row.ts';

/** All kinds of findings. Another kind is another check, its row here, and its words (findings.LANGUAGE.json). */
export const findingRows = {
  overfull,
  noPlaceLeft,
  tooEarly,
  tooLate,
  notAdvised,
  tooLongInPot,
  rotation,
  soilDepth,
  sun,
  heavyAfterHeavy,
  coverInTheWay,
  apart,
  shadesLower,
  pollinationBlock,
  kindsCross,
  supportLate,
  manyKinds,
  tenderScattered,
  ripeTogether,
  weekOfPlenty,
} as const;

export type FindingCode = keyof typeof findingRows;
export const findingCodes = Object.keys(findingRows) as [FindingCode, ...FindingCode[]];

/** Something of a season's plan that does not go together: what, where, which plantings, and its facts. */
export type Finding = {
  [Code in FindingCode]: { code: Code } & Found<(typeof findingRows)[Code]['facts']>;
}[FindingCode];

/** A row as it is asked whatever its code. */
interface AnyRow extends Pick<FindingRow, 'severity' | 'facts'> {
  inBed?(...args: Parameters<NonNullable<FindingRow['inBed']>>): Omit<Finding, 'code'>[];
  inPlan?(plan: YearPlan): Omit<Finding, 'code'>[];
  remedies?(trial: Trial, finding: Finding): Remedy[];
}

/** The row of a code. */
export const findingRow = (code: FindingCode): AnyRow => findingRows[code] as AnyRow;
