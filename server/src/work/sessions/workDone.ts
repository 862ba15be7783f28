import { usualMinutes } from '@unity-acre/core/work';
import { v7 as newId } from 'uuid';
import type { Handlers } from '../../http/handle.ts';
import { Refusal } from '../../http/refusal.ts';
import { sessions, taskMarks, type WorkDoneEntity, workDone } from '../entity.ts';
import { oneTask } from '../tasks/tasks.ts';
import { sessionViews } from './sessionViews.ts';
import { mayLead } from './signUps.ts';

export const workDoneRoutes: Pick<Handlers, 'logWork'> = {
  logWork: async ({ store, params, body, member, change }) => {
    const session = await store.manager.findOneBy(sessions, { id: params.id, gardenId: params.gardenId });
    if (!session?.taskIds.includes(params.taskId)) throw new Refusal('notFound');
    if (!mayLead(session, member)) throw new Refusal('notAllowed');
    const task = await oneTask(store, member.garden, params.taskId);
    return change('work.saved', task.kind, async (writing) => {
      const at = { sessionId: session.id, taskId: task.id };
      const known = await writing.manager.findOneBy(workDone, at);
      const expected = Math.max(1, usualMinutes(task));
      const values = { ...body, ...at, expected };
      await writing.put<WorkDoneEntity>(workDone, known?.id ?? newId(), values, known?.version);
      // Done in the session is done; taken back there, it is open again.
      const mark = await writing.manager.findOneBy(taskMarks, { id: task.id });
      const doneOn = body.state === 'done' ? session.on : known?.state === 'done' ? null : mark?.doneOn;
      if (doneOn !== undefined && doneOn !== (mark?.doneOn ?? null)) {
        await writing.put(
          taskMarks,
          task.id,
          { plantingId: task.plantingId, roundId: task.roundId, doneOn },
          mark?.version,
        );
      }
      return (await sessionViews(writing.manager, [session], member.person))[0]!;
    });
  },
};
