import { addDays, laterOf } from '../../../calendar/index.ts';
import { startOf } from '../../../season/index.ts';
import type { Decision, DecisionRule } from '../decision.ts';

/** Days ahead for which a day that was chosen badly is worth a word. */
const SOON = 28;

/**
 * What is to begin on a day that somebody chose, before its earliest or after its latest; and the day in its window that is as good
 * as can be had now. Where the window is over there is none.
 */
export const outsideWindow: DecisionRule = ({ today, plantings }) =>
  plantings.flatMap(({ id, bedId, startOn, steps }): Decision[] => {
    const start = startOf(steps);
    if (!start || start.done || startOn === null || startOn > addDays(today, SOON)) return [];
    const { earliest, best, latest } = start.window;
    if (startOn >= earliest && startOn <= latest) return [];
    const better = laterOf(best, today);
    return [
      {
        ...{ kind: 'outsideWindow', id: `outsideWindow ${id} ${startOn}`, severity: 42 },
        ...{ by: laterOf(startOn, today), bedIds: [bedId], plantingIds: [id] },
        days: { on: startOn, earliest, latest, ...(better <= latest && { better }) },
      },
    ];
  });
