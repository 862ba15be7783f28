import { existsSync } from 'node:fs';
import Database from 'better-sqlite3';
import type { DataSourceOptions } from 'typeorm';

/* Everything that only SQLite understands stands in this file. */

/** A database file that cannot be used as it is. The message says what to do. */
export class UnusableDatabase extends Error {
  override name = 'UnusableDatabase';
}

const damaged = (file: string, what: string) =>
  new UnusableDatabase(
    `The database ${file} is damaged (${what}). It was not touched. Put a backup in its place, or move it away to begin with an empty garden.`,
  );

/**
 * Looks at a database file before it is opened for work.
 * @param known names of the migrations this program has
 * @throws UnusableDatabase where the file is damaged, is no database, or was written by a newer program
 */
export function inspect(file: string, known: readonly string[]): void {
  if (!existsSync(file)) return;
  let database: Database.Database | undefined;
  try {
    // Opened for writing, so that what a crash left in the write-ahead log is seen too.
    database = new Database(file, { fileMustExist: true });
    const verdict = database.pragma('integrity_check(1)', { simple: true });
    if (verdict !== 'ok') throw damaged(file, String(verdict));
    const hasMigrations = database
      .prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'migrations'")
      .get();
    if (!hasMigrations) return;
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

/** How TypeORM opens the file: write-ahead log, every commit on disk before it is acknowledged, foreign keys on. */
export const sqliteOptions = (file: string): DataSourceOptions => ({
  type: 'better-sqlite3',
  database: file,
  enableWAL: true,
  prepareDatabase: (database: Database.Database) => {
    database.pragma('synchronous = FULL');
    database.pragma('foreign_keys = ON');
    database.pragma('busy_timeout = 5000');
  },
});

/** True for an error that says other rows still refer to one, or a row it refers to is gone. */
export const isForeignKeyError = (error: unknown): boolean =>
  String((error as { code?: unknown }).code ?? '').startsWith('SQLITE_CONSTRAINT_FOREIGNKEY') ||
  /FOREIGN KEY constraint failed/.test(String((error as Error).message));
