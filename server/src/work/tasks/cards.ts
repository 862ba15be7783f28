import type { Cards, TaskView } from '@unity-acre/contract/work';
import { seasonYearOf } from '@unity-acre/core/place';
import type { Database } from '../../database/store.ts';
import type { Handlers } from '../../http/handle.ts';
import { Refusal } from '../../http/refusal.ts';
import { standing } from '../../http/standing.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { type PlantingSchedule, plantingViews, SEASON_ROOMS, schedulesOfYear } from '../../season/index.ts';
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
  const years = new Set(
    [today, ...atPlantings.map(({ on }) => on)].flatMap((day) => {
      const year = seasonYearOf(garden.latitude, day);
      // What is sown for the next season may be sown before it begins.
      return [year, year + 1];
    }),
  );
  const scheduled = new Map<string, PlantingSchedule>();
  for (const year of [...years].sort()) {
    for (const one of await schedulesOfYear(manager, garden, year, today, bedIds)) {
      if (!scheduled.has(one.row.id)) scheduled.set(one.row.id, one);
    }
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
