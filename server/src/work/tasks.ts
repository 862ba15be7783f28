import type { TaskView } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import { taskParts, taskState, tasksFor } from '@unity-acre/core/work';
import type { EntityManager } from 'typeorm';
import type { Store } from '../database/store.ts';
import type { Handlers } from '../http/handle.ts';
import { Refusal } from '../http/refusal.ts';
import type { GardenEntity } from '../place/entity.ts';
import { todayIn } from '../place/index.ts';
import { plantings } from '../season/entity.ts';
import { overdueAfter, type Reckoned, reckon, reckonYear } from '../season/index.ts';
import { sessions, type TaskMarkEntity, taskMarks } from './entity.ts';
import { paceOfGarden } from './paceOfGarden.ts';

/** The tasks of reckoned plantings, with the ticks made by hand and the sessions that have taken them up. */
export async function taskViews(
  manager: EntityManager,
  garden: GardenEntity,
  reckoned: readonly Reckoned[],
  today: Day,
): Promise<TaskView[]> {
  const marks = new Map(
    (await manager.findBy(taskMarks, { gardenId: garden.id })).map((mark) => [mark.id, mark]),
  );
  const inSession = new Map(
    (await manager.find(sessions, { where: { gardenId: garden.id }, order: { on: 'ASC' } })).flatMap(
      (session) => session.taskIds.map((id) => [id, session.id] as const),
    ),
  );
  const pace = await paceOfGarden(manager, garden.id);
  return reckoned
    .flatMap((one) => {
      const { row, steps, amounts, season } = one;
      const suspectAfter = overdueAfter(one);
      return tasksFor(row.id, row.method, steps, amounts, season).map((task): TaskView => {
        const doneOn = marks.get(task.id)?.doneOn ?? null;
        const done = task.doneByLog || doneOn !== null;
        return {
          ...task,
          minutes: Math.max(1, Math.round(task.minutes * pace.factor(task.kind, 'practised'))),
          cropId: row.cropId,
          varietyId: row.varietyId,
          bedId: row.bedId,
          state: taskState(task, done, today, suspectAfter),
          doneOn,
          sessionId: inSession.get(task.id) ?? null,
        };
      });
    })
    .sort((a, b) => a.on.localeCompare(b.on) || a.id.localeCompare(b.id));
}

const unmarked = (mark: TaskMarkEntity | null, doneOn: Day | null): boolean =>
  (mark?.doneOn ?? null) === doneOn;

/** A task by its id, with its marks. @throws Refusal `notFound` */
export async function oneTask(
  store: Store,
  manager: EntityManager,
  garden: GardenEntity,
  id: string,
): Promise<TaskView> {
  const parts = taskParts(id);
  const row = parts && (await manager.findOneBy(plantings, { id: parts.plantingId, gardenId: garden.id }));
  if (!row) throw new Refusal('notFound');
  const views = await taskViews(
    manager,
    garden,
    await reckon(manager, garden, [row], parts?.season ?? undefined),
    todayIn(garden, store.clock),
  );
  const task = views.find((view) => view.id === id);
  if (!task) throw new Refusal('notFound');
  return task;
}

export const taskRoutes: Pick<Handlers, 'tasks' | 'markTask'> = {
  tasks: async ({ store, member: { garden }, query }) =>
    taskViews(
      store.manager,
      garden,
      await reckonYear(store.manager, garden, query.year),
      todayIn(garden, store.clock),
    ),

  markTask: async ({ store, member: { garden }, params, body, change }) => {
    const task = await oneTask(store, store.manager, garden, params.id);
    return change(body.doneOn ? 'task.done' : 'task.reopened', task.kind, async (writing) => {
      const mark = await writing.manager.findOneBy(taskMarks, { id: task.id });
      if (!unmarked(mark, body.doneOn)) {
        const values = { plantingId: task.plantingId, doneOn: body.doneOn };
        await writing.put(taskMarks, task.id, values, mark?.version);
      }
      return oneTask(store, writing.manager, garden, task.id);
    });
  },
};
