import type { Session, SessionInput } from '@unity-acre/contract/work';
import { taskParts } from '@unity-acre/core/work';
import { group } from 'd3-array';
import { type EntityManager, In } from 'typeorm';
import { v7 as newId } from 'uuid';
import { type PersonEntity, people } from '../crew/entity.ts';
import type { Call, Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { plantings } from '../season/entity.ts';
import { type SessionEntity, type SignUpEntity, sessions, signUps } from './entity.ts';

async function sessionViews(manager: EntityManager, rows: readonly SessionEntity[]): Promise<Session[]> {
  const ids = rows.map((row) => row.id);
  const coming = await manager.find(signUps, { where: { sessionId: In(ids) }, order: { id: 'ASC' } });
  const persons = new Map<string, PersonEntity>();
  const wanted = [...coming.map((row) => row.personId), ...rows.flatMap((row) => row.leadId ?? [])];
  for (const person of await manager.findBy(people, { id: In([...new Set(wanted)]) }))
    persons.set(person.id, person);
  const bySession = group(coming, (row) => row.sessionId);
  return rows.map(({ gardenId: _, ...row }) => ({
    ...row,
    lead: (row.leadId && persons.get(row.leadId)?.name) || null,
    signUps: (bySession.get(row.id) ?? []).map(({ personId }) => ({
      personId,
      name: persons.get(personId)?.name ?? '',
      headcount: persons.get(personId)?.headcount ?? 1,
    })),
  }));
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
  call: Call<'saveSession'>,
  writing: Parameters<Parameters<typeof call.change>[2]>[0],
) {
  const { params, body } = call;
  const wanted = new Set(body.taskIds);
  for (const other of await writing.manager.findBy(sessions, { gardenId: params.gardenId })) {
    if (other.id === params.id || !other.taskIds.some((id) => wanted.has(id))) continue;
    await writing.set(sessions, other, { taskIds: other.taskIds.filter((id) => !wanted.has(id)) });
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

type SessionRoutes = Pick<Handlers, 'sessions' | 'saveSession' | 'removeSession' | 'signUp' | 'signOff'>;

export const sessionRoutes: SessionRoutes = {
  sessions: async ({ store, params }) => {
    const rows = await store.manager.find(sessions, {
      where: params,
      order: { on: 'ASC', from: 'ASC', id: 'ASC' },
    });
    return sessionViews(store.manager, rows);
  },

  saveSession: (call) =>
    call.change('session.saved', call.body.title, async (writing) => {
      const { params, body, ifMatch } = call;
      await check(writing.manager, params.gardenId, body);
      const row = await writing.put(
        sessions,
        params.id,
        { ...body, taskIds: [...new Set(body.taskIds)] },
        ifMatch,
      );
      await takeFromOthers(call, writing);
      return (await sessionViews(writing.manager, [row]))[0]!;
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
      const view = (await sessionViews(manager, [session]))[0]!;
      if (!view.signUps.some((signUp) => signUp.personId === person.id)) {
        const heads = view.signUps.reduce((sum, signUp) => sum + signUp.headcount, 0);
        if (heads + person.headcount > session.capacity) throw new Refusal('full');
        const values = { sessionId: session.id, personId: person.id };
        await writing.put<SignUpEntity>(signUps, newId(), values, undefined);
      }
      return (await sessionViews(manager, [session]))[0]!;
    });
  },

  signOff: async (call) => {
    const { session, person } = await signing(call);
    return call.change('signUp.takenBack', session.title, async (writing) => {
      const found = { sessionId: session.id, personId: person.id };
      const row = await writing.manager.findOneBy(signUps, found);
      if (row) await writing.removeFound(signUps, row);
      return (await sessionViews(writing.manager, [session]))[0]!;
    });
  },
};
