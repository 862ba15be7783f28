import Database from 'better-sqlite3';
import type { SqliteDriver } from '../database/sqlite.ts';

/** How a statement fails: by itself, or with the whole transaction given up, as SQLite does on a full disk. */
type Fails = 'alone' | 'withTransaction';

/** What fails next. Shared by all connections that a driver has opened. */
export class Faults {
  #left: number | null = null;
  #fails: Fails = 'alone';
  #code = 'SQLITE_FULL';
  #lasts = false;
  /** how many statements have failed since the last plan */
  hit = 0;
  /** how many statements there have been in all */
  statements = 0;

  /** The nth statement from now fails, and where `lasts` every one after it, until `heal`. */
  plan(nth: number, fails: Fails, { code = 'SQLITE_FULL', lasts = false } = {}): void {
    this.#left = nth;
    this.#fails = fails;
    this.#code = code;
    this.#lasts = lasts;
    this.hit = 0;
  }

  heal(): void {
    this.#left = null;
  }

  /** @throws SqliteError where it is the turn of this statement */
  before(database: Database.Database): void {
    this.statements += 1;
    if (this.#left === null) return;
    this.#left -= 1;
    if (this.#left > 0) return;
    if (!this.#lasts) this.#left = null;
    this.hit += 1;
    if (this.#fails === 'withTransaction' && database.inTransaction)
      Database.prototype.exec.call(database, 'ROLLBACK');
    throw new Database.SqliteError('failed on purpose', this.#code);
  }
}

type Statement = Database.Statement;

/** SQLite's driver, with statements that fail as planned. */
export function faultyDriver(faults: Faults): SqliteDriver {
  class FaultyDatabase extends Database {
    override exec(source: string): this {
      faults.before(this);
      return super.exec(source);
    }

    override prepare(source: string) {
      const statement = super.prepare(source) as Statement;
      const ran =
        (name: 'run' | 'all' | 'get') =>
        (...values: unknown[]) => {
          faults.before(this);
          return (statement[name] as (...given: unknown[]) => unknown).apply(statement, values);
        };
      const wrapped = {
        reader: statement.reader,
        run: ran('run'),
        all: ran('all'),
        get: ran('get'),
        pluck() {
          statement.pluck();
          return wrapped;
        },
      };
      return wrapped as never;
    }
  }
  return FaultyDatabase as unknown as SqliteDriver;
}
