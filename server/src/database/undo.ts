import { isDeepStrictEqual } from 'node:util';
import { group } from 'd3-array';
import type { EntityManager, ObjectLiteral } from 'typeorm';
import { breathe } from '../heavy/breathe.ts';
import { Refusal } from '../http/refusal.ts';
import { type ChangeEntity, changes, type RowChange } from '../log/entity.ts';
import type { Writing } from './change.ts';
import { parkNames } from './names.ts';
import type { GardenRow } from './rows.ts';
import { violationOf } from './violations.ts';

/**
 * Takes a change back, as a change of its own.
 * @throws Refusal `cannotUndo` where a row has changed since, others have come to depend on it, or something else has taken its
 *   place or name
 */
export async function takeBack(writing: Writing, undone: ChangeEntity): Promise<void> {
  const { manager } = writing;
  // What was thousands of rows lets others have their turn at what is not the database.
  try {
    const rows: Found[] = [];
    for (const row of netOf(undone.rows).reverse()) {
      rows.push(await findAsLeft(manager, row));
      await breathe();
    }
    const changed = rows.filter(({ now, before }) => now && before);
    for (const [entity, those] of group(changed, (row) => row.entity)) {
      await parkNames(
        manager,
        entity,
        those.map(({ now }) => now!.id),
      );
    }
    for (const row of rows) {
      await takeRowBack(writing, row);
      await breathe();
    }
    const { affected } = await manager
      .createQueryBuilder()
      .update(changes)
      .set({ undoneById: writing.changeId })
      .where('id = :id AND undoneById IS NULL', { id: undone.id })
      .execute();
    if (affected !== 1) throw new Refusal('cannotUndo');
  } catch (error) {
    throw violationOf(error) === null ? error : new Refusal('cannotUndo');
  }
}

/** What a change did to each row in all, in the order in which it was done with them. */
function netOf(steps: readonly RowChange[]): RowChange[] {
  const net = new Map<string, RowChange>();
  for (const { entity, before, after } of steps) {
    const key = `${entity} ${(before ?? after)!.id}`;
    const earlier = net.get(key);
    net.delete(key);
    net.set(key, { entity, before: earlier ? earlier.before : before, after });
  }
  return [...net.values()].filter(({ before, after }) => before || after);
}

/** A row of a change with how it stands now. */
interface Found extends RowChange {
  now: GardenRow | null;
}

async function findAsLeft(manager: EntityManager, row: RowChange): Promise<Found> {
  const id = (row.before ?? row.after)!.id;
  const now = (await manager.findOneBy(row.entity, { id } as ObjectLiteral)) as GardenRow | null;
  if (!isAsLeft(now, row.after, columnsOf(manager, row.entity))) throw new Refusal('cannotUndo');
  return { ...row, now };
}

async function takeRowBack(writing: Writing, { entity, before, after, now }: Found): Promise<void> {
  const { manager } = writing;
  const id = (before ?? after)!.id;
  const restored = before && restoredRow(before, now, columnsOf(manager, entity));
  if (!restored) await manager.delete(entity, { id } as ObjectLiteral);
  else if (now) await manager.update(entity, { id } as ObjectLiteral, restored);
  else await manager.insert(entity, restored);
  writing.rows.push({ entity, before: now, after: restored });
}

const columnsOf = (manager: EntityManager, entity: string): string[] =>
  manager.connection.getMetadata(entity).columns.map(({ propertyName }) => propertyName);

/**
 * True where a row is still as a change left it. Columns that the table has got since say nothing about that, nor does the
 * version, which rises even when a change is taken back.
 */
function isAsLeft(now: GardenRow | null, after: GardenRow | null, columns: readonly string[]): boolean {
  if (!now || !after) return now === after;
  const values = { now: now as unknown as Values, after: after as unknown as Values };
  return columns
    .filter((column) => column !== 'version' && column in values.after)
    .every((column) => isDeepStrictEqual(values.now[column], values.after[column]));
}

type Values = Record<string, unknown>;

/** A row as it was before, in the columns there are today; what it did not have then keeps what it has now. */
function restoredRow(before: GardenRow, now: GardenRow | null, columns: readonly string[]): GardenRow {
  const known = Object.entries(before).filter(([column]) => columns.includes(column));
  const row = { ...now, ...Object.fromEntries(known) } as GardenRow;
  return { ...row, version: (now ?? before).version + 1 };
}
