import { type EntityManager, In, IsNull, Like, MoreThanOrEqual, Not } from 'typeorm';
import type { Writing } from '../../database/change.ts';
import { tenures } from '../../ground/entity.ts';
import type { Handlers } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { endStreamsOf } from '../../http/streams.ts';
import { type ChangeEntity, changes } from '../../log/entity.ts';
import { todayIn } from '../../place/index.ts';
import { calendarAddresses, messages, sessions, signUps } from '../../work/entity.ts';
import {
  accounts,
  allotments,
  invitations,
  type PersonEntity,
  passwordLinks,
  people,
  plotApplications,
  signIns,
} from '../entity.ts';
import { keepACoordinator, personView } from './people.ts';

/** What stands for the name of somebody who was erased. */
const ERASED = '–';

/** Takes somebody out of what is to come: sessions they signed up for or lead, and applications. */
async function leaveWhatIsToCome(
  writing: Writing,
  { id, gardenId }: PersonEntity,
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
  const year = Number(today.slice(0, 4));
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

/** Fields in which people are named in words; ids, days and codes are never touched, whatever somebody is called. */
const inWords = new Set([
  'name',
  'email',
  'phone',
  'to',
  'address',
  'subject',
  'body',
  'note',
  'title',
  'what',
  'why',
]);

/** A text in which what is personal is blanked, as whole words. */
const scrubbed = (text: string, personal: readonly string[]): string =>
  personal.reduce((rest, one) => {
    const literal = one.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
    return rest.replace(new RegExp(`(?<![\\p{L}\\p{N}])${literal}(?![\\p{L}\\p{N}])`, 'gu'), ERASED);
  }, text);

/** The same for every field in words within a value. @param field the one the value stands in */
function scrubAll<T>(value: T, personal: readonly string[], field = ''): T {
  if (typeof value === 'string') return (inWords.has(field) ? scrubbed(value, personal) : value) as T;
  if (Array.isArray(value)) return value.map((one) => scrubAll(one, personal, field)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [key, scrubAll(one, personal, key)]),
  ) as T;
}

/** What the garden knows of somebody that tells who they are, now and in every change that is on record. */
async function personalTexts(manager: EntityManager, person: PersonEntity): Promise<string[]> {
  const about = await manager.findBy(changes, {
    gardenId: person.gardenId,
    rows: Like(`%${person.id}%`) as never,
  });
  const known = about.flatMap(({ rows }) =>
    rows.flatMap(({ entity, before, after }) =>
      entity === people.options.name ? [before, after].filter((row) => row?.id === person.id) : [],
    ),
  ) as unknown as PersonEntity[];
  const texts = [person, ...known].flatMap(({ name, email, phone }) => [name, email, phone]);
  // The longest first, so that a part of a name is not blanked within it.
  return [...new Set(texts)]
    .filter((text): text is string => typeof text === 'string' && text.length > 1 && text !== ERASED)
    .sort((a, b) => b.length - a.length);
}

/** Blanks what is personal in the audit trail, in letters and in the records of draws. */
async function scrubRecords(manager: EntityManager, person: PersonEntity): Promise<void> {
  const { gardenId } = person;
  const personal = await personalTexts(manager, person);
  for (const text of personal) {
    const within = Like(`%${JSON.stringify(text).slice(1, -1)}%`);
    const found: ChangeEntity[] = await manager.find(changes, {
      where: [
        { gardenId, rows: within as never },
        { gardenId, what: Like(`%${text}%`) },
      ],
    });
    for (const { id, rows, what } of found)
      await manager.update(
        changes,
        { id },
        { rows: scrubAll(rows, personal), what: scrubbed(what, personal) },
      );
  }
  for (const row of await manager.findBy(messages, { gardenId })) {
    const { to, address, subject, body } = scrubAll(row, personal);
    const isTheirs = row.personId === person.id;
    const next = { to, address: isTheirs ? '' : address, subject, body };
    if (next.to !== row.to || next.address !== row.address || subject !== row.subject || body !== row.body)
      await manager.update(messages, { id: row.id }, next);
  }
  for (const { id, record } of await manager.findBy(allotments, { gardenId }))
    if (record) await manager.update(allotments, { id }, { record: scrubAll(record, personal) as never });
}

/** Removes the account that somebody had, where no garden of the installation knows it any more. */
async function removeAccount(manager: EntityManager, { email }: PersonEntity): Promise<void> {
  const account = email && (await manager.findOneBy(accounts, { email }));
  if (!account || (await manager.existsBy(people, { accountId: account.id }))) return;
  await manager.delete(passwordLinks, { accountId: account.id });
  await manager.delete(signIns, { accountId: account.id });
  await manager.delete(accounts, { id: account.id });
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
      await leaveWhatIsToCome(writing, person, today);
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
      writing.keepAnyway();
    });
    return { ok: true };
  },
};
