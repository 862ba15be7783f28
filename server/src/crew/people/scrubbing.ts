import { Between, type EntityManager, Like, MoreThan, Not } from 'typeorm';
import { findInPieces } from '../../database/pieces.ts';
import { breathe } from '../../heavy/breathe.ts';
import { type ChangeEntity, changes, type RowChange } from '../../log/entity.ts';
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

/** Finds texts as whole words, the longest first, so that a part of a name is not blanked within it. */
function wordsOf(texts: readonly string[]): RegExp {
  if (texts.length === 0) return /(?!)/gu;
  const literals = texts.map((text) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  return new RegExp(`(?<![\\p{L}\\p{N}])(?:${literals.join('|')})(?![\\p{L}\\p{N}])`, 'gu');
}

/** A value with what is personal blanked in every field in words. @param field the one the value stands in */
function scrubAll<T>(value: T, personal: RegExp, field = ''): T {
  if (typeof value === 'string') return (inWords.has(field) ? value.replace(personal, ERASED) : value) as T;
  if (Array.isArray(value)) return value.map((one) => scrubAll(one, personal, field)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [key, scrubAll(one, personal, key)]),
  ) as T;
}

/** Changes looked through with one statement, and how much of them, bytes: each may hold thousands of rows. */
const AT_ONCE = { most: 50, bytes: 200_000 };

/** The changes of a garden after one, as many as are looked through at once: at least one where there is one. */
async function nextChanges(
  manager: EntityManager,
  gardenId: string,
  after: string,
): Promise<{ first: string; last: string } | null> {
  const found: { id: string; bytes: number }[] = await manager
    .createQueryBuilder(changes, 'change')
    .select('change.id', 'id')
    .addSelect('OCTET_LENGTH(change.rows)', 'bytes')
    .where({ gardenId, id: MoreThan(after) })
    .orderBy('change.id')
    .limit(AT_ONCE.most)
    .getRawMany();
  const [first] = found;
  if (!first) return null;
  let last = first;
  let bytes = first.bytes;
  for (const next of found.slice(1)) {
    bytes += next.bytes;
    if (bytes > AT_ONCE.bytes) break;
    last = next;
  }
  return { first: first.id, last: last.id };
}

/** Every change of a garden in which one of these texts may stand, one after another, with turns for others in between. */
async function* changesWith(
  manager: EntityManager,
  gardenId: string,
  texts: readonly string[],
): AsyncGenerator<ChangeEntity> {
  if (texts.length === 0) return;
  for (let last = ''; ; ) {
    const piece = await nextChanges(manager, gardenId, last);
    if (!piece) return;
    const here = { gardenId, id: Between(piece.first, piece.last) };
    const found = await manager.find(changes, {
      where: texts.flatMap((text) => [
        { ...here, rows: Like(`%${JSON.stringify(text).slice(1, -1)}%`) as never },
        { ...here, what: Like(`%${text}%`) },
      ]),
      select: { id: true },
    });
    for (const { id } of found) {
      await breathe();
      const change = await manager.findOneByOrFail(changes, { id });
      await breathe();
      yield change;
    }
    await breathe();
    last = piece.last;
  }
}

/** What the garden knows of somebody that tells who they are, now and in every change that is on record. */
async function personalTexts(manager: EntityManager, person: PersonEntity): Promise<string[]> {
  const known: Pick<PersonEntity, 'name' | 'email' | 'phone'>[] = [person];
  for await (const { rows } of changesWith(manager, person.gardenId, [person.id])) {
    for (const { entity, before, after } of rows) {
      if (entity !== people.options.name) continue;
      for (const row of [before, after])
        if (row?.id === person.id) known.push(row as unknown as PersonEntity);
    }
  }
  const texts = known.flatMap(({ name, email, phone }) => [name, email, phone]);
  return [...new Set(texts)]
    .filter((text): text is string => typeof text === 'string' && text.length > 1 && text !== ERASED)
    .sort((a, b) => b.length - a.length);
}

/** Those of somebody's texts that nobody else of the garden bears: a name of two, the telephone of a household. */
async function onlyTheirs(
  manager: EntityManager,
  { id, gardenId }: PersonEntity,
  texts: readonly string[],
): Promise<string[]> {
  const others = await findInPieces(manager, people, { gardenId, id: Not(id) });
  const borne = new Set(others.flatMap(({ name, email, phone }) => [name, email, phone]));
  return texts.filter((text) => !borne.has(text));
}

/** Whether a row is somebody's own: who they are, or what they signed up for, hold and gave. */
const isOwn = ({ before, after }: RowChange, personId: string): boolean =>
  [before, after].some(
    (row) => row && (row.id === personId || (row as { personId?: unknown }).personId === personId),
  );

/**
 * Blanks what is personal of somebody in the audit trail, in letters and in the records of draws. What somebody else of the garden
 * bears too is blanked where it is surely meant for them: in their own rows and letters.
 */
export async function scrubRecords(manager: EntityManager, person: PersonEntity): Promise<void> {
  const { gardenId } = person;
  const texts = await personalTexts(manager, person);
  const own = wordsOf(texts);
  const anywhere = wordsOf(await onlyTheirs(manager, person, texts));
  for await (const { id, rows, what } of changesWith(manager, gardenId, texts)) {
    const blanked: RowChange[] = [];
    for (const row of rows) {
      blanked.push(scrubAll(row, isOwn(row, person.id) ? own : anywhere));
      await breathe();
    }
    const isAbout = rows.some((row) => isOwn(row, person.id));
    const said = what.replace(isAbout ? own : anywhere, ERASED);
    await manager.update(changes, { id }, { rows: blanked, what: said });
  }
  for (const row of await findInPieces(manager, messages, { gardenId })) {
    const isTheirs = row.personId === person.id;
    const { to, address, subject, body } = scrubAll(row, isTheirs ? own : anywhere);
    const next = { to, address: isTheirs ? '' : address, subject, body };
    if (next.to !== row.to || next.address !== row.address || subject !== row.subject || body !== row.body)
      await manager.update(messages, { id: row.id }, next);
    await breathe();
  }
  for (const { id } of await manager.find(allotments, { where: { gardenId }, select: { id: true } })) {
    const { record } = await manager.findOneByOrFail(allotments, { id });
    if (!record) continue;
    await breathe();
    const blanked = scrubAll(record, anywhere);
    await breathe();
    await manager.update(allotments, { id }, { record: blanked as never });
    await breathe();
  }
}

/** Removes the account that somebody had, where no garden of the installation knows it any more. */
export async function removeAccount(manager: EntityManager, { email }: PersonEntity): Promise<void> {
  const account = email && (await manager.findOneBy(accounts, { email }));
  if (!account || (await manager.existsBy(people, { accountId: account.id }))) return;
  await manager.delete(passwordLinks, { accountId: account.id });
  await manager.delete(signIns, { accountId: account.id });
  await manager.delete(accounts, { id: account.id });
}
