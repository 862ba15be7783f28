import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { databaseFile, type Store } from '../database/store.ts';
import { heavy } from '../heavy/pool.ts';
import { gardens } from '../place/entity.ts';
import { backupsToKeep, type Kept } from './keeping.ts';

/** A server that has just started has other things to do first. */
const FIRST_LOOK_MS = 30_000;
/** How often it is looked whether a backup is due, milliseconds. */
const LOOK_MS = 10 * 60_000;
const HOUR_MS = 3_600_000;
/** By the server's own clock: when gardens sleep. */
const NIGHT = { from: 2, until: 5 };
/** A second one in a night would be of the same day. */
const LEAST_APART_MS = 12 * HOUR_MS;
/** A server that is off at night makes up for it once the last backup is this old. */
const OVERDUE_MS = 26 * HOUR_MS;

interface BackupFile extends Kept {
  bytes: number;
}

export const backupFolder = (dataDir: string): string => join(dataDir, 'backups');
export const filesFolder = (dataDir: string): string => join(dataDir, 'files');

const NAME = /^unity-acre-(\d{4}-\d{2}-\d{2}T\d{2})-(\d{2})-(\d{2})Z\.zip$/;
export const backupName = (at: number): string =>
  `unity-acre-${new Date(at).toISOString().slice(0, 19).replaceAll(':', '-')}Z.zip`;

/** The nightly backups there are, the newest first. */
function nightlyBackups(dataDir: string): BackupFile[] {
  const folder = backupFolder(dataDir);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name) => {
      const [, hour, minute, second] = NAME.exec(name) ?? [];
      const at = Date.parse(`${hour}:${minute}:${second}Z`);
      return Number.isNaN(at) ? [] : [{ name, at, bytes: statSync(join(folder, name)).size }];
    })
    .sort((a, b) => b.at - a.at);
}

/**
 * The newest backup by a clock that is right: one from more than a day ahead was made while the clock was ahead of itself, and
 * says nothing of how old the newest is.
 * @param backups the newest first
 */
export const newestOf = <One extends Kept>(backups: readonly One[], now: number): One | null =>
  backups.find(({ at }) => at <= now + 24 * HOUR_MS) ?? null;

/** Whether a backup is to be made now. A clock that was set back a little makes none until it has caught up. */
export function isDue(now: number, newest: number | null): boolean {
  if (newest === null) return true;
  const age = now - newest;
  const hour = new Date(now).getHours();
  const isNight = hour >= NIGHT.from && hour < NIGHT.until;
  return age > OVERDUE_MS || (isNight && age > LEAST_APART_MS);
}

/** What is known of the backups that the clock makes. */
export interface Nightly {
  newest(): BackupFile | null;
  /** what kept the last one from being made; null where it was made */
  failed(): string | null;
  /** Makes one now, whatever the hour. */
  make(): Promise<void>;
  end(): Promise<void>;
}

/**
 * Makes a backup of everything every night, and lets go of what is older than is kept. The copy is looked through for damage
 * before it counts as one: where it is damaged, nothing older is let go and nothing more is written to the database.
 */
export function keepBackups(
  store: Store,
  program: string,
  logger: Logger,
  firstLookMs = FIRST_LOOK_MS,
): Nightly {
  let failed: string | null = null;
  let making: Promise<void> = Promise.resolve();
  let hasEnded = false;

  const make = async () => {
    const { dataDir, clock } = store;
    const now = clock.now();
    try {
      const file = databaseFile(dataDir);
      await heavy('makeArchive', {
        file,
        files: filesFolder(dataDir),
        to: join(backupFolder(dataDir), backupName(now)),
        gardenId: null,
        program,
        at: new Date(now).toISOString(),
      });
      failed = null;
      const all = nightlyBackups(dataDir);
      const keep = new Set(backupsToKeep(all));
      for (const one of all) if (!keep.has(one)) rmSync(join(backupFolder(dataDir), one.name));
    } catch (error) {
      if (hasEnded) return;
      failed = (error as Error).message;
      logger.error({ err: error }, 'the nightly backup was not made');
      await check('full');
    }
  };
  /** Where pages are damaged, nothing is written any more: what is there may still be saved. */
  const check = async (how: 'quick' | 'full') => {
    const damage = await heavy('checkDatabase', { file: databaseFile(store.dataDir), how });
    if (damage === null || hasEnded) return;
    failed = damage;
    logger.error({ damage }, 'the database is damaged: restore a backup');
    store.condemn();
  };
  const look = async () => {
    // An installation that nobody has set up has nothing to lose.
    const now = store.clock.now();
    if (!isDue(now, newestOf(nightlyBackups(store.dataDir), now)?.at ?? null)) return;
    if (await store.manager.exists(gardens)) await make();
  };
  const begin = (work: () => Promise<void>) => {
    making = making
      .then(() => (hasEnded ? undefined : work()))
      .catch((error: unknown) => logger.error(error));
    return making;
  };
  const first = setTimeout(() => {
    void begin(() => check('quick'));
    void begin(look);
  }, firstLookMs);
  const timer = setInterval(() => void begin(look), LOOK_MS);
  first.unref();
  return {
    newest: () => newestOf(nightlyBackups(store.dataDir), store.clock.now()),
    failed: () => failed,
    make: () => begin(make),
    end: () => {
      hasEnded = true;
      // What is being made is given up with the process; nothing of it counts before it is whole.
      clearTimeout(first);
      clearInterval(timer);
      return Promise.resolve();
    },
  };
}

/** How the nightly backups stand, for whoever watches over the server. */
export const backupState = (nightly: Nightly): { at: string | null; failed: boolean } => {
  const newest = nightly.newest();
  return { at: newest && new Date(newest.at).toISOString(), failed: nightly.failed() !== null };
};
