import { addDays, type Day } from '../../calendar/index.ts';
import type { Window } from '../../season/index.ts';
import { isRoundKind, taskRow, type WorkKind } from '../kinds/index.ts';
import { isBrief } from './brief.ts';

/** By when work is to be done, and the last good day where that is a later one. */
export interface Due {
  by: Day;
  /** the last day on which it is still good; null where that is the day itself, or before it */
  until: Day | null;
}

/** Work that has no best day, but days through which it lasts: rounds, and covers that lie ready. */
const lasts = (kind: WorkKind): boolean => isRoundKind(kind) || taskRow(kind).lasts;

/** By when work is to be done: by its best day, or the one that was chosen. */
export function dueOf({ kind, on, window }: { kind: WorkKind; on: Day; window: Window }): Due {
  if (lasts(kind)) return { by: window.latest, until: null };
  return { by: on, until: on < window.latest ? window.latest : null };
}

/** So long after its window work may still be put into a session, days. */
export const LATE_DAYS = 14;

/** Whether work may still be put into a session on a day: also for a while after its window, small daily things aside. */
export const fitsOn = (
  { kind, state, window }: { kind: WorkKind; state: string; window: Window },
  on: Day,
): boolean =>
  state !== 'done' && window.earliest <= on && addDays(window.latest, isBrief(kind) ? 0 : LATE_DAYS) >= on;
