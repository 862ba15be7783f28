import { addDays, type Day, weekStart } from '@unity-acre/core/calendar';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { useHere, useLeads, useList, useWrite } from '../../../garden/index.ts';

/** The last day of the week of a day: Sunday. */
const weekEnds = (today: Day): Day => addDays(weekStart(today), 6);

/** What those who lead have put off, for all of them. */
export function usePutOffs() {
  const kept = useList('putOffs', useLeads()).data;
  const away = useMemo(() => new Set(kept?.map(({ matter }) => matter)), [kept]);
  return {
    /** false until it is known what was put off */
    isKnown: kept !== undefined,
    isAway: (matter: string) => away.has(matter),
  };
}

/** Puts a matter off for all who lead, until the week is over. @param say what is said of it then, beside its "Undo" */
export function usePutOff(say: () => string) {
  const { garden } = useHere();
  const save = useWrite('putOff', say);
  return {
    isPending: save.isPending,
    put: (matter: string, until = weekEnds(garden.today)) =>
      save.mutate({ body: { id: newId(), matter, until } }),
  };
}
