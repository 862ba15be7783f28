import { isDeepStrictEqual } from 'node:util';
import type { ChangeVerb } from '@unity-acre/contract/log';
import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';
import { v7 as newId } from 'uuid';
import { Refusal } from '../http/refusal.ts';
import { type ChangeEntity, changes, type RowChange } from '../log/entity.ts';
import { listeners } from './listeners.ts';
import type { GardenRow } from './rows.ts';
import { isForeignKeyError } from './sqlite.ts';
import type { Store } from './store.ts';

/** Who changes what. `what` names the thing to people. */
export interface Deed {
  gardenId: string;
  personId: string;
  verb: ChangeVerb;
  what: string;
}

/** A client's statement of which version it changed; undefined where it gave none. */
export type IfMatch = number | undefined;

type Values<Row extends GardenRow> = Omit<Row, keyof GardenRow>;

/** The writing side of one transaction. It remembers every row as it was and as it became. */
export class Writing {
  readonly rows: RowChange[] = [];
  readonly changeId = newId();

  constructor(
    readonly manager: EntityManager,
    private readonly gardenId: string,
  ) {}

  /**
   * Adds the row of a client-made id, or changes it. The same values again are no change, so a write may be sent twice.
   * @throws Refusal `versionNeeded`, `stale` (with the row as it stands), `taken` by another garden, `notFound`
   *   where a version is named of a row that is gone
   */
  async put<Row extends GardenRow>(
    entity: EntitySchema<Row>,
    id: string,
    values: Values<Row>,
    ifMatch: IfMatch,
  ): Promise<Row> {
    const before = await this.#find(entity, id);
    if (!before) {
      if (ifMatch !== undefined) throw new Refusal('notFound');
      return this.#write(entity, null, { ...values, id, gardenId: this.gardenId, version: 1 } as Row);
    }
    const after = { ...before, ...values, version: before.version + 1 };
    if (isDeepStrictEqual({ ...before }, { ...after, version: before.version })) return before;
    this.#check(before, ifMatch);
    return this.#write(entity, before, after);
  }

  /** Changes a row that was just read within this transaction, whatever its version. */
  async set<Row extends GardenRow>(
    entity: EntitySchema<Row>,
    row: Row,
    values: Partial<Values<Row>>,
  ): Promise<Row> {
    return this.#write(entity, row, { ...row, ...values, version: row.version + 1 });
  }

  /** Removes a row. @throws Refusal as `put`, and `inUse` where others refer to it */
  async remove<Row extends GardenRow>(entity: EntitySchema<Row>, id: string, ifMatch: IfMatch): Promise<Row> {
    const before = await this.#find(entity, id);
    if (!before) throw new Refusal('notFound');
    this.#check(before, ifMatch);
    await this.removeFound(entity, before);
    return before;
  }

  /** Removes a row that was just read within this transaction. */
  async removeFound<Row extends GardenRow>(entity: EntitySchema<Row>, before: Row): Promise<void> {
    try {
      await this.manager.delete(entity, { id: before.id } as never);
    } catch (error) {
      throw isForeignKeyError(error) ? new Refusal('inUse') : error;
    }
    this.rows.push({ entity: entity.options.name, before, after: null });
  }

  async #find<Row extends GardenRow>(entity: EntitySchema<Row>, id: string): Promise<Row | null> {
    const row = await this.manager.findOneBy(entity, { id } as never);
    if (row && row.gardenId !== this.gardenId) throw new Refusal('taken');
    return row;
  }

  #check(row: GardenRow, ifMatch: IfMatch): void {
    if (ifMatch === undefined) throw new Refusal('versionNeeded');
    if (ifMatch !== row.version) throw new Refusal('stale', { current: row });
  }

  async #write<Row extends GardenRow>(
    entity: EntitySchema<Row>,
    before: Row | null,
    after: Row,
  ): Promise<Row> {
    await (before
      ? this.manager.update(entity, { id: after.id } as never, after as never)
      : this.manager.insert(entity, after as never));
    this.rows.push({ entity: entity.options.name, before, after });
    return after;
  }
}

/**
 * Does a piece of work as one transaction with one line in the audit trail, or not at all.
 * @returns what the work gave, and the id of the change; null where nothing changed
 */
export async function change<T>(
  store: Store,
  deed: Deed,
  work: (writing: Writing) => Promise<T>,
): Promise<{ result: T; changeId: string | null }> {
  const changed = await store.gate.write(() =>
    store.manager.transaction(async (manager) => {
      const writing = new Writing(manager, deed.gardenId);
      const result = await work(writing);
      if (writing.rows.length === 0) return { result, changeId: null };
      const row: ChangeEntity = {
        id: writing.changeId,
        gardenId: deed.gardenId,
        at: new Date(store.clock.now()).toISOString(),
        personId: deed.personId,
        verb: deed.verb,
        what: deed.what,
        rows: writing.rows,
        undoneById: null,
      };
      await manager.insert(changes, row);
      return { result, changeId: row.id };
    }),
  );
  if (changed.changeId) listeners.tell(deed.gardenId);
  return changed;
}

/**
 * Takes a change back, as a change of its own.
 * @throws Refusal `cannotUndo` where a row has changed since, or others have come to depend on it
 */
export async function undo(store: Store, undone: ChangeEntity, personId: string): Promise<string | null> {
  const deed: Deed = {
    gardenId: undone.gardenId,
    personId,
    verb: 'change.undone',
    what: undone.what,
  };
  const { changeId } = await change(store, deed, async (writing) => {
    for (const { entity, before, after } of [...undone.rows].reverse()) {
      await takeBack(writing, entity, before, after);
    }
    await writing.manager.update(changes, { id: undone.id }, { undoneById: writing.changeId });
  });
  return changeId;
}

/** A row without its version, which rises even when a change is taken back. */
const contentOf = (row: GardenRow | null) => row && { ...row, version: 0 };

async function takeBack(
  writing: Writing,
  entityName: string,
  before: GardenRow | null,
  after: GardenRow | null,
): Promise<void> {
  const { manager } = writing;
  const id = (before ?? after)!.id;
  const now = (await manager.findOneBy(entityName, { id } as ObjectLiteral)) as GardenRow | null;
  if (!isDeepStrictEqual(contentOf(now), contentOf(after))) throw new Refusal('cannotUndo');
  const restored = before && { ...before, version: (now ?? before).version + 1 };
  try {
    if (!restored) await manager.delete(entityName, { id } as ObjectLiteral);
    else if (now) await manager.update(entityName, { id } as ObjectLiteral, restored);
    else await manager.insert(entityName, restored);
  } catch (error) {
    throw isForeignKeyError(error) ? new Refusal('cannotUndo') : error;
  }
  writing.rows.push({ entity: entityName, before: now, after: restored });
}
