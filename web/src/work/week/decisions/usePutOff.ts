import { addDays, type Day, weekStart } from '@unity-acre/core/calendar';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { useHere, useLeads, useList, useWrite } from '../../../garden/index.ts';

/** The last day of the week of a day: Sunday. */
const weekEnds = (today: Day): Day => addDays(weekStart(today), 6);

/**
 * Decisions that somebody who leads has put off until the week is over, for all who lead.
 * @param say what is said once one is put off, beside its "Undo"
 * @param untilYear for what is put away for good
 */
export function usePutOff(say: () => string, untilYear: number | null = null) {
  const { garden } = useHere();
  const kept = useList('putOffs', useLeads()).data;
  const save = useWrite('putOff', say);
  const until = untilYear === null ? weekEnds(garden.today) : `${untilYear}-12-31`;
  const away = useMemo(() => new Set(kept?.map(({ matter }) => matter)), [kept]);
  return {
    /** false until it is known what was put off */
    isKnown: kept !== undefined,
    isAway: (id: string) => away.has(id),
    put: (matter: string) => save.mutate({ body: { id: newId(), matter, until } }),
    isPending: save.isPending,
  };
}
