import type { Session, SessionInput } from '@unity-acre/contract/work';
import { taskParts } from '@unity-acre/core/work';
import { group } from 'd3-array';
import { type EntityManager, In } from 'typeorm';
import { v7 as newId } from 'uuid';
import { type PersonEntity, people } from '../crew/entity.ts';
import type { Writing } from '../database/change.ts';
import type { Call, Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { plantings } from '../season/entity.ts';
import { type SessionEntity, type SignUpEntity, sessions, signUps } from './entity.ts';

/** Sessions as somebody sees them: who is under age is named to coordinators, to who leads the session, and to their guardian. */
async function sessionViews(
  manager: EntityManager,
  rows: readonly SessionEntity[],
  viewer: PersonEntity,
): Promise<Session[]> {
  const ids = rows.map((row) => row.id);
  const coming = await manager.find(signUps, {
    where: { sessionId: In(ids), comes: true },
    order: { id: 'ASC' },
  });
  const persons = new Map<string, PersonEntity>();
  const wanted = [...coming.map((row) => row.personId), ...rows.flatMap((row) => row.leadId ?? [])];
  for (const person of await manager.findBy(people, { id: In([...new Set(wanted)]) }))
    persons.set(person.id, person);
  const bySession = group(coming, (row) => row.sessionId);
  return rows.map(({ gardenId: _, ...row }) => ({
    ...row,
    lead: (row.leadId && persons.get(row.leadId)?.name) || null,
    signUps: (bySession.get(row.id) ?? []).map(({ personId, byRota }) => ({
      personId,
      name: nameFor(viewer, row, persons.get(personId)),
      headcount: persons.get(personId)?.headcount ?? 1,
      byRota,
    })),
  }));
}

function nameFor(
  viewer: PersonEntity,
  session: Pick<SessionEntity, 'leadId'>,
  person: PersonEntity | undefined,
): string {
  if (!person) return '';
  const isKnown =
    person.kind !== 'minor' ||
    viewer.role === 'coordinator' ||
    [session.leadId, person.guardianId].includes(viewer.id);
  return isKnown ? person.name : '';
}

async function check(manager: EntityManager, gardenId: string, session: SessionInput): Promise<void> {
  if (session.leadId && !(await manager.existsBy(people, { id: session.leadId, gardenId }))) {
    throw invalid('leadId', 'unknownPerson');
  }
  const plantingIds = new Set<string>();
  for (const taskId of session.taskIds) {
    const parts = taskParts(taskId);
    if (!parts) throw invalid('taskIds', 'unknownTask');
    plantingIds.add(parts.plantingId);
  }
  const known = await manager.countBy(plantings, { gardenId, id: In([...plantingIds]) });
  if (known !== plantingIds.size) throw invalid('taskIds', 'unknownTask');
}

/** A task is in one session at most: the one that takes it up last. */
async function takeFromOthers(
  writing: Writing,
  gardenId: string,
  { id, taskIds }: Pick<SessionEntity, 'id' | 'taskIds'>,
): Promise<void> {
  const wanted = new Set(taskIds);
  for (const other of await writing.manager.findBy(sessions, { gardenId })) {
    if (other.id === id || !other.taskIds.some((taskId) => wanted.has(taskId))) continue;
    await writing.set(sessions, other, {
      taskIds: other.taskIds.filter((taskId) => !wanted.has(taskId)),
      rotaTaskIds: other.rotaTaskIds.filter((taskId) => !wanted.has(taskId)),
      crews: other.crews.filter(({ taskId }) => !wanted.has(taskId)),
    });
  }
}

/** The session and the person of a sign-up, if the caller may sign that person up or off. */
async function signing({ store, params, member }: Call<'signUp'> | Call<'signOff'>) {
  const { gardenId, id, personId } = params;
  const session = await store.manager.findOneBy(sessions, { id, gardenId });
  const person = await store.manager.findOneBy(people, { id: personId, gardenId });
  if (!session || !person) throw new Refusal('notFound');
  if (personId !== member.person.id && member.person.role === 'volunteer') throw new Refusal('notAllowed');
  return { session, person };
}

type SessionRoutes = Pick<
  Handlers,
  'sessions' | 'saveSession' | 'callSessions' | 'removeSession' | 'signUp' | 'signOff'
>;

export const sessionRoutes: SessionRoutes = {
  sessions: async ({ store, params, member }) => {
    const rows = await store.manager.find(sessions, {
      where: params,
      order: { on: 'ASC', from: 'ASC', id: 'ASC' },
    });
    return sessionViews(store.manager, rows, member.person);
  },

  saveSession: (call) =>
    call.change('session.saved', call.body.title, async (writing) => {
      const { params, body, ifMatch } = call;
      await check(writing.manager, params.gardenId, body);
      const known = await writing.manager.findOneBy(sessions, params);
      const taskIds = [...new Set(body.taskIds)];
      const row = await writing.put(
        sessions,
        params.id,
        {
          ...body,
          taskIds,
          rotaTaskIds: (known?.rotaTaskIds ?? []).filter((id) => taskIds.includes(id)),
          crews: (known?.crews ?? []).filter(({ taskId }) => taskIds.includes(taskId)),
        },
        ifMatch,
      );
      await takeFromOthers(writing, params.gardenId, row);
      return (await sessionViews(writing.manager, [row], call.member.person))[0]!;
    }),

  callSessions: ({ params, body, change, member }) =>
    change('session.saved', body.sessions[0]!.title, async (writing) => {
      const rows: SessionEntity[] = [];
      for (const { id, ...session } of body.sessions) {
        await check(writing.manager, params.gardenId, session);
        const row = await writing.put(sessions, id, { ...session, rotaTaskIds: [], crews: [] }, undefined);
        await takeFromOthers(writing, params.gardenId, row);
        rows.push(row);
      }
      return sessionViews(writing.manager, rows, member.person);
    }),

  removeSession: async ({ store, params, ifMatch, change }) => {
    const row = await store.manager.findOneBy(sessions, params);
    if (!row) throw new Refusal('notFound');
    await change('session.removed', row.title, async (writing) => {
      for (const signUp of await writing.manager.findBy(signUps, { sessionId: row.id })) {
        await writing.removeFound(signUps, signUp);
      }
      await writing.remove(sessions, row.id, ifMatch);
    });
    return { ok: true };
  },

  signUp: async (call) => {
    const { session, person } = await signing(call);
    return call.change('signUp.made', session.title, async (writing) => {
      const { manager } = writing;
      const view = (await sessionViews(manager, [session], call.member.person))[0]!;
      if (!view.signUps.some((signUp) => signUp.personId === person.id)) {
        const heads = view.signUps.reduce((sum, signUp) => sum + signUp.headcount, 0);
        if (heads + person.headcount > session.capacity) throw new Refusal('full');
        const known = await manager.findOneBy(signUps, { sessionId: session.id, personId: person.id });
        const values = { sessionId: session.id, personId: person.id, comes: true, byRota: false };
        await writing.put<SignUpEntity>(signUps, known?.id ?? newId(), values, known?.version);
      }
      return (await sessionViews(manager, [session], call.member.person))[0]!;
    });
  },

  signOff: async (call) => {
    const { session, person } = await signing(call);
    return call.change('signUp.takenBack', session.title, async (writing) => {
      const found = { sessionId: session.id, personId: person.id };
      const row = await writing.manager.findOneBy(signUps, found);
      // Who says no to a rota is not asked again for that session.
      if (row?.byRota) await writing.set(signUps, row, { comes: false, byRota: false });
      else if (row) await writing.removeFound(signUps, row);
      return (await sessionViews(writing.manager, [session], call.member.person))[0]!;
    });
  },
};
