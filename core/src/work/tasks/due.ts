import { type Day, laterOf } from '../../calendar/index.ts';
import type { Window } from '../../season/index.ts';
import { isRoundKind, type WorkKind } from '../kinds/index.ts';

/** By when work is to be done, and the last good day where that is another. */
export interface Due {
  by: Day;
  /** the last day on which it is still good; null where that is the day itself */
  until: Day | null;
}

/**
 * By when work is to be done: by its best day as long as that is to come, and by the last good day once it has passed. A round
 * has no best day, but days in which it is done.
 */
export function dueOf({ kind, on, window }: { kind: WorkKind; on: Day; window: Window }, today: Day): Due {
  const last = laterOf(on, window.latest);
  if (isRoundKind(kind) || on < today) return { by: last, until: null };
  return { by: on, until: on < last ? last : null };
}
