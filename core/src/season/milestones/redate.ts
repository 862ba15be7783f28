import { type Day, daysBetween } from '../../calendar/index.ts';
import { type Milestone, type MilestoneKind, sideSteps } from './milestone.ts';

/** A step that stands on another day than before. */
export interface Move {
  kind: MilestoneKind;
  from: Day;
  to: Day;
  /** positive is later */
  days: number;
  /** the logged step that it follows; null where the step itself was logged on that day */
  because: MilestoneKind | null;
}

/**
 * What moved between two schedules of the same planting, in order of the steps, and which logged step moved it: the last
 * one of the plant's own course before it that did not stand where the plan had it.
 */
export function moves(before: readonly Milestone[], after: readonly Milestone[]): Move[] {
  const earlier = new Map(before.map((step) => [step.kind, step.on]));
  const isCause = (step: Milestone) =>
    step.done && !sideSteps.includes(step.kind) && earlier.get(step.kind) !== step.on;
  return after.flatMap(({ kind, on: to, done }) => {
    const from = earlier.get(kind);
    if (from === undefined || from === to) return [];
    const causes = after.filter(isCause);
    // Supports and hardening stand before what moves them.
    const cause = causes.findLast((step) => step.on <= to) ?? causes[0];
    return [{ kind, from, to, days: daysBetween(from, to), because: done ? null : (cause?.kind ?? null) }];
  });
}
