import { type Day, dayNumber } from '../../calendar/index.ts';
import { inGroundOf, type Milestone, type MilestoneKind } from '../milestones/index.ts';
import { inGroundSpan } from '../planning/index.ts';

/** What one sees of a planting in its bed, in the order in which it goes through them. */
export const plantStages = ['sown', 'growing', 'ripe', 'over'] as const;
export type PlantStage = (typeof plantStages)[number];

/** How wide a plant is when it is seen first, as a share of its full spread. */
const SEEDLING = 0.12;
/** How wide it is when it is set out from a tray or planted. */
const SET_OUT = 0.25;

/** The days of a planting's course that one can see, each as the number of its day. */
export interface PlantCourse {
  /** in the ground from the first to the last, both included */
  from: number;
  until: number;
  /** the first on which something shows */
  up: number;
  /** the first and the last on which it is picked; null where it is not */
  first: number | null;
  last: number | null;
  /** how wide its plants are when they show, as a share of their full spread; 1 for what stands for years */
  least: number;
}

/** The course of a planting by its steps, once for all the days on which one may look. */
export function plantCourse(steps: readonly Pick<Milestone, 'kind' | 'on'>[], seasonFirst: Day): PlantCourse {
  const { from, until } = inGroundSpan(steps, seasonFirst);
  const day = (kind: MilestoneKind) => steps.find((step) => step.kind === kind)?.on;
  const number = (on: Day | undefined) => (on === undefined ? null : dayNumber(on));
  const start = inGroundOf(steps);
  const up = start?.kind === 'sow' ? (day('emerge') ?? start.on) : from;
  return {
    ...{ from: dayNumber(from), until: dayNumber(until), up: dayNumber(up) },
    ...{ first: number(day('firstPick')), last: number(day('lastPick')) },
    least: !start ? 1 : start.kind === 'setOut' ? SET_OUT : SEEDLING,
  };
}

/**
 * What one sees of a planting on a day, and how wide its plants have grown: 0 while nothing shows, 1 at their full spread. Growth is
 * slow, quick and slow again, from emergence or setting out to the first pick; what is not picked is full halfway to its
 * clearing. Common practice, no source.
 * @param on the number of the day
 * @returns null where it is not in the ground on that day
 */
export function stageAt(
  { from, until, up, first, last, least }: PlantCourse,
  on: number,
): { stage: PlantStage; grown: number } | null {
  if (on < from || on > until) return null;
  if (on < up) return { stage: 'sown', grown: 0 };
  const stage = last !== null && on > last ? 'over' : first !== null && on >= first ? 'ripe' : 'growing';
  const days = first !== null ? first - up : (until - up) / 2;
  const share = Math.min(1, (on - up) / Math.max(1, days));
  return { stage, grown: least + (1 - least) * share ** 2 * (3 - 2 * share) };
}
