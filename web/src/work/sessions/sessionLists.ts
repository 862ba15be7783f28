import type { UseQueryResult } from '@tanstack/react-query';
import type { Session } from '@unity-acre/contract/work';
import { addDays, type Day } from '@unity-acre/core/calendar';
import { listKey, type Read, useHere, useRead } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';

/** A session that people look at again is rarely older, days. */
const RECENT = 31;

/** Days of sessions, both included; all there are before or after where one is not said. */
interface Span {
  from?: Day;
  until?: Day;
}

/** So far back sessions are listed, days. */
const PAST_DAYS = 366;
/** The days whose sessions are listed. */
export const listedDays = (today: Day): { from: Day } => ({ from: addDays(today, -PAST_DAYS) });

/** The sessions of some days, and what they are kept under: only what a screen shows is asked for. */
export const sessionsOf = (gardenId: string, span: Span): Read<Session[]> => ({
  queryKey: listKey(gardenId, 'sessions', span),
  queryFn: async () => (await ask('sessions', { params: { gardenId }, query: span })).data,
});

/** The sessions of some days. */
export function useSessions(span: Span, enabled = true): UseQueryResult<Session[]> {
  return useRead({ ...sessionsOf(useHere().garden.id, span), enabled });
}

/** Sessions among which one is, if there is one: those of late and to come, and all where it is not among them. */
export function useSessionsWith(id: string | null | undefined): UseQueryResult<Session[]> {
  const { garden } = useHere();
  const recent = useSessions({ from: addDays(garden.today, -RECENT) });
  const isElsewhere = !!id && recent.data !== undefined && !recent.data.some((session) => session.id === id);
  const all = useSessions({}, isElsewhere);
  return isElsewhere ? all : recent;
}
