import { mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { z } from 'zod';
import { UnusableDatabase } from './sqlite.ts';

/** Who has a data folder open. It stays after a crash, and then tells what belonged together. */
const identity = z.object({
  pid: z.number(),
  host: z.string(),
  since: z.string(),
  /** the database file's own number on its disk; null where there was none yet */
  inode: z.number().nullable(),
});
type Identity = z.infer<typeof identity>;

export interface Lock {
  release(): void;
}

const IDENTITY = 'in-use.json';
/** Held locked by the operating system for as long as the process lives, and not a moment longer. */
const HELD = 'in-use.lock';

/** What the last process to open a folder said of itself; null where none did, or it ended in good order. */
function identityIn(dataDir: string): Identity | null {
  try {
    return identity.parse(JSON.parse(readFileSync(join(dataDir, IDENTITY), 'utf8')));
  } catch {
    return null;
  }
}

const cannotWrite = (dataDir: string, error: unknown) =>
  new UnusableDatabase(
    `The data folder ${dataDir} cannot be written (${(error as Error).message}). Let the user that runs the server write there, or give another folder in DATA_DIR.`,
  );

/** @throws UnusableDatabase where it cannot be made */
export function makeFolder(dataDir: string): void {
  try {
    mkdirSync(dataDir, { recursive: true, mode: 0o700 });
  } catch (error) {
    throw cannotWrite(dataDir, error);
  }
}

const inodeOf = (file: string): number | null => statSync(file, { throwIfNoEntry: false })?.ino ?? null;

/**
 * Takes a data folder for this process alone.
 * @throws UnusableDatabase where another process has it, naming that
 */
export function lockFolder(dataDir: string): Lock {
  let held: Database.Database | undefined;
  try {
    // A disk that takes no lock file of nothing takes no garden either.
    writeFileSync(join(dataDir, HELD), '', { flag: 'a', mode: 0o600 });
    held = new Database(join(dataDir, HELD), { timeout: 0 });
    held.pragma('locking_mode = EXCLUSIVE');
    held.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    held?.close();
    if (!String((error as { code?: string }).code).startsWith('SQLITE_BUSY')) {
      throw cannotWrite(dataDir, error);
    }
    const other = identityIn(dataDir);
    const who = other ? `process ${other.pid} on ${other.host} since ${other.since}` : 'another process';
    throw new UnusableDatabase(
      `The data folder ${dataDir} is in use by ${who}. Stop that one first, or give this one another DATA_DIR.`,
    );
  }
  return {
    release() {
      if (!held.open) return;
      rmSync(join(dataDir, IDENTITY), { force: true });
      held.exec('ROLLBACK');
      held.close();
    },
  };
}

/** Says who has the folder open, for whoever finds it locked, or left after a crash. */
export function sayWho(dataDir: string, databaseFile: string): void {
  const said: Identity = {
    pid: process.pid,
    host: hostname(),
    since: new Date().toISOString(),
    inode: inodeOf(databaseFile),
  };
  writeFileSync(join(dataDir, IDENTITY), `${JSON.stringify(said)}\n`, { mode: 0o600 });
}

/**
 * Looks at what lies in a folder before anything is opened in it, since opening would already change it.
 * @throws UnusableDatabase for what a copy or a crash left that does not belong together
 */
export function checkFiles(dataDir: string, file: string): void {
  const log = statSync(`${file}-wal`, { throwIfNoEntry: false });
  const database = statSync(file, { throwIfNoEntry: false });
  if (database?.size === 0) {
    throw new UnusableDatabase(
      `The database ${file} is empty: a copy of it was probably broken off. Nothing was touched. Put a backup in its place ("npm run restore"), or delete the file to begin with an empty garden.`,
    );
  }
  if (!log || log.size === 0) return;
  if (!database) {
    throw new UnusableDatabase(
      `There is a log ${file}-wal but no database beside it. Nothing was touched. Put the database back that it belongs to, or restore a backup, or move the log away to begin with an empty garden.`,
    );
  }
  const left = identityIn(dataDir);
  if (left?.inode && left.inode !== database.ino) {
    throw new UnusableDatabase(
      `The log ${file}-wal belongs to another database than the one that lies beside it now. Nothing was touched. If you put a copy in its place by hand, move the -wal and -shm files away and start again; "npm run restore" does both.`,
    );
  }
}
