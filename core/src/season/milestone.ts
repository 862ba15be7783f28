import type { Day } from '../calendar/index.ts';
import type { Reason } from './reason.ts';

export const milestoneKinds = [
  'startIndoors',
  'sow',
  'emerge',
  'thin',
  'hardenOff',
  'setOut',
  'firstPick',
  'lastPick',
  'clear',
] as const;
/** The dated steps of a planting, in the order in which a plant meets them. */
export type MilestoneKind = (typeof milestoneKinds)[number];

/** When something may, should and must at the latest happen. */
export interface Window {
  earliest: Day;
  best: Day;
  latest: Day;
}

/** One dated step of a planting. */
export interface Milestone {
  kind: MilestoneKind;
  window: Window;
  /** the day it is planned for, or the day it happened */
  on: Day;
  done: boolean;
  /** what set each bound; `best` also explains `on` */
  reasons: { earliest: Reason[]; best: Reason[]; latest: Reason[] };
}

/** A fact from the log that dates a step of a planting. Partial picks count as the first one. */
export interface Happened {
  kind: MilestoneKind;
  on: Day;
}
