import { type UseQueryResult, useQuery } from '@tanstack/react-query';
import type { Session } from '@unity-acre/contract/work';
import { addDays, type Day } from '@unity-acre/core/calendar';
import { ask } from '../kit/ask.ts';
import { useHere } from '../kit/garden.ts';

/** A session that people look at again is rarely older, days. */
const RECENT = 31;

/** The sessions of some days, both included: only what a screen shows is asked for. */
export function useSessions(span: { from?: Day; until?: Day }, enabled = true): UseQueryResult<Session[]> {
  const { garden } = useHere();
  return useQuery({
    queryKey: ['garden', garden.id, 'sessions', span],
    queryFn: async () => (await ask('sessions', { params: { gardenId: garden.id }, query: span })).data,
    enabled,
  });
}

/** Sessions among which one is, if there is one: those of late and to come, and all where it is not among them. */
export function useSessionsWith(id: string | null | undefined): UseQueryResult<Session[]> {
  const { garden } = useHere();
  const recent = useSessions({ from: addDays(garden.today, -RECENT) });
  const isElsewhere = !!id && recent.data !== undefined && !recent.data.some((session) => session.id === id);
  const all = useSessions({}, isElsewhere);
  return isElsewhere ? all : recent;
}
