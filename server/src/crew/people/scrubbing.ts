import { type EntityManager, Like } from 'typeorm';
import { type ChangeEntity, changes } from '../../log/entity.ts';
import { messages } from '../../work/entity.ts';
import { accounts, allotments, type PersonEntity, passwordLinks, people, signIns } from '../entity.ts';

/** What stands for the name of somebody who was erased. */
export const ERASED = '–';

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

/** Blanks what is personal of somebody in the audit trail, in letters and in the records of draws. */
export async function scrubRecords(manager: EntityManager, person: PersonEntity): Promise<void> {
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
export async function removeAccount(manager: EntityManager, { email }: PersonEntity): Promise<void> {
  const account = email && (await manager.findOneBy(accounts, { email }));
  if (!account || (await manager.existsBy(people, { accountId: account.id }))) return;
  await manager.delete(passwordLinks, { accountId: account.id });
  await manager.delete(signIns, { accountId: account.id });
  await manager.delete(accounts, { id: account.id });
}
