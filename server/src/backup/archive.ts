import { createHash } from 'node:crypto';
import {
  closeSync,
  createReadStream,
  createWriteStream,
  existsSync,
  fsyncSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { csvLine } from '@unity-acre/contract/csv';
import Database from 'better-sqlite3';
import { ZipFile } from 'yazl';
import { z } from 'zod';
import { columnsOf, openRow, type Row } from '../database/plainRows.ts';
import { allTables, gardenTables, secretTables } from './rows.ts';
import { checkDatabase, snapshot } from './snapshot.ts';

export const DATABASE_IN_ARCHIVE = 'unity-acre.sqlite';
export const MANIFEST = 'manifest.json';

/** What an archive says of itself. */
export const manifest = z.object({
  format: z.literal('unity-acre-backup'),
  formatVersion: z.literal(1),
  program: z.string(),
  /** an instant */
  at: z.string(),
  /** the whole installation, or one garden of it without anybody's password */
  kind: z.enum(['installation', 'garden']),
  gardens: z.array(z.object({ id: z.string(), name: z.string() })),
  /** the migrations its database has gone through */
  migrations: z.array(z.string()),
  /** rows by table */
  rows: z.record(z.string(), z.number()),
  /** SHA-256 of every other file in the archive */
  sha256: z.record(z.string(), z.string()),
});
export type Manifest = z.infer<typeof manifest>;

export interface ArchiveTask {
  /** the database; it may be in use */
  file: string;
  /** the folder of photographs and pictures */
  files: string;
  /** where the archive is to lie; it is there whole or not at all */
  to: string;
  /** null for the whole installation */
  gardenId: string | null;
  program: string;
  at: string;
}

/**
 * Writes a backup: a consistent copy of the database, the files, and everything in it as JSON and CSV.
 * @throws Error where the database is damaged; nothing is written then
 */
export async function makeArchive({
  file,
  files,
  to,
  gardenId,
  program,
  at,
}: ArchiveTask): Promise<Manifest> {
  mkdirSync(dirname(to), { recursive: true });
  const work = mkdtempSync(join(dirname(to), '.making-'));
  try {
    const copy = join(work, DATABASE_IN_ARCHIVE);
    await snapshot(file, copy);
    if (gardenId !== null) keepOneGarden(copy, gardenId);
    const damage = checkDatabase({ file: copy, how: 'full' });
    if (damage !== null) throw new Error(`The database is damaged: ${damage}`);
    const said = describe(copy, work);
    const parts = [DATABASE_IN_ARCHIVE, ...said.files];
    const pictures = existsSync(files) ? readdirSync(files).map((name) => `files/${name}`) : [];
    const placeOf = (part: string) =>
      part.startsWith('files/') ? join(files, part.slice(6)) : join(work, part);
    const sha256: Record<string, string> = {};
    for (const part of [...parts, ...pictures]) sha256[part] = await hashOf(placeOf(part));
    const about: Manifest = {
      format: 'unity-acre-backup',
      formatVersion: 1,
      program,
      at,
      kind: gardenId === null ? 'installation' : 'garden',
      gardens: said.gardens,
      migrations: said.migrations,
      rows: said.rows,
      sha256,
    };
    writeFileSync(join(work, MANIFEST), `${JSON.stringify(about, null, 1)}\n`);
    await zip(join(work, 'archive.zip'), [MANIFEST, ...parts, ...pictures], placeOf);
    renameSync(join(work, 'archive.zip'), to);
    return about;
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
}

/** Takes out of a copy all other gardens, and everybody's secrets. */
function keepOneGarden(copy: string, gardenId: string): void {
  const database = new Database(copy);
  try {
    database.pragma('foreign_keys = OFF');
    database.transaction(() => {
      database.prepare('UPDATE person SET accountId = NULL').run();
      for (const table of secretTables) database.prepare(`DELETE FROM "${table}"`).run();
      for (const table of gardenTables.keys())
        database.prepare(`DELETE FROM "${table}" WHERE gardenId <> ?`).run(gardenId);
    })();
    // What was deleted would still stand in free pages.
    database.exec('VACUUM');
  } finally {
    database.close();
  }
}

interface Described {
  gardens: { id: string; name: string }[];
  migrations: string[];
  rows: Record<string, number>;
  files: string[];
}

/** Writes every garden of a copy as JSON and CSV beside it. */
function describe(copy: string, work: string): Described {
  const database = new Database(copy, { readonly: true });
  try {
    const gardens = database.prepare('SELECT id, name FROM garden ORDER BY id').all() as Described['gardens'];
    const migrations = database.prepare('SELECT name FROM migrations ORDER BY id').pluck().all() as string[];
    const count = (table: string) =>
      database.prepare(`SELECT count(*) FROM "${table}"`).pluck().get() as number;
    const files = gardens.flatMap(({ id }) => writeGarden(database, id, migrations, work));
    return {
      gardens,
      migrations,
      files,
      rows: Object.fromEntries(allTables.map((table) => [table, count(table)])),
    };
  } finally {
    database.close();
  }
}

/** A garden as one JSON file and as a CSV file for each table. @returns their places in the archive */
function writeGarden(
  database: Database.Database,
  gardenId: string,
  migrations: readonly string[],
  work: string,
): string[] {
  const folder = `gardens/${gardenId}`;
  mkdirSync(join(work, folder, 'csv'), { recursive: true });
  const whole = `${folder}/garden.json`;
  const json = openSync(join(work, whole), 'w');
  const head = { format: 'unity-acre-garden', formatVersion: 1, gardenId, migrations };
  writeSync(json, `${JSON.stringify(head).slice(0, -1)},"tables":{`);
  const written = [whole];
  let isFirst = true;
  for (const [table, entity] of gardenTables) {
    const columns = columnsOf(entity);
    const place = `${folder}/csv/${table}.csv`;
    const csv = openSync(join(work, place), 'w');
    writeSync(csv, csvLine(columns.map(({ property }) => property)));
    writeSync(json, `${isFirst ? '' : ','}\n${JSON.stringify(table)}:[`);
    isFirst = false;
    const rows = database
      .prepare(`SELECT * FROM "${table}" WHERE gardenId = ? ORDER BY id`)
      .iterate(gardenId);
    let separator = '\n';
    for (const raw of rows as IterableIterator<Row>) {
      writeSync(json, separator + JSON.stringify(openRow(columns, raw)));
      separator = ',\n';
      writeSync(csv, csvLine(columns.map(({ column }) => raw[column])));
    }
    writeSync(json, ']');
    closeSync(csv);
    written.push(place);
  }
  writeSync(json, '}}\n');
  closeSync(json);
  return written;
}

async function hashOf(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Packs files into an archive that is on the disk when this ends. */
async function zip(to: string, parts: readonly string[], placeOf: (part: string) => string): Promise<void> {
  const archive = new ZipFile();
  for (const part of parts) archive.addFile(placeOf(part), part);
  archive.end();
  await pipeline(archive.outputStream, createWriteStream(to, { mode: 0o600 }));
  const written = openSync(to, 'r+');
  fsyncSync(written);
  closeSync(written);
}
