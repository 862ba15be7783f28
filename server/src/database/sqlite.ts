import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import Database from 'better-sqlite3';
import type { DataSource, DataSourceOptions, EntityManager } from 'typeorm';
import type { Trouble, WritingConnection } from './transactions.ts';

/* Everything that only SQLite understands stands in this file. */

/** A database file that cannot be used as it is. The message says what to do. */
export class UnusableDatabase extends Error {
  override name = 'UnusableDatabase';
}

const damaged = (file: string, what: string) =>
  new UnusableDatabase(
    `The database ${file} is damaged (${what}). It was not touched. Restore a backup ("npm run restore"), or move it away to begin with an empty garden.`,
  );

/**
 * Looks at a database file before it is opened for work. It reads the head of every table, not the rows, so that it takes no
 * longer for a garden of many years; the whole is looked through on a thread once the server runs.
 * @param known names of the migrations this program has
 * @throws UnusableDatabase where the file is damaged, is not one of this program, or was written by a newer one
 */
export function inspect(file: string, known: readonly string[]): void {
  if (!existsSync(file)) return;
  let database: Database.Database | undefined;
  try {
    // Opened for writing, so that what a crash left in the write-ahead log is seen too.
    database = new Database(file, { fileMustExist: true });
    const tables = database
      .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
      .pluck()
      .all() as string[];
    if (tables.length === 0) return;
    if (!tables.includes('migrations') || !tables.includes('garden')) {
      throw new UnusableDatabase(
        `The database ${file} is not one of Unity Acre: it holds ${tables.slice(0, 3).join(', ')}. It was not touched. Give another folder in DATA_DIR, or move that file away.`,
      );
    }
    for (const table of tables) database.prepare(`SELECT * FROM "${table}" LIMIT 1`).all();
    const names = database.prepare('SELECT name FROM migrations').pluck().all() as string[];
    const newer = names.filter((name) => !known.includes(name));
    if (newer.length > 0) {
      throw new UnusableDatabase(
        `The database ${file} was written by a newer Unity Acre (it has ${newer.join(', ')}). Start that version, or put back a backup from this one.`,
      );
    }
  } catch (error) {
    if (error instanceof UnusableDatabase) throw error;
    throw damaged(file, (error as Error).message);
  } finally {
    database?.close();
  }
}

/** Lets rows be written in any order within a transaction; whether they refer to each other rightly is asked at its end. */
export const deferForeignKeys = (manager: EntityManager): Promise<void> =>
  manager.query('PRAGMA defer_foreign_keys = ON');

/** The driver a database is opened with; tests give one whose statements fail. */
export type SqliteDriver = typeof Database;

interface Opened {
  file: string;
  driver?: SqliteDriver | undefined;
}

/** For the one connection that writes: write-ahead log, every commit on disk before it is acknowledged, foreign keys on. */
export const writingOptions = ({ file, driver }: Opened): DataSourceOptions => ({
  type: 'better-sqlite3',
  database: file,
  enableWAL: true,
  ...(driver && { driver }),
  prepareDatabase: (database: Database.Database) => {
    database.pragma('synchronous = FULL');
    database.pragma('foreign_keys = ON');
    database.pragma('busy_timeout = 5000');
  },
});

/** For the connection that reads. It sees what is committed and nothing else; a write through it is an error. */
export const readingOptions = (file: string): DataSourceOptions => ({
  type: 'better-sqlite3',
  database: file,
  prepareDatabase: (database: Database.Database) => {
    database.pragma('query_only = ON');
    database.pragma('busy_timeout = 5000');
  },
});

const codeOf = (error: unknown): string => {
  const { code, driverError } = (error ?? {}) as { code?: unknown; driverError?: { code?: unknown } };
  return String(driverError?.code ?? code ?? '');
};

/** By the beginning of SQLite's result codes (https://sqlite.org/rescode.html). */
const troubleByCode: [beginning: string, trouble: Trouble][] = [
  ['SQLITE_FULL', 'full'],
  ['SQLITE_READONLY', 'readOnly'],
  ['SQLITE_CORRUPT', 'damaged'],
  ['SQLITE_NOTADB', 'damaged'],
  ['SQLITE_IOERR', 'failing'],
  ['SQLITE_CANTOPEN', 'failing'],
  ['SQLITE_BUSY', 'failing'],
  ['SQLITE_PROTOCOL', 'failing'],
  ['SQLITE_NOMEM', 'failing'],
];

/** Bytes a probe writes: more than what is left over in a page or two. */
const PROBE_BYTES = 32_768;

/** The writing connection at SQLite's own driver: TypeORM's count of its transactions is not asked. */
export class SqliteWriting implements WritingConnection {
  constructor(private readonly source: DataSource) {}

  get manager(): EntityManager {
    return this.source.manager;
  }

  get #database(): Database.Database {
    return (this.source.driver as unknown as { databaseConnection: Database.Database }).databaseConnection;
  }

  begin(): void {
    if (this.#database.inTransaction) throw new Error('a transaction is open already');
    this.#database.exec('BEGIN IMMEDIATE');
  }

  commit(): void {
    if (!this.#database.inTransaction) throw new Error('the transaction has ended by itself');
    this.#database.exec('COMMIT');
    if (this.#database.inTransaction) throw new Error('the transaction was not ended');
  }

  rollBack(): void {
    this.#database.exec('ROLLBACK');
  }

  isInTransaction(): boolean {
    return this.#database.inTransaction;
  }

  async reopen(): Promise<void> {
    if (this.source.isInitialized) await this.source.destroy();
    await this.source.initialize();
    // On a full disk the log may be what fills it. Where it cannot be taken in now, it is later.
    try {
      this.#database.pragma('wal_checkpoint(TRUNCATE)');
    } catch {}
  }

  probe(): void {
    const database = this.#database;
    const content = randomBytes(PROBE_BYTES);
    database.exec('BEGIN IMMEDIATE');
    database.prepare('INSERT OR REPLACE INTO scratch (id, content) VALUES (1, ?)').run(content);
    const read = database.prepare('SELECT content FROM scratch WHERE id = 1').pluck().get() as Buffer;
    database.exec('COMMIT');
    if (!content.equals(read))
      throw Object.assign(new Error('read other than written'), { code: 'SQLITE_CORRUPT' });
  }

  troubleOf(error: unknown): Trouble | null {
    const code = codeOf(error);
    return troubleByCode.find(([beginning]) => code.startsWith(beginning))?.[1] ?? null;
  }
}
