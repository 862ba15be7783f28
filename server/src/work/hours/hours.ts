import type { HoursOf } from '@unity-acre/contract/work';
import { minutesThere, pledgeOf } from '@unity-acre/core/crew';
import { seasonYearOf } from '@unity-acre/core/place';
import { group } from 'd3-array';
import { type EntityManager, LessThanOrEqual } from 'typeorm';
import { type Member, maySpeakFor } from '../../crew/caller.ts';
import { type PersonEntity, people } from '../../crew/entity.ts';
import { Names } from '../../crew/index.ts';
import { findInPieces } from '../../database/pieces.ts';
import { breathe } from '../../heavy/breathe.ts';
import type { Handlers } from '../../http/handle.ts';
import { inOrder } from '../../http/order.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { type GivenEntity, givenHours, sessions, signUps } from '../entity.ts';
import { placesOf } from '../sessions/waiting.ts';

/** What everybody gave in a season until a day, by person, in sessions and outside them. Who leads a session was there. */
async function visitsOf(
  manager: EntityManager,
  garden: GardenEntity,
  year: number,
  until: string,
): Promise<Map<string, HoursOf['visits']>> {
  const held = (
    await manager.find(sessions, {
      where: { gardenId: garden.id, state: 'called', on: LessThanOrEqual(until) },
      order: { on: 'ASC', from: 'ASC' },
    })
  ).filter(({ on }) => seasonYearOf(garden.latitude, on) === year);
  const said = group(
    await findInPieces(manager, signUps, { gardenId: garden.id }),
    ({ sessionId }) => sessionId,
  );
  await breathe();
  const visits = new Map<string, HoursOf['visits']>();
  for (const session of held) {
    const { coming } = placesOf(said.get(session.id) ?? []);
    const counted = coming.some(({ arrived }) => arrived !== null);
    const there = new Map(
      coming.map((row) => [row.personId, { minutes: minutesThere(session, row, counted), counted }]),
    );
    if (session.leadId && !there.get(session.leadId)?.minutes) {
      const whole = minutesThere(session, { arrived: null, left: null }, false);
      there.set(session.leadId, { minutes: whole, counted: false });
    }
    for (const [personId, { minutes, counted: isCounted }] of there) {
      if (minutes === 0) continue;
      const own = visits.get(personId) ?? [];
      own.push({
        id: session.id,
        title: session.title,
        on: session.on,
        minutes,
        counted: isCounted,
        given: null,
      });
      visits.set(personId, own);
    }
  }
  await breathe();
  for (const { id, personId, on, minutes, what, version } of await manager.find(givenHours, {
    where: { gardenId: garden.id, on: LessThanOrEqual(until) },
    order: { on: 'ASC', id: 'ASC' },
  })) {
    if (seasonYearOf(garden.latitude, on) !== year) continue;
    const own = visits.get(personId) ?? [];
    own.push({ id, title: what, on, minutes, counted: true, given: version });
    visits.set(personId, own);
  }
  for (const own of visits.values()) own.sort((a, b) => inOrder(a.on, b.on));
  return visits;
}

/** Somebody's whose hours the caller may log. */
async function hoursOfWhom(manager: EntityManager, member: Member, personId: string): Promise<PersonEntity> {
  const one = await manager.findOneBy(people, { id: personId, gardenId: member.garden.id });
  if (!one) throw invalid('personId', 'unknownPerson');
  if (!maySpeakFor(member.person, one)) throw new Refusal('notAllowed');
  return one;
}

export const hoursRoutes: Pick<Handlers, 'hours' | 'saveGiven' | 'removeGiven'> = {
  hours: async ({ store, member: { garden, person }, query }) => {
    const today = todayIn(garden, store.clock);
    const visits = await visitsOf(store.manager, garden, query.year, today);
    const crew = await store.manager.find(people, {
      where: { gardenId: garden.id },
      order: { name: 'ASC' },
    });
    // Volunteers see their own; those under age are for coordinators and their guardian.
    const isOwn = (one: (typeof crew)[number]) => one.id === person.id || one.guardianId === person.id;
    const shown = crew.filter(
      (one) =>
        isOwn(one) || person.role === 'coordinator' || (person.role === 'crewLead' && one.kind !== 'minor'),
    );
    const names = await Names.for(store.manager, person);
    return shown.map((one) => {
      const own = visits.get(one.id) ?? [];
      const given = own.map(({ on, minutes }) => ({ personId: one.id, on, minutes }));
      const { done } = pledgeOf(given, one.id, one.pledged, '0000-01-01', '9999-12-31');
      const { id: personId, pledged, headcount } = one;
      return {
        personId,
        name: names.of(personId),
        pledged,
        minutes: done,
        headMinutes: done * headcount,
        visits: own,
      };
    });
  },

  saveGiven: async ({ store, member, params, body, ifMatch, change }) => {
    const one = await hoursOfWhom(store.manager, member, body.personId);
    if (body.on > todayIn(member.garden, store.clock)) throw invalid('on', 'inFuture');
    return change('hours.logged', one.name, async (writing) => {
      const known = await writing.manager.findOneBy(givenHours, params);
      if (known) await hoursOfWhom(writing.manager, member, known.personId);
      const { gardenId: _, ...row } = await writing.put<GivenEntity>(givenHours, params.id, body, ifMatch);
      return row;
    });
  },

  removeGiven: async ({ store, member, params, ifMatch, change }) => {
    const known = await store.manager.findOneBy(givenHours, params);
    if (!known) throw new Refusal('notFound');
    const one = await hoursOfWhom(store.manager, member, known.personId);
    await change('hours.takenBack', one.name, (writing) => writing.remove(givenHours, params.id, ifMatch));
    return { ok: true };
  },
};
