import type { Session } from '@unity-acre/contract/work';
import { In } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { Member } from '../crew/caller.ts';
import { type PersonEntity, people } from '../crew/entity.ts';
import { Letters } from '../crew/index.ts';
import type { Writing } from '../database/change.ts';
import type { Clock } from '../database/store.ts';
import type { Call, Handlers } from '../http/handle.ts';
import { Refusal } from '../http/refusal.ts';
import { asSigned, type SessionEntity, type SignUpEntity, sessions, signUps } from './entity.ts';
import { placesOf, sessionViews } from './sessionViews.ts';

type SignUpRoutes = Pick<Handlers, 'signUp' | 'signOff' | 'offerPlace' | 'takePlace' | 'rollCall'>;
type Signing = Call<'signUp'> | Call<'signOff'> | Call<'offerPlace'> | Call<'takePlace'> | Call<'rollCall'>;

/** The session and the person of a sign-up. */
async function found({ store, params: { gardenId, id, personId } }: Signing) {
  const session = await store.manager.findOneBy(sessions, { id, gardenId });
  const person = await store.manager.findOneBy(people, { id: personId, gardenId });
  if (!session || !person) throw new Refusal('notFound');
  return { session, person };
}

/** The same, if the caller may sign that person up or off. */
async function signing(call: Signing) {
  const { session, person } = await found(call);
  const { person: caller } = call.member;
  const isOwn = person.id === caller.id || person.guardianId === caller.id;
  if (!isOwn && caller.role === 'volunteer') throw new Refusal('notAllowed');
  return { session, person };
}

/** Coordinators, crew leads, and whoever leads this one. */
export function mayLead(session: SessionEntity, { person }: Member): boolean {
  return person.role === 'coordinator' || person.role === 'crewLead' || session.leadId === person.id;
}

const viewOf = async (writing: Writing, session: SessionEntity, viewer: PersonEntity): Promise<Session> =>
  (await sessionViews(writing.manager, [session], viewer))[0]!;

async function headsIn(writing: Writing, rows: readonly SignUpEntity[]): Promise<number> {
  const persons = await writing.manager.findBy(people, { id: In(rows.map(({ personId }) => personId)) });
  return persons.reduce((sum, { headcount }) => sum + headcount, 0);
}

/** Gives places that are free to those who wait for them, the longest waiting first, and tells them. */
async function moveUp(writing: Writing, session: SessionEntity, member: Member, clock: Clock): Promise<void> {
  const { coming, waiting } = placesOf(await writing.manager.findBy(signUps, { sessionId: session.id }));
  let free = session.capacity - (await headsIn(writing, coming));
  const letters = waiting.length > 0 ? await Letters.of(writing, member.garden, clock) : null;
  for (const row of waiting) {
    const heads = await headsIn(writing, [row]);
    if (heads > free) continue;
    free -= heads;
    await writing.set(signUps, row, { waitingSince: null });
    await letters?.write('placeFree', row.personId, session);
  }
}

export const signUpRoutes: SignUpRoutes = {
  signUp: async (call) => {
    const { session, person } = await signing(call);
    if (session.state === 'calledOff') throw new Refusal('calledOff');
    if (person.headcount > session.capacity) throw new Refusal('full');
    return call.change('signUp.made', session.title, async (writing) => {
      const rows = await writing.manager.findBy(signUps, { sessionId: session.id });
      const known = rows.find(({ personId }) => personId === person.id);
      if (!known?.comes) {
        const heads = await headsIn(writing, placesOf(rows).coming);
        const waits = heads + person.headcount > session.capacity;
        const values = {
          ...asSigned,
          sessionId: session.id,
          personId: person.id,
          waitingSince: waits ? new Date(call.store.clock.now()).toISOString() : null,
        };
        await writing.put<SignUpEntity>(signUps, known?.id ?? newId(), values, known?.version);
      }
      return viewOf(writing, session, call.member.person);
    });
  },

  signOff: async (call) => {
    const { session, person } = await signing(call);
    return call.change('signUp.takenBack', session.title, async (writing) => {
      const at = { sessionId: session.id, personId: person.id };
      const row = await writing.manager.findOneBy(signUps, at);
      // Who says no to a rota is not asked again for that session.
      if (row?.byRota) await writing.set(signUps, row, { ...asSigned, comes: false });
      else if (row) await writing.removeFound(signUps, row);
      if (row && session.state === 'called') await moveUp(writing, session, call.member, call.store.clock);
      return viewOf(writing, session, call.member.person);
    });
  },

  offerPlace: async (call) => {
    const { session, person } = await signing(call);
    return call.change('place.offered', session.title, async (writing) => {
      const row = await writing.manager.findOneBy(signUps, { sessionId: session.id, personId: person.id });
      if (!row?.comes || row.waitingSince !== null) throw new Refusal('notFound');
      if (row.offered !== call.body.offered) await writing.set(signUps, row, call.body);
      return viewOf(writing, session, call.member.person);
    });
  },

  takePlace: async (call) => {
    const { session, person } = await found(call);
    if (session.state === 'calledOff') throw new Refusal('calledOff');
    const { person: taker } = call.member;
    return call.change('place.taken', session.title, async (writing) => {
      const rows = await writing.manager.findBy(signUps, { sessionId: session.id });
      const given = rows.find(({ personId }) => personId === person.id);
      if (!given?.offered || person.id === taker.id) throw new Refusal('notOffered');
      const own = rows.find(({ personId }) => personId === taker.id);
      if (own?.comes && own.waitingSince === null) throw new Refusal('alreadyThere');
      const { coming } = placesOf(rows);
      const heads = (await headsIn(writing, coming)) - person.headcount + taker.headcount;
      if (heads > session.capacity) throw new Refusal('full');
      await writing.removeFound(signUps, given);
      const values = { ...asSigned, sessionId: session.id, personId: taker.id };
      await writing.put<SignUpEntity>(signUps, own?.id ?? newId(), values, own?.version);
      // Who takes a place takes the work that goes with it.
      const crews = session.crews.map((crew) => ({
        ...crew,
        members: crew.members.map((one) =>
          one.personId === person.id ? { ...one, personId: taker.id } : one,
        ),
      }));
      const changed = await writing.set(sessions, session, { crews });
      return viewOf(writing, changed, taker);
    });
  },

  rollCall: async (call) => {
    const { session, person } = await found(call);
    if (!mayLead(session, call.member)) throw new Refusal('notAllowed');
    return call.change('rollCall.saved', person.name, async (writing) => {
      const at = { sessionId: session.id, personId: person.id };
      const known = await writing.manager.findOneBy(signUps, at);
      // Whoever comes without having said so is there all the same.
      const values = { ...asSigned, ...(known ?? at), comes: true, waitingSince: null, ...call.body };
      await writing.put<SignUpEntity>(signUps, known?.id ?? newId(), values, known?.version);
      return viewOf(writing, session, call.member.person);
    });
  },
};
