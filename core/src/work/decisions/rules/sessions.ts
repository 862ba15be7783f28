import { daysBetween } from '../../../calendar/index.ts';
import { isFree } from '../../../crew/index.ts';
import { crewNeed } from '../../crewNeed.ts';
import type { DecisionRule, SessionNow } from '../decision.ts';

/** Days ahead from which people can still be asked to come. */
const SOON = 10;

const isSoon = (today: string, { on }: SessionNow): boolean => daysBetween(today, on) <= SOON;
/** What is tomorrow weighs more than what is in a week. */
const nearness = (today: string, on: string): number => SOON - Math.min(SOON, daysBetween(today, on));

/** A session that nobody leads. */
export const noLead: DecisionRule = ({ today, sessions }) =>
  sessions
    .filter((session) => session.leadId === null && isSoon(today, session))
    .map(({ id, on }) => ({
      ...{ kind: 'noLead' as const, id: `noLead ${id}`, severity: 60 + nearness(today, on), by: on },
      sessionId: id,
    }));

/** A session with more work than those who come can do, and who is free then, has not said that they come and was not asked yet. */
export const shortOfPeople: DecisionRule = ({ today, sessions, tasks, people }) =>
  sessions.flatMap((session) => {
    const { gap, coming, needed } = crewNeed(session, tasks);
    if (gap === 0 || !isSoon(today, session)) return [];
    const known = new Set([...session.signUps.map(({ personId }) => personId), ...session.askedIds]);
    const free = people.filter(
      ({ id, adults, availability }) =>
        adults > 0 && !known.has(id) && id !== session.leadId && isFree(availability, session.on, session),
    );
    return [
      {
        ...{ kind: 'shortOfPeople' as const, id: `shortOfPeople ${session.id}` },
        ...{ severity: 50 + nearness(today, session.on), by: session.on, sessionId: session.id },
        ...{
          personIds: free.map(({ id }) => id),
          numbers: { gap, coming, needed, asked: session.askedIds.length },
        },
      },
    ];
  });

/** A schedule that counts on somebody who no longer comes. */
export const rotaBroken: DecisionRule = ({ today, sessions }) =>
  sessions.flatMap((session) => {
    const there = new Set([...session.signUps.map(({ personId }) => personId), session.leadId]);
    const open = session.crews.filter(({ members }) => members.some(({ personId }) => !there.has(personId)));
    if (open.length === 0) return [];
    const gone = new Set(open.flatMap(({ members }) => members.map(({ personId }) => personId)));
    return [
      {
        ...{ kind: 'rotaBroken' as const, id: `rotaBroken ${session.id}`, sessionId: session.id },
        ...{ severity: 45 + nearness(today, session.on), by: session.on },
        personIds: [...gone].filter((id) => !there.has(id)),
        taskIds: open.map(({ taskId }) => taskId),
      },
    ];
  });
