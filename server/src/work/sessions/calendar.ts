import { instantOf } from '@unity-acre/core/calendar';
import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { In, IsNull } from 'typeorm';
import { hashOf, newToken } from '../../crew/caller.ts';
import type { Handlers } from '../../http/handle.ts';
import { Refusal } from '../../http/refusal.ts';
import { gardens } from '../../place/entity.ts';
import { calendarAddresses, sessions, signUps } from '../entity.ts';

type CalendarRoutes = Pick<
  Handlers,
  'calendarAddress' | 'makeCalendarAddress' | 'revokeCalendarAddress' | 'calendar'
>;

const addressOf = (publicUrl: string, token: string): string => `${publicUrl}/api/calendar/${token}`;

export const calendarRoutes: CalendarRoutes = {
  calendarAddress: async ({ store, member }) => {
    return {
      exists: await store.manager.existsBy(calendarAddresses, { personId: member.person.id }),
      address: null,
    };
  },

  makeCalendarAddress: async ({ store, member: { person }, publicUrl, touched }) => {
    const token = newToken();
    const row = { personId: person.id, gardenId: person.gardenId, tokenHash: hashOf(token) };
    await store.manager.upsert(calendarAddresses, row, ['personId']);
    touched('calendar_address');
    return { exists: true, address: addressOf(publicUrl, token) };
  },

  revokeCalendarAddress: async ({ store, member, touched }) => {
    await store.manager.delete(calendarAddresses, { personId: member.person.id });
    touched('calendar_address');
    return { exists: false, address: null };
  },

  /** The sessions somebody has signed up for or leads, with instants in UTC. */
  calendar: async ({ store, params, publicUrl }) => {
    const { manager } = store;
    const row = await manager.findOneBy(calendarAddresses, { tokenHash: hashOf(params.token) });
    if (!row) throw new Refusal('notFound');
    const garden = await manager.findOneByOrFail(gardens, { id: row.gardenId });
    const signed = await manager.findBy(signUps, {
      personId: row.personId,
      comes: true,
      waitingSince: IsNull(),
    });
    const mine = await manager.find(sessions, {
      where: [
        { gardenId: row.gardenId, id: In(signed.map((signUp) => signUp.sessionId)) },
        { gardenId: row.gardenId, leadId: row.personId },
      ],
      order: { on: 'ASC', from: 'ASC' },
    });
    const calendar = ical({
      name: garden.name,
      method: ICalCalendarMethod.PUBLISH,
      prodId: '-//Unity Acre//Sessions//EN',
    });
    for (const session of mine) {
      calendar.createEvent({
        id: session.id,
        sequence: session.version,
        stamp: new Date(store.clock.now()),
        start: new Date(instantOf(session.on, session.from, garden.timeZone)),
        end: new Date(instantOf(session.on, session.to, garden.timeZone)),
        summary: session.title,
        description: [session.why, session.note].filter(Boolean).join('\n'),
        status: session.state === 'calledOff' ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
        location: session.meetAt,
        url: `${publicUrl}/sessions`,
      });
    }
    return calendar.toString();
  },
};
