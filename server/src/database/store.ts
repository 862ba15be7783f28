import { chmodSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { DataSource, type EntityManager, type EntitySchema } from 'typeorm';
import { Gate } from './gate.ts';
import { checkFiles, type Lock, lockFolder, makeFolder, sayWho } from './lock.ts';
import { migrations } from './migrations/index.ts';
import { inspect, readingOptions, type SqliteDriver, SqliteWriting, writingOptions } from './sqlite.ts';
import { tables } from './tables.ts';
import { type DatabaseState, Transactions } from './transactions.ts';

/** What time it is. Tests and the demo set their own. */
export interface Clock {
  /** milliseconds since the epoch */
  now(): number;
}

/** What a request works with: rows, and what time it is. */
export interface Database {
  manager: EntityManager;
  clock: Clock;
}

/** The open database. */
export interface Store extends Database {
  /** the folder everything lies in */
  readonly dataDir: string;
  /** Reads what is committed. A write through it is refused by the database: `write` gives the manager for that. */
  manager: EntityManager;
  /** Reads while nobody writes, so that several statements see the same. */
  read<T>(work: () => Promise<T>): Promise<T>;
  /**
   * Does a piece of work as one transaction, alone; what it reads by its manager, nobody changes before it is done.
   * @throws Refusal where the database cannot be written; then nothing was
   */
  write<T>(work: (manager: EntityManager) => Promise<T>): Promise<T>;
  /** Whether the database can be written, by writing. */
  state(): Promise<DatabaseState>;
  /** Refuses every write from now on. */
  condemn(): void;
  isOpen(): boolean;
  close(): Promise<void>;
}

export const DATABASE_FILE = 'unity-acre.sqlite';

interface StoreOptions {
  clock?: Clock | undefined;
  /** SQLite's driver, where a test gives one that fails */
  driver?: SqliteDriver | undefined;
  /** true for a command that works beside a running server */
  beside?: boolean;
}

/** The database of a data folder. */
export const databaseFile = (dataDir: string): string => join(dataDir, DATABASE_FILE);

/** What is only this user's to read: passwords' hashes, names, letters. */
function keepPrivate(dataDir: string): void {
  chmodSync(dataDir, 0o700);
  for (const name of readdirSync(dataDir)) {
    const file = join(dataDir, name);
    if (statSync(file).isFile()) chmodSync(file, 0o600);
  }
}

/**
 * Opens the database of a data folder for this process alone and brings its schema up to date.
 * @throws UnusableDatabase where the folder is in use or cannot be written, or what lies in it cannot be used
 */
export async function openStore(dataDir: string, options: StoreOptions = {}): Promise<Store> {
  const lock = options.beside ? null : lockData(dataDir);
  try {
    return await openLocked(dataDir, options, lock);
  } catch (error) {
    lock?.release();
    throw error;
  }
}

function lockData(dataDir: string): Lock {
  makeFolder(dataDir);
  const lock = lockFolder(dataDir);
  try {
    checkFiles(dataDir, databaseFile(dataDir));
    return lock;
  } catch (error) {
    lock.release();
    throw error;
  }
}

async function openLocked(
  dataDir: string,
  { clock = { now: Date.now }, driver }: StoreOptions,
  lock: Lock | null,
): Promise<Store> {
  const file = databaseFile(dataDir);
  inspect(
    file,
    migrations.map((migration) => migration.name),
  );
  const entities = Object.values(tables) as EntitySchema[];
  const writing = new DataSource({
    ...writingOptions({ file, driver }),
    entities,
    migrations,
    migrationsTransactionMode: 'all',
  });
  await writing.initialize();
  await writing.runMigrations();
  const reading = await new DataSource({ ...readingOptions(file), entities }).initialize();
  if (lock) {
    sayWho(dataDir, file);
    keepPrivate(dataDir);
  }
  const gate = new Gate();
  const transactions = new Transactions(new SqliteWriting(writing), gate);
  return {
    dataDir,
    manager: reading.manager,
    clock,
    read: (work) => gate.read(work),
    write: (work) => transactions.run(work),
    state: () => transactions.state(),
    condemn: () => transactions.condemn(),
    isOpen: () => reading.isInitialized,
    close: async () => {
      // The one that writes goes last, so that it takes the write-ahead log in.
      for (const source of [reading, writing]) if (source.isInitialized) await source.destroy();
      lock?.release();
    },
  };
}
