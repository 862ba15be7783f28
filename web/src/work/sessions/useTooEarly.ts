import type { TaskView } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import { plantingOf, putTooEarly } from '@unity-acre/core/work';
import { useCallback } from 'react';
import { useHere } from '../../garden/index.ts';
import { listedDays, useSessions } from './sessionLists.ts';

/** What of the tasks chosen for a day waits for one that another session has on a later day. */
export function useTooEarly(tasks: readonly TaskView[], sessionId: string) {
  const { garden } = useHere();
  const sessions = useSessions(listedDays(garden.today)).data;
  return useCallback(
    (chosen: readonly string[], on: Day) => {
      const dayOf = new Map(
        (sessions ?? [])
          .filter(({ id, state }) => id !== sessionId && state === 'called')
          .flatMap((session) => session.taskIds.map((id) => [id, session.on] as const)),
      );
      const open = tasks.filter(({ state }) => state !== 'done');
      const work = open.map((task) => ({ ...task, planting: plantingOf(task.id) }));
      return putTooEarly(work, new Set(chosen), on, (id) => dayOf.get(id) ?? null);
    },
    [tasks, sessions, sessionId],
  );
}
