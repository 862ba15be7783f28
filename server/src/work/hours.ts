import type { HoursOf } from '@unity-acre/contract/work';
import { minutesThere, pledgeOf } from '@unity-acre/core/crew';
import { seasonYearOf } from '@unity-acre/core/place';
import { group } from 'd3-array';
import { type EntityManager, LessThanOrEqual } from 'typeorm';
import { people } from '../crew/entity.ts';
import type { Handlers } from '../http/handle.ts';
import type { GardenEntity } from '../place/entity.ts';
import { todayIn } from '../place/index.ts';
import { sessions, signUps } from './entity.ts';
import { placesOf } from './sessionViews.ts';

/** What everybody gave in a season's sessions until a day, by person. Who leads one was there. */
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
  const said = group(await manager.findBy(signUps, { gardenId: garden.id }), ({ sessionId }) => sessionId);
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
      own.push({ sessionId: session.id, title: session.title, on: session.on, minutes, counted: isCounted });
      visits.set(personId, own);
    }
  }
  return visits;
}

export const hoursRoutes: Pick<Handlers, 'hours'> = {
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
    return shown.map((one) => {
      const own = visits.get(one.id) ?? [];
      const given = own.map(({ on, minutes }) => ({ personId: one.id, on, minutes }));
      const { done } = pledgeOf(given, one.id, one.pledged, '0000-01-01', '9999-12-31');
      const { id: personId, name, pledged, headcount } = one;
      return { personId, name, pledged, minutes: done, headMinutes: done * headcount, visits: own };
    });
  },
};
