import { addDays, type Day, earlierOf } from '../../../calendar/index.ts';
import { isSowing } from '../../../season/index.ts';
import type { Decision, DecisionRule, SessionNow } from '../decision.ts';

/** The next session after a day, if there is one. */
export const nextSession = (sessions: readonly SessionNow[], after: Day): SessionNow | undefined =>
  sessions.filter(({ on }) => on > after).sort((a, b) => a.on.localeCompare(b.on))[0];

/**
 * Seed that should have been up, half again past the expected span; and the day on which it could be sown again: in the next session
 * while there is time, else tomorrow. Past the last good day there is none. Source: KNOWLEDGE 3.5.
 */
export const notUp: DecisionRule = ({ today, until, plantings, sessions }) =>
  plantings.flatMap(({ id, bedId, overdueAfter, steps }): Decision[] => {
    if (overdueAfter === null || overdueAfter >= today) return [];
    const sown = steps.find(({ kind, done }) => done && isSowing(kind)) ?? steps[0]!;
    const session = nextSession(sessions, today);
    const isInTime = session && session.on <= earlierOf(until, sown.window.latest);
    const again = isInTime ? session.on : addDays(today, 1);
    const isLate = again > sown.window.latest;
    return [
      {
        ...{ kind: 'notUp', id: `notUp ${id}`, severity: 70, by: today },
        ...{ bedIds: [bedId], plantingIds: [id] },
        ...(isInTime && { sessionId: session.id }),
        days: { sown: sown.on, due: overdueAfter, ...(!isLate && { again }) },
      },
    ];
  });
