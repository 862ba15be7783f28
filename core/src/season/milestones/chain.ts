import { addDays, type Day, earlierOf, laterOf } from '../../calendar/index.ts';
import type { DaySpan } from '../../crops/index.ts';
import type { Reason } from '../reason.ts';
import type { BoundReasons, Happened, Milestone, MilestoneKind, Window } from './milestone.ts';

/** Collects steps in order; each new one is dated by the fact of its kind where there is one. */
export class Chain {
  readonly steps: Milestone[] = [];
  readonly #facts = new Map<MilestoneKind, Day>();

  /** @param happened facts from the log, in any order; the earliest of a kind counts */
  constructor(happened: readonly Happened[]) {
    for (const { kind, on } of happened) {
      const known = this.#facts.get(kind);
      this.#facts.set(kind, known === undefined ? on : earlierOf(known, on));
    }
  }

  /** @param chosen a day somebody chose instead of the best one @returns the step */
  add(kind: MilestoneKind, window: Window, reasons: BoundReasons, chosen: Day | null = null): Milestone {
    const fact = this.#facts.get(kind);
    const planned = chosen ?? window.best;
    const best: Reason[] = [...reasons.best];
    if (chosen !== null && chosen !== window.best)
      best.push({ code: 'chosen', on: chosen, best: window.best });
    if (fact !== undefined) best.push({ code: 'happened', on: fact, planned, kind });
    const { earliest, latest } = window;
    const step: Milestone = {
      kind,
      window: { earliest, best: window.best, latest },
      on: fact ?? planned,
      done: fact !== undefined,
      reasons: { earliest: reasons.earliest, best, latest: reasons.latest },
    };
    this.steps.push(step);
    return step;
  }

  fact(kind: MilestoneKind): Day | undefined {
    return this.#facts.get(kind);
  }
}

/** One reason for all three bounds. */
export const sameReason = (...reasons: Reason[]): BoundReasons => ({
  earliest: reasons,
  best: reasons,
  latest: reasons,
});

/** The window a span of days opens after a day. */
export const after = (day: Day, span: DaySpan): Window => ({
  earliest: addDays(day, span.fewest),
  best: addDays(day, span.usual),
  latest: addDays(day, span.most),
});

/** A window about a day. */
export const about = (best: Day, before: number, behind: number): Window => ({
  earliest: addDays(best, -before),
  best,
  latest: addDays(best, behind),
});

/** `day` kept within a window. */
export const within = (day: Day, window: Window): Day =>
  laterOf(window.earliest, earlierOf(day, window.latest));
