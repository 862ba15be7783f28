import { plantingOf, putTooEarly, taskParts } from '@unity-acre/core/work';
import type { Database } from '../../database/store.ts';
import { invalid } from '../../http/refusal.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { type SessionEntity, sessions } from '../entity.ts';
import { tasksById } from '../tasks/askedTasks.ts';

type Filled = Pick<SessionEntity, 'id' | 'on' | 'taskIds'>;

/**
 * Everything about a planting keeps its order over the sessions.
 * @throws Refusal `taskIds: tooEarly` where something would be done before what it waits for
 */
export async function refuseOutOfOrder(
  database: Database,
  garden: GardenEntity,
  { id, on, taskIds }: Filled,
): Promise<void> {
  if (taskIds.length === 0) return;
  const known = await database.manager.findBy(sessions, { gardenId: garden.id, state: 'called' });
  const before = known.find((session) => session.id === id);
  // What was called in another order once can be given another name or place.
  if (before?.on === on && taskIds.every((taskId) => before.taskIds.includes(taskId))) return;
  const ofPlantings = new Set(taskIds.map((taskId) => taskParts(taskId)?.plantingId));
  const others = known.filter((session) => session.id !== id);
  const near = others
    .flatMap((session) => session.taskIds)
    .filter((taskId) => {
      const parts = taskParts(taskId);
      return parts === null || ofPlantings.has(parts.plantingId);
    });
  const tasks = await tasksById(database, garden, [...new Set([...taskIds, ...near])]);
  const work = tasks
    .filter(({ state }) => state !== 'done')
    .map((task) => ({ ...task, planting: plantingOf(task.id) }));
  const dayOf = new Map(others.flatMap((session) => session.taskIds.map((taskId) => [taskId, session.on])));
  const early = putTooEarly(work, new Set(taskIds), on, (taskId) => dayOf.get(taskId) ?? null);
  if (early.length > 0) throw invalid('taskIds', 'tooEarly');
}
