import { isDeepStrictEqual } from 'node:util';
import type { RouteName, RowKind } from '@unity-acre/contract';
import type { ChangeVerb } from '@unity-acre/contract/log';
import { entryRow } from '@unity-acre/core/log';
import { type EntityManager, type EntitySchema, In } from 'typeorm';
import { breathe } from '../heavy/breathe.ts';
import { Refusal } from '../http/refusal.ts';
import { type ChangeEntity, changes, type EntryEntity, type RowChange } from '../log/entity.ts';
import { listeners } from './listeners.ts';
import { idAfter, lastChange } from './moments.ts';
import { parkNames } from './names.ts';
import type { GardenRow } from './rows.ts';
import { touch } from './stamps.ts';
import type { Database, Store } from './store.ts';
import { violationOf } from './violations.ts';

/** Who changes what. `what` names the thing to people. */
export interface Deed {
  gardenId: string;
  personId: string;
  /** the route by which it was done, which tells who may undo it; null for what the clock does */
  route: RouteName | null;
  verb: ChangeVerb;
  what: string;
}

/** A client's statement of which version it changed; undefined where it gave none. */
export type IfMatch = number | undefined;

type Values<Row extends GardenRow> = Omit<Row, keyof GardenRow>;

/** Rows added with one statement, below SQLite's limit of bound values at the widest table. */
const ADDED_AT_ONCE = 100;

/** The writing side of one transaction. It remembers every row as it was and as it became. */
export class Writing {
  readonly rows: RowChange[] = [];
  #isKept = false;

  constructor(
    readonly manager: EntityManager,
    readonly gardenId: string,
    /** the route whose audience may undo this */
    public route: RouteName | null,
    readonly changeId: string,
  ) {}

  /** Writes a line of the audit trail though no row is in it: what was done leaves no trace but that it was done. */
  keepAnyway(): void {
    this.#isKept = true;
  }

  /** The kinds of rows it has changed so far. */
  get kinds(): RowKind[] {
    const kinds = new Set(this.rows.map(({ entity }) => entity as RowKind));
    // What is read in the soil moves the garden's year, and with it every date.
    if (this.rows.some(isOfYear)) kinds.add('garden');
    return [...kinds];
  }

  get isWorthALine(): boolean {
    return this.#isKept || this.rows.length > 0;
  }

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

  /**
   * Adds or changes several rows as `put` does, whatever names they take over from one another.
   * @param items each with the version it was changed from; null for a new one
   */
  async putAll<Row extends GardenRow>(
    entity: EntitySchema<Row>,
    items: readonly { id: string; version: number | null; values: Values<Row> }[],
  ): Promise<Row[]> {
    const found = await this.manager.findBy(entity, { id: In(items.map(({ id }) => id)) } as never);
    const known = new Map(found.map((row) => [row.id, row]));
    for (const row of found) if (row.gardenId !== this.gardenId) throw new Refusal('taken');
    await parkNames(this.manager, entity.options.name, [...known.keys()]);
    const rows: Row[] = [];
    const fresh: Row[] = [];
    for (const { id, version, values } of items) {
      const before = known.get(id) ?? null;
      if (!before && version !== null) throw new Refusal('notFound');
      const after = { ...before, ...values, id, gardenId: this.gardenId };
      const isSame = before && isDeepStrictEqual({ ...before }, after);
      if (!before) {
        fresh.push({ ...after, version: 1 } as Row);
        rows.push(fresh.at(-1)!);
        continue;
      }
      // What stays as it is gets its name back, which is no change, and needs no version.
      if (isSame) await this.manager.update(entity, { id } as never, before as never);
      else this.#check(before, version ?? undefined);
      rows.push(
        isSame ? before : await this.#write(entity, before, { ...after, version: before.version + 1 } as Row),
      );
    }
    await this.#addAll(entity, fresh);
    return rows;
  }

  async #addAll<Row extends GardenRow>(entity: EntitySchema<Row>, rows: readonly Row[]): Promise<void> {
    for (let i = 0; i < rows.length; i += ADDED_AT_ONCE) {
      await this.manager.insert(entity, rows.slice(i, i + ADDED_AT_ONCE) as never);
      await breathe();
    }
    for (const after of rows) this.rows.push({ entity: entity.options.name, before: null, after });
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
      throw violationOf(error) === 'foreignKey' ? new Refusal('inUse') : error;
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
    if (before) {
      // The version stands in the condition: a row that is no longer as it was read is not written over.
      const asRead = { id: before.id, version: before.version };
      const { affected } = await this.manager.update(entity, asRead as never, after as never);
      if (affected !== 1) throw new Refusal('stale', { current: await this.#find(entity, before.id) });
    } else await this.manager.insert(entity, after as never);
    // A change of very many rows lets others have their turn at what is not the database.
    await breathe();
    this.rows.push({ entity: entity.options.name, before, after });
    return after;
  }
}

/** Whether the garden's year goes by a row of the log. */
const isOfYear = ({ entity, before, after }: RowChange): boolean =>
  entity === 'entry' && entryRow(((after ?? before) as EntryEntity).kind).isOfYear === true;

interface Recorded<T> {
  result: T;
  changeId: string | null;
  kinds: RowKind[];
}

/**
 * Does a piece of work with one line in the audit trail, within the transaction that is open.
 * @returns what the work gave, the id of the change (null where nothing changed), and the kinds of rows it touched
 */
export async function record<T>(
  { manager, clock }: Database,
  deed: Deed,
  work: (writing: Writing) => Promise<T>,
): Promise<Recorded<T>> {
  const changeId = idAfter(await lastChange(manager, deed.gardenId), clock.now());
  const writing = new Writing(manager, deed.gardenId, deed.route, changeId);
  const result = await work(writing);
  const { kinds } = writing;
  if (!writing.isWorthALine) return { result, changeId: null, kinds };
  const row: ChangeEntity = {
    id: writing.changeId,
    gardenId: deed.gardenId,
    at: new Date(clock.now()).toISOString(),
    personId: deed.personId,
    route: writing.route,
    verb: deed.verb,
    what: deed.what,
    rows: writing.rows,
    entities: kinds.join(),
    undoneById: null,
  };
  await breathe();
  await manager.insert(changes, row);
  await breathe();
  await touch(manager, deed.gardenId, kinds);
  return { result, changeId: row.id, kinds };
}

/** Does a piece of work that nobody asked for just then, as one transaction with one line in the audit trail. */
export async function change<T>(
  store: Store,
  deed: Deed,
  work: (writing: Writing) => Promise<T>,
): Promise<Recorded<T>> {
  const changed = await store.write((manager) => record({ manager, clock: store.clock }, deed, work));
  if (changed.changeId) listeners.tell(deed.gardenId, { kinds: changed.kinds, client: null });
  return changed;
}
