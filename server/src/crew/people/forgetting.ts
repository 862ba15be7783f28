import { In, IsNull, LessThan, Like, Not } from 'typeorm';
import type { Store } from '../../database/store.ts';
import { type ChangeEntity, changes } from '../../log/entity.ts';
import { type PersonEntity, people } from '../entity.ts';
import { ERASED, removeAccount, scrubRecords } from './scrubbing.ts';

const DAY_MS = 86_400_000;
/** Removing somebody can be undone for so long; then nothing tells any more who they were. */
const REMEMBERED_DAYS = 30;

/** Whoever was removed by a change, and is not back. */
const removedBy = ({ rows }: ChangeEntity): PersonEntity[] =>
  rows.flatMap(({ entity, before, after }) =>
    entity === people.options.name && before && !after ? [before as unknown as PersonEntity] : [],
  );

/**
 * Blanks the names and addresses of people who were removed outright a month ago, as of those who are erased.
 * @returns how many people were forgotten
 */
export async function forgetRemoved(store: Store): Promise<number> {
  const before = new Date(store.clock.now() - REMEMBERED_DAYS * DAY_MS).toISOString();
  const due = {
    // An undo that was undone removes somebody too.
    verb: In(['person.removed', 'change.undone']),
    entities: Like(`%${people.options.name}%`),
    what: Not(ERASED),
    undoneById: IsNull(),
    at: LessThan(before),
  } as const;
  let forgotten = 0;
  for (const { id } of await store.manager.find(changes, { where: due, select: { id: true } })) {
    await store.write(async (manager) => {
      const row = await manager.findOneBy(changes, { ...due, id });
      const removed = row ? removedBy(row) : [];
      if (removed.length === 0) return;
      for (const person of removed) {
        await scrubRecords(manager, person);
        await removeAccount(manager, person);
        forgotten += 1;
      }
      await manager.update(changes, { id }, { what: ERASED });
    });
  }
  return forgotten;
}
