import type { Session } from '@unity-acre/contract/work';
import type { Day } from '@unity-acre/core/calendar';
import { v7 as newId } from 'uuid';
import { leads, type Member, maySpeakFor } from '../../crew/caller.ts';
import { type PersonEntity, people } from '../../crew/entity.ts';
import type { Writing } from '../../database/change.ts';
import { momentAfter } from '../../database/moments.ts';
import type { Call, Handlers } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { todayIn } from '../../place/index.ts';
import { asSigned, type SessionEntity, type SignUpEntity, sessions, signUps } from '../entity.ts';
import { isLatest, momentOf } from '../moment.ts';
import { sessionViews } from './sessionViews.ts';
import { headsIn, moveUp, placesOf } from './waiting.ts';

type SignUpRoutes = Pick<Handlers, 'signUp' | 'signOff' | 'offerPlace' | 'takePlace' | 'rollCall'>;
type Signing = Call<'signUp'> | Call<'signOff'> | Call<'offerPlace'> | Call<'takePlace'> | Call<'rollCall'>;

/** The session and the person of a sign-up. */
async function found({ store, params: { gardenId, id, personId } }: Signing) {
  const session = await store.manager.findOneBy(sessions, { id, gardenId });
  const person = await store.manager.findOneBy(people, { id: personId, gardenId });
  if (!session || !person || person.retiredOn !== null) throw new Refusal('notFound');
  return { session, person };
}

/** The same, if the caller may sign that person up or off. */
async function signing(call: Signing) {
  const { session, person } = await found(call);
  if (!maySpeakFor(call.member.person, person)) throw new Refusal('notAllowed');
  return { session, person };
}

/** Coordinators, crew leads, and whoever leads this one. */
export function mayLead(session: Pick<SessionEntity, 'leadId'>, { person }: Pick<Member, 'person'>): boolean {
  return leads(person) || session.leadId === person.id;
}

/** Refuses a place in a session that is over or called off, or is not for this person. */
function checkOpen(session: SessionEntity, person: PersonEntity, today: Day): void {
  if (session.state === 'calledOff') throw new Refusal('calledOff');
  if (session.on < today) throw new Refusal('sessionOver');
  const bringsChildren = person.kind === 'minor' || person.children > 0;
  if (bringsChildren && !session.children) throw new Refusal('noChildren');
}

const viewOf = async (writing: Writing, session: SessionEntity, viewer: PersonEntity): Promise<Session> =>
  (await sessionViews(writing.manager, [session], viewer))[0]!;

export const signUpRoutes: SignUpRoutes = {
  signUp: async (call) => {
    const { session, person } = await signing(call);
    checkOpen(session, person, todayIn(call.member.garden, call.store.clock));
    if (person.headcount > session.capacity) throw new Refusal('full');
    return call.change('signUp.made', session.title, async (writing) => {
      const rows = await writing.manager.findBy(signUps, { sessionId: session.id });
      const known = rows.find(({ personId }) => personId === person.id);
      if (!known?.comes) {
        const { coming, waiting } = placesOf(rows);
        const heads = await headsIn(writing.manager, coming);
        const waits = heads + person.headcount > session.capacity;
        const values = {
          ...asSigned,
          sessionId: session.id,
          personId: person.id,
          waitingSince: waits
            ? momentAfter(waiting.at(-1)?.waitingSince ?? null, call.store.clock.now())
            : null,
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
      if (row) await moveUp(writing, call.member.garden, call.store.clock, [session.id]);
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
    const { person: taker } = call.member;
    checkOpen(session, taker, todayIn(call.member.garden, call.store.clock));
    return call.change('place.taken', session.title, async (writing) => {
      const rows = await writing.manager.findBy(signUps, { sessionId: session.id });
      const given = rows.find(({ personId }) => personId === person.id);
      if (!given?.offered || person.id === taker.id) throw new Refusal('notOffered');
      const own = rows.find(({ personId }) => personId === taker.id);
      if (own?.comes && own.waitingSince === null) throw new Refusal('alreadyThere');
      const { coming } = placesOf(rows);
      const heads = (await headsIn(writing.manager, coming)) - person.headcount + taker.headcount;
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
    if (call.body.arrived !== null && session.on > todayIn(call.member.garden, call.store.clock))
      throw invalid('arrived', 'notHeldYet');
    return call.change('rollCall.saved', person.name, async (writing) => {
      const at = { sessionId: session.id, personId: person.id };
      const known = await writing.manager.findOneBy(signUps, at);
      const { at: said, arrived, left } = call.body;
      const calledAt = momentOf(said, call.store.clock.now());
      if (!isLatest(calledAt, known?.calledAt)) return viewOf(writing, session, call.member.person);
      // Whoever comes without having said so is there all the same.
      const called = { comes: true, waitingSince: null, arrived, left, calledAt };
      await writing.put<SignUpEntity>(
        signUps,
        known?.id ?? newId(),
        { ...asSigned, ...(known ?? at), ...called },
        known?.version,
      );
      return viewOf(writing, session, call.member.person);
    });
  },
};
