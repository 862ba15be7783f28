import type { Cards, TaskView } from '@unity-acre/contract/work';
import type { Database } from '../../database/store.ts';
import type { Handlers } from '../../http/handle.ts';
import { Refusal } from '../../http/refusal.ts';
import { standing } from '../../http/standing.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { type PlantingSchedule, plantingViews, SEASON_ROOMS, seasonsAround } from '../../season/index.ts';
import { sessions } from '../entity.ts';
import { oneTask, tasksById } from './askedTasks.ts';

/** The plantings that tasks are at, with those that share their beds: what is where in a bed is told by all of them. */
async function plantingsWith(
  { manager, clock }: Database,
  garden: GardenEntity,
  tasks: readonly TaskView[],
): Promise<PlantingSchedule[]> {
  const atPlantings = tasks.filter(({ plantingId }) => plantingId !== null);
  const bedIds = [...new Set(atPlantings.flatMap((task) => task.bedIds))];
  const today = todayIn(garden, clock);
  const days = [today, ...atPlantings.map(({ on }) => on)].sort();
  const span = { from: days[0]!, until: days.at(-1)! };
  const seasons = await seasonsAround(manager, garden, span, today, bedIds);
  const scheduled = new Map<string, PlantingSchedule>();
  for (const one of seasons.flatMap((season) => season.scheduled)) {
    if (!scheduled.has(one.row.id)) scheduled.set(one.row.id, one);
  }
  return [...scheduled.values()];
}

/** Tasks with all that their cards are worked out from. */
async function cardsOf(database: Database, garden: GardenEntity, tasks: TaskView[]): Promise<Cards> {
  const sources = new Map(
    tasks.flatMap((task) => (task.plantingId ? [[task.plantingId, task.seedSources]] : [])),
  );
  const plantings = await plantingViews(await plantingsWith(database, garden, tasks), sources, false);
  return { tasks, plantings };
}

const rooms = [...SEASON_ROOMS, 'work'] as const;

export const cardRoutes: Pick<Handlers, 'sessionCards' | 'taskCard'> = {
  sessionCards: standing('sessionCards', {
    rooms,
    gather: async ({ store, member: { garden }, params: { id } }) => {
      const session = await store.manager.findOneBy(sessions, { id, gardenId: garden.id });
      if (!session) throw new Refusal('notFound');
      return cardsOf(store, garden, await tasksById(store, garden, session.taskIds));
    },
    finish: (cards) => cards,
  }),

  taskCard: standing('taskCard', {
    rooms,
    gather: async ({ store, member: { garden }, params: { id } }) =>
      cardsOf(store, garden, [await oneTask(store, garden, id)]),
    finish: (cards) => cards,
  }),
};
