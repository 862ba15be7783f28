import type { SessionInput } from '@unity-acre/contract/work';
import { occurrenceParts, taskParts } from '@unity-acre/core/work';
import { Between, type EntityManager, In } from 'typeorm';
import { people } from '../../crew/entity.ts';
import { Names } from '../../crew/index.ts';
import type { Writing } from '../../database/change.ts';
import type { Handlers } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { standing } from '../../http/standing.ts';
import { plantings } from '../../season/entity.ts';
import { asCalled, rounds, type SessionEntity, sessions, signUps, workDone } from '../entity.ts';
import { refuseOutOfOrder } from './inOrder.ts';
import { isMoved, moveIn, tellExpected } from './moving.ts';
import { sessionViews, withoutTasks } from './sessionViews.ts';
import { moveUp } from './waiting.ts';

async function check(manager: EntityManager, gardenId: string, session: SessionInput): Promise<void> {
  if (session.leadId && !(await manager.existsBy(people, { id: session.leadId, gardenId }))) {
    throw invalid('leadId', 'unknownPerson');
  }
  const plantingIds = new Set<string>();
  const roundIds = new Set<string>();
  for (const taskId of session.taskIds) {
    const planting = taskParts(taskId)?.plantingId;
    const round = occurrenceParts(taskId)?.roundId;
    if (planting) plantingIds.add(planting);
    else if (round) roundIds.add(round);
    else throw invalid('taskIds', 'unknownTask');
  }
  if (session.taskIds.length === 0) return;
  const turned = await manager.countBy(rounds, { gardenId, id: In([...roundIds]) });
  if (turned !== roundIds.size) throw invalid('taskIds', 'unknownTask');
  const known = await manager.countBy(plantings, { gardenId, id: In([...plantingIds]) });
  if (known !== plantingIds.size) throw invalid('taskIds', 'unknownTask');
}

/** A task is in one session at most: the one that takes it up last. */
async function takeFromOthers(
  writing: Writing,
  gardenId: string,
  taken: readonly Pick<SessionEntity, 'id' | 'taskIds'>[],
): Promise<void> {
  const wanted = new Set(taken.flatMap(({ taskIds }) => taskIds));
  if (wanted.size === 0) return;
  const ids = new Set(taken.map(({ id }) => id));
  for (const other of await writing.manager.findBy(sessions, { gardenId })) {
    if (ids.has(other.id) || !other.taskIds.some((taskId) => wanted.has(taskId))) continue;
    await writing.set(
      sessions,
      other,
      withoutTasks(other, (taskId) => wanted.has(taskId)),
    );
  }
}

/** The same among sessions that are called together. */
function eachTaskOnce<One extends Pick<SessionEntity, 'taskIds'>>(called: readonly One[]): One[] {
  const last = new Map(called.flatMap(({ taskIds }, i) => taskIds.map((taskId) => [taskId, i] as const)));
  return called.map((one, i) => ({
    ...one,
    taskIds: [...new Set(one.taskIds)].filter((taskId) => last.get(taskId) === i),
  }));
}

type SessionRoutes = Pick<
  Handlers,
  'sessions' | 'saveSession' | 'callSessions' | 'removeSession' | 'moveSession'
>;

export const sessionRoutes: SessionRoutes = {
  sessions: standing('sessions', {
    rooms: ['work', 'crew'],
    audience: ({ store, member }) => Names.audience(store.manager, member.person),
    gather: async ({ store, params, query, member }) => {
      const { from = '0000-01-01', until = '9999-12-31' } = query;
      const rows = await store.manager.find(sessions, {
        where: { ...params, on: Between(from, until) },
        order: { on: 'ASC', from: 'ASC', id: 'ASC' },
      });
      return sessionViews(store.manager, rows, member.person);
    },
    finish: (views) => views,
  }),

  saveSession: (call) =>
    call.change('session.saved', call.body.title, async (writing) => {
      const { params, body, ifMatch } = call;
      await check(writing.manager, params.gardenId, body);
      const known = await writing.manager.findOneBy(sessions, params);
      const taskIds = [...new Set(body.taskIds)];
      const { garden } = call.member;
      if (known?.state !== 'calledOff') {
        const database = { manager: writing.manager, clock: call.store.clock };
        await refuseOutOfOrder(database, garden, { id: params.id, on: body.on, taskIds });
      }
      const row = await writing.put(
        sessions,
        params.id,
        {
          ...(known ?? asCalled),
          ...body,
          ...(known && known.on !== body.on && { movedFrom: known.movedFrom ?? known.on }),
          taskIds,
          rotaTaskIds: (known?.rotaTaskIds ?? []).filter((id) => taskIds.includes(id)),
          crews: (known?.crews ?? []).filter(({ taskId }) => taskIds.includes(taskId)),
        },
        ifMatch,
      );
      await takeFromOthers(writing, params.gardenId, [row]);
      if (known && isMoved(known, row))
        await tellExpected(writing, 'moved', known, row, garden, call.store.clock);
      // A larger session, or one that may be held after all, has room for those who wait.
      await moveUp(writing, garden, call.store.clock, [row.id]);
      return (await sessionViews(writing.manager, [row], call.member.person))[0]!;
    }),

  callSessions: ({ params, body, change, member, store }) =>
    change('session.saved', body.sessions[0]!.title, async (writing) => {
      const database = { manager: writing.manager, clock: store.clock };
      for (const session of body.sessions) {
        await check(writing.manager, params.gardenId, session);
        await refuseOutOfOrder(database, member.garden, session);
      }
      const rows = await writing.putAll<SessionEntity>(
        sessions,
        eachTaskOnce(body.sessions).map(({ id, ...session }) => ({
          id,
          version: null,
          values: { ...asCalled, ...session },
        })),
      );
      await takeFromOthers(writing, params.gardenId, rows);
      return sessionViews(writing.manager, rows, member.person);
    }),

  removeSession: async ({ store, params, ifMatch, change, member: { garden } }) => {
    const row = await store.manager.findOneBy(sessions, params);
    if (!row) throw new Refusal('notFound');
    await change('session.removed', row.title, async (writing) => {
      await tellExpected(writing, 'calledOff', row, row, garden, store.clock);
      for (const signUp of await writing.manager.findBy(signUps, { sessionId: row.id })) {
        await writing.removeFound(signUps, signUp);
      }
      for (const done of await writing.manager.findBy(workDone, { sessionId: row.id })) {
        await writing.removeFound(workDone, done);
      }
      await writing.remove(sessions, row.id, ifMatch);
    });
    return { ok: true };
  },

  moveSession: async ({ store, params, body, ifMatch, change, member }) => {
    const row = await store.manager.findOneBy(sessions, params);
    if (!row) throw new Refusal('notFound');
    if (ifMatch === undefined) throw new Refusal('versionNeeded');
    if (row.version !== ifMatch) throw new Refusal('stale', { current: row });
    if (row.state === 'calledOff') throw new Refusal('calledOff');
    return change(body.to ? 'session.moved' : 'session.calledOff', row.title, async (writing) => {
      const moved = await moveIn(writing, row, body, member, store.clock);
      return (await sessionViews(writing.manager, [moved], member.person))[0]!;
    });
  },
};
