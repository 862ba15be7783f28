import type { TaskView } from '@unity-acre/contract/work';
import { In } from 'typeorm';
import { people } from '../../crew/entity.ts';
import type { Handlers } from '../../http/handle.ts';
import { invalid } from '../../http/refusal.ts';
import { standing } from '../../http/standing.ts';
import { todayIn } from '../../place/index.ts';
import { SEASON_ROOMS } from '../../season/index.ts';
import { lastPlanned, oneTask, tasksIn, tasksInSessions } from './askedTasks.ts';
import { markDone } from './markDone.ts';

/** No session is later. */
const LAST_DAY = '9999-12-31';

export const taskRoutes: Pick<Handlers, 'tasks' | 'markTask' | 'markTasks'> = {
  tasks: standing('tasks', {
    rooms: [...SEASON_ROOMS, 'work'],
    gather: ({ store, member: { garden }, query: { from, until, taken } }) => {
      if (taken === 'only') return tasksInSessions(store, garden, { from, until: until ?? LAST_DAY });
      return tasksIn(store, garden, { from, until: until ?? lastPlanned(garden, from) });
    },
    finish: (tasks) => tasks,
  }),

  markTask: async ({ store, member: { garden, person }, params, body, change }) => {
    const task = await oneTask(store, garden, params.id);
    return change(body.doneOn ? 'task.done' : 'task.reopened', task.kind, async (writing) => {
      const { doneOn, share, minutes } = body;
      const named = [...new Set(body.people)];
      const known = await writing.manager.countBy(people, { gardenId: garden.id, id: In(named) });
      if (known !== named.length) throw invalid('people', 'unknownPerson');
      const done = doneOn === null ? null : { on: doneOn, share, minutes, people: named };
      const now = store.clock.now();
      const today = todayIn(garden, store.clock);
      await markDone(writing, task, done, body.at, { personId: person.id, today, now });
      return oneTask({ ...store, manager: writing.manager }, garden, task.id);
    });
  },

  markTasks: async ({ store, member: { garden, person }, body, change }) => {
    const { doneOn, at } = body;
    const taskIds = [...new Set(body.taskIds)];
    const before: TaskView[] = [];
    for (const id of taskIds) before.push(await oneTask(store, garden, id));
    return change(doneOn ? 'task.done' : 'task.reopened', before[0]!.kind, async (writing) => {
      const done = doneOn === null ? null : { on: doneOn, share: 1, minutes: null, people: [] };
      const by = { personId: person.id, today: todayIn(garden, store.clock), now: store.clock.now() };
      const after: TaskView[] = [];
      for (const task of before) {
        await markDone(writing, task, done, at, by);
        after.push(await oneTask({ ...store, manager: writing.manager }, garden, task.id));
      }
      return after;
    });
  },
};
