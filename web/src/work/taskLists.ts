import type { UseQueryResult } from '@tanstack/react-query';
import type { QueryOf } from '@unity-acre/contract';
import type { Cards, TaskView } from '@unity-acre/contract/work';
import { listKey, type Read, useHere, useRead } from '../garden/index.ts';
import { ask } from '../kit/ask.ts';

/** Some days, both included. @property taken only what stands in sessions of these days */
type Asked = Pick<QueryOf<'tasks'>, 'from' | 'until'> & { taken?: 'only' };

/** The tasks of some days, and what they are kept under: only what a screen shows is asked for. */
export const tasksOf = (gardenId: string, asked: Asked): Read<TaskView[]> => ({
  queryKey: listKey(gardenId, 'tasks', asked),
  queryFn: async () => (await ask('tasks', { params: { gardenId }, query: { taken: 'any', ...asked } })).data,
});

/** The tasks of some days: what may or should be done on one of them, what meets on one of them, and what is late. */
export const useTasks = (asked: Asked, enabled = true): UseQueryResult<TaskView[]> =>
  useRead({ ...tasksOf(useHere().garden.id, asked), enabled });

/** The tasks of a session with all that their cards are made of. */
export function useSessionCards(sessionId: string): UseQueryResult<Cards> {
  const { garden } = useHere();
  return useRead({
    queryKey: listKey(garden.id, 'sessionCards', sessionId),
    queryFn: async () => (await ask('sessionCards', { params: { gardenId: garden.id, id: sessionId } })).data,
  });
}

/** A task with all that its card is made of. */
export function useTaskCard(taskId: string | null): UseQueryResult<Cards> {
  const { garden } = useHere();
  return useRead({
    queryKey: listKey(garden.id, 'taskCard', taskId),
    queryFn: async () => (await ask('taskCard', { params: { gardenId: garden.id, id: taskId! } })).data,
    enabled: taskId !== null,
  });
}
