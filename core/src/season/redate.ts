import { type Day, daysBetween } from '../calendar/index.ts';
import type { Milestone, MilestoneKind } from './milestone.ts';

/** A step that stands on another day than before. */
export interface Move {
  kind: MilestoneKind;
  from: Day;
  to: Day;
  /** positive is later */
  days: number;
}

/** What moved between two reckonings of the same planting, in order of the steps. */
export function moves(before: readonly Milestone[], after: readonly Milestone[]): Move[] {
  const earlier = new Map(before.map((step) => [step.kind, step.on]));
  return after.flatMap(({ kind, on: to }) => {
    const from = earlier.get(kind);
    return from === undefined || from === to ? [] : [{ kind, from, to, days: daysBetween(from, to) }];
  });
}
