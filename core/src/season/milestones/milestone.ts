import type { Day } from '../../calendar/index.ts';
import type { Method } from '../../crops/index.ts';
import type { Reason } from '../reason.ts';

export const milestoneKinds = [
  'startIndoors',
  'support',
  'sow',
  'emerge',
  'thinTrays',
  'potOn',
  'thin',
  'thinAgain',
  'hardenOff',
  'setOut',
  'netOn',
  'cover',
  'mulch',
  'feed',
  'netOff',
  'firstPick',
  'lastPick',
  'clear',
] as const;
/** The dated steps of a planting, in the order in which a plant meets them. */
export type MilestoneKind = (typeof milestoneKinds)[number];

/** Whether a step, or work of that kind, is what brings seed into the ground or into trays. */
export const isSowing = (kind: string): boolean => kind === 'sow' || kind === 'startIndoors';

/** Steps done beside the plant's own course: none of them waits for another, and none moves what follows. */
export const sideSteps: readonly MilestoneKind[] = ['support', 'netOn', 'cover', 'mulch', 'feed', 'netOff'];

/**
 * Where a step stands in the course of a planting. Seedlings are up before they are set out; what is planted as a set,
 * clove or tuber is up after it.
 */
export function courseRank(kind: MilestoneKind, method: Method): number {
  const rank = milestoneKinds.indexOf(kind);
  return kind === 'setOut' && method === 'setPlants' ? milestoneKinds.indexOf('sow') : rank;
}

/** When something may, should and must at the latest happen. */
export interface Window {
  earliest: Day;
  best: Day;
  latest: Day;
}

/** Why each bound of a window stands where it stands. */
export interface BoundReasons {
  earliest: Reason[];
  best: Reason[];
  latest: Reason[];
}

/** A dated step of a planting. */
export interface Milestone {
  kind: MilestoneKind;
  window: Window;
  /** the day it stands on: what happened, else what was chosen, else the best day */
  on: Day;
  /** true where the log says that it happened */
  done: boolean;
  reasons: BoundReasons;
  /** for emergence: the day after which seed that is not up is suspect */
  overdueAfter?: Day;
}

/** A step of a planting that happened. */
export interface Happened {
  kind: MilestoneKind;
  on: Day;
}

/** The first step of a planting's own course: what is sown, started or planted. Absent in later years of a perennial. */
export const startOf = <Step extends Pick<Milestone, 'kind'>>(steps: readonly Step[]): Step | undefined =>
  steps.find(({ kind }) => kind === 'startIndoors') ?? inGroundOf(steps);

/** The step that puts a planting into its bed. */
export const inGroundOf = <Step extends Pick<Milestone, 'kind'>>(steps: readonly Step[]): Step | undefined =>
  steps.find(({ kind }) => kind === 'sow' || kind === 'setOut');

/** Steps by their days; on one day in the order in which a plant meets them. */
export const inOrder = (steps: Milestone[], method: Method): Milestone[] =>
  steps.sort(
    (a, b) =>
      (a.on < b.on ? -1 : a.on > b.on ? 1 : 0) || courseRank(a.kind, method) - courseRank(b.kind, method),
  );

/** Whether a planting's seed is in the ground or in trays, by its log. */
export const isSown = (steps: readonly Pick<Milestone, 'kind' | 'done'>[]): boolean =>
  steps.some(({ kind, done }) => done && isSowing(kind));
