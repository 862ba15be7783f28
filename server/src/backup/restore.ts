import { createHash } from 'node:crypto';
import {
  createWriteStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { type Entry, openPromise, type ZipFile } from 'yauzl';
import { lockFolder, makeFolder } from '../database/lock.ts';
import { migrations } from '../database/migrations/index.ts';
import { inspect } from '../database/sqlite.ts';
import { databaseFile } from '../database/store.ts';
import { DATABASE_IN_ARCHIVE, MANIFEST, type Manifest, manifest } from './archive.ts';
import { backupFolder, filesFolder } from './nightly.ts';
import { checkDatabase } from './snapshot.ts';

/** A file that is no backup, or not as it was when it was made. The message says what to do. */
export class UnusableBackup extends Error {
  override name = 'UnusableBackup';
}

/** Unpacks an archive into a folder and compares every file with what the archive says of it. */
export async function unpack(from: string, into: string): Promise<Manifest> {
  const found = new Map<string, string>();
  let archive: ZipFile;
  try {
    archive = await openPromise(from, { lazyEntries: true });
  } catch (error) {
    throw new UnusableBackup(
      `${from} cannot be read as a backup (${(error as Error).message}). Choose another.`,
    );
  }
  try {
    for await (const entry of archive.eachEntry()) {
      if (entry.fileName.endsWith('/')) continue;
      found.set(entry.fileName, await unpackOne(archive, entry, into));
    }
  } catch (error) {
    throw new UnusableBackup(`${from} is broken (${(error as Error).message}). Choose another backup.`);
  }
  const about = manifestIn(from, join(into, MANIFEST));
  for (const [part, hash] of Object.entries(about.sha256)) {
    if (found.get(part) !== hash) {
      throw new UnusableBackup(
        `${from} is not as it was made: ${part} is missing or changed. Choose another backup.`,
      );
    }
  }
  return about;
}

/** @returns the SHA-256 of what was unpacked */
async function unpackOne(archive: ZipFile, entry: Entry, into: string): Promise<string> {
  // The library refuses names that lead out of the folder.
  const to = join(into, entry.fileName);
  mkdirSync(dirname(to), { recursive: true });
  const hash = createHash('sha256');
  const hashing = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      done(null, chunk);
    },
  });
  await pipeline(await archive.openReadStreamPromise(entry), hashing, createWriteStream(to, { mode: 0o600 }));
  return hash.digest('hex');
}

function manifestIn(from: string, file: string): Manifest {
  try {
    return manifest.parse(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    throw new UnusableBackup(
      `${from} is no backup of Unity Acre: it does not say what it is. Choose another.`,
    );
  }
}

export interface Restored {
  about: Manifest;
  /** where what was there before lies now; null where nothing was */
  aside: string | null;
}

/**
 * Puts a backup of the whole installation in the place of what is in a data folder. What was there is kept aside.
 * @param dry true to check everything and change nothing
 * @throws UnusableBackup, or UnusableDatabase where the folder is in use
 */
export async function restoreInstallation(from: string, dataDir: string, dry: boolean): Promise<Restored> {
  if (!existsSync(from)) throw new UnusableBackup(`There is no file ${from}.`);
  makeFolder(dataDir);
  const lock = lockFolder(dataDir);
  const work = mkdtempSync(join(dataDir, '.restoring-'));
  try {
    const about = await unpack(from, work);
    if (about.kind !== 'installation') {
      throw new UnusableBackup(
        `${from} holds one garden (${about.gardens.map(({ name }) => name).join(', ')}), not a whole installation. Add "--garden" to put that garden beside those that are here.`,
      );
    }
    const copy = join(work, DATABASE_IN_ARCHIVE);
    const damage = checkDatabase({ file: copy, how: 'full' });
    if (damage !== null)
      throw new UnusableBackup(`The database in ${from} is damaged (${damage}). Choose another backup.`);
    inspect(
      copy,
      migrations.map(({ name }) => name),
    );
    if (dry) return { about, aside: null };
    const aside = putAside(dataDir);
    renameSync(copy, databaseFile(dataDir));
    if (existsSync(join(work, 'files'))) renameSync(join(work, 'files'), filesFolder(dataDir));
    return { about, aside };
  } finally {
    rmSync(work, { recursive: true, force: true });
    lock.release();
  }
}

/** Moves the database with its logs and the files out of the way, all together. @returns where to */
function putAside(dataDir: string): string | null {
  const file = databaseFile(dataDir);
  const there = ['', '-wal', '-shm'].map((end) => file + end).filter((one) => existsSync(one));
  if (existsSync(filesFolder(dataDir))) there.push(filesFolder(dataDir));
  if (there.length === 0) return null;
  const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
  mkdirSync(backupFolder(dataDir), { recursive: true, mode: 0o700 });
  const aside = mkdtempSync(join(backupFolder(dataDir), `before-restore-${stamp}Z-`));
  for (const one of there) renameSync(one, join(aside, one.slice(dataDir.length + 1)));
  return aside;
}
