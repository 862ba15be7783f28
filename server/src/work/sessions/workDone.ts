import { earlierOf } from '@unity-acre/core/calendar';
import { usualMinutes } from '@unity-acre/core/work';
import { v7 as newId } from 'uuid';
import type { Handlers } from '../../http/handle.ts';
import { Refusal } from '../../http/refusal.ts';
import { todayIn } from '../../place/index.ts';
import { sessions, type WorkDoneEntity, workDone } from '../entity.ts';
import { isLatest, momentOf } from '../moment.ts';
import { oneTask } from '../tasks/askedTasks.ts';
import { markDone } from '../tasks/markDone.ts';
import { sessionViews } from './sessionViews.ts';
import { mayLead } from './signUps.ts';

export const workDoneRoutes: Pick<Handlers, 'logWork'> = {
  logWork: async ({ store, params, body, member, change }) => {
    const session = await store.manager.findOneBy(sessions, { id: params.id, gardenId: params.gardenId });
    if (!session?.taskIds.includes(params.taskId)) throw new Refusal('notFound');
    if (!mayLead(session, member)) throw new Refusal('notAllowed');
    const task = await oneTask(store, member.garden, params.taskId);
    const at = momentOf(body.at, store.clock.now());
    return change('work.saved', task.kind, async (writing) => {
      const of = { sessionId: session.id, taskId: task.id };
      const known = await writing.manager.findOneBy(workDone, of);
      if (isLatest(at, known?.markedAt)) {
        const { at: _, ...said } = body;
        const values = { ...said, ...of, expected: Math.max(1, usualMinutes(task)), markedAt: at };
        await writing.put<WorkDoneEntity>(workDone, known?.id ?? newId(), values, known?.version);
        // Done in the session is done, or as far as it is; taken back there, it is open again.
        const isDone = body.state === 'done';
        if (isDone || body.share !== null || known?.state === 'done' || known?.share) {
          const today = todayIn(member.garden, store.clock);
          // Whoever is ahead of the session has done it today.
          const on = earlierOf(session.on, today);
          const share = isDone ? 1 : body.share;
          const { id: personId } = member.person;
          const crew = session.crews.find(({ taskId }) => taskId === task.id)?.members ?? [];
          const people = crew.map((one) => one.personId).filter((one) => one !== personId);
          const done = share === null ? null : { on, share, minutes: body.minutes, people };
          await markDone(writing, task, done, body.at, { personId, today, now: store.clock.now() });
        }
      }
      return (await sessionViews(writing.manager, [session], member.person))[0]!;
    });
  },
};
