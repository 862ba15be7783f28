import type { Crop } from '../crop.ts';
import type { Method } from '../kinds.ts';
import type { Practices } from './schools.ts';

/** A kind of work at a planting that has a way to do it. */
export const practiceKinds = [
  'startIndoors',
  'keepMoist',
  'thinTrays',
  'potOn',
  'support',
  'sow',
  'thin',
  'thinAgain',
  'hardenOff',
  'setOut',
  'netOn',
  'cover',
  'mulch',
  'feed',
  'netOff',
  'pick',
  'clear',
] as const;
export type PracticeKind = (typeof practiceKinds)[number];

/** A crop in hand: what is done with it goes by these. */
export interface AtHand {
  crop: Crop;
  method: Method;
  /** metres across and along the rows of the ground it covers */
  width: number;
  length: number;
  rows: number;
  plants: number;
  /** how the garden does things */
  practices: Practices;
}

/** What a line says in numbers, in the units of the core; the screen turns them into the garden's own. */
export interface PracticeFacts {
  /** counted things: seeds, hoops, posts */
  count?: number;
  /** metres */
  length?: number;
  width?: number;
  /** cubic metres */
  volume?: number;
  spoons?: number;
  /** °C */
  warmth?: readonly [from: number, to: number];
}

/** A line, for what it holds, and with which numbers. */
export interface PracticeRow {
  kinds: readonly PracticeKind[];
  /** the crops it is for; all where it is not said */
  of?(at: AtHand): boolean;
  facts?(at: AtHand): PracticeFacts;
}
