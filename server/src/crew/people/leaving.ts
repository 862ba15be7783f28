import { seasonYearOf } from '@unity-acre/core/place';
import { type EntityManager, In, IsNull, MoreThanOrEqual, Not } from 'typeorm';
import type { Writing } from '../../database/change.ts';
import { touch } from '../../database/stamps.ts';
import { tenures } from '../../ground/entity.ts';
import type { Handlers } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { endStreamsOf } from '../../http/streams.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { calendarAddresses, sessions, signUps } from '../../work/entity.ts';
import { invitations, type PersonEntity, people, plotApplications, signIns } from '../entity.ts';
import { keepACoordinator, personView } from './people.ts';
import { ERASED, removeAccount, scrubRecords } from './scrubbing.ts';

/** Takes somebody out of what is to come: sessions they signed up for or lead, and applications. */
async function leaveWhatIsToCome(
  writing: Writing,
  { id, gardenId }: PersonEntity,
  garden: Pick<GardenEntity, 'latitude'>,
  today: string,
): Promise<void> {
  const { manager } = writing;
  const ahead = await manager.findBy(sessions, { gardenId, on: MoreThanOrEqual(today) });
  const ids = ahead.map((session) => session.id);
  for (const row of await manager.findBy(signUps, { personId: id, sessionId: In(ids) }))
    await writing.removeFound(signUps, row);
  for (const led of ahead) if (led.leadId === id) await writing.set(sessions, led, { leadId: null });
  for (const row of await manager.findBy(plotApplications, { gardenId, personId: id }))
    await writing.removeFound(plotApplications, row);
  const year = seasonYearOf(garden.latitude, today);
  for (const row of await manager.findBy(tenures, { gardenId, personId: id, year: MoreThanOrEqual(year) }))
    await writing.set(tenures, row, { personId: null });
}

/** Ends what opens doors to somebody: invitations, calendar addresses, and sign-ins that lead into no other garden. */
async function closeDoors(manager: EntityManager, { id, gardenId, accountId }: PersonEntity): Promise<void> {
  await manager.delete(invitations, { personId: id });
  await manager.delete(calendarAddresses, { personId: id });
  endStreamsOf(({ personId }) => personId === id);
  if (accountId === null) return;
  const isElsewhere = await manager.existsBy(people, { accountId, gardenId: Not(gardenId) });
  if (!isElsewhere) await manager.delete(signIns, { accountId });
}

const nobody = {
  name: ERASED,
  email: null,
  phone: '',
  household: '',
  skills: [],
  cannot: [],
  ratherNot: [],
  availability: { weekly: null, exceptions: [] },
  together: [],
  minutesAway: null,
  consents: [],
  waitingSince: null,
  accountId: null,
} satisfies Partial<PersonEntity>;

export const leavingRoutes: Pick<Handlers, 'retirePerson' | 'erasePerson'> = {
  retirePerson: async ({ store, member: { garden }, params, body, ifMatch, change }) => {
    const person = await store.manager.findOneBy(people, params);
    if (!person) throw new Refusal('notFound');
    if (ifMatch === undefined) throw new Refusal('versionNeeded');
    if (ifMatch !== person.version) throw new Refusal('stale', { current: personView(person) });
    const today = todayIn(garden, store.clock);
    return change(body.retired ? 'person.retired' : 'person.returned', person.name, async (writing) => {
      const { manager } = writing;
      if (!body.retired) return personView(await writing.set(people, person, { retiredOn: null }));
      await keepACoordinator(manager, person);
      if (await manager.existsBy(people, { gardenId: garden.id, guardianId: person.id, retiredOn: IsNull() }))
        throw invalid('guardianId', 'isGuardian');
      await leaveWhatIsToCome(writing, person, garden, today);
      await closeDoors(manager, person);
      return personView(await writing.set(people, person, { retiredOn: today, accountId: null }));
    });
  },

  erasePerson: async ({ store, params, change }) => {
    const person = await store.manager.findOneBy(people, params);
    if (!person) throw new Refusal('notFound');
    if (person.retiredOn === null) throw invalid('retired', 'retireFirst');
    // Nothing of it stands in the audit trail but that it was done: what is erased is not brought back.
    await change('person.erased', '', async (writing) => {
      const { manager } = writing;
      await scrubRecords(manager, person);
      await removeAccount(manager, person);
      const kind = person.kind === 'minor' ? 'adult' : person.kind;
      await manager.update(
        people,
        { id: person.id },
        { ...nobody, kind, guardianId: null, version: person.version + 1 },
      );
      await touch(manager, person.gardenId, [people.options.name]);
      writing.keepAnyway();
    });
    return { ok: true };
  },
};
