import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { EntityManager, EntitySchema } from 'typeorm';
import { z } from 'zod';
import { migrations } from '../database/migrations/index.ts';
import { columnsOf, type Row } from '../database/plainRows.ts';
import { deferForeignKeys } from '../database/sqlite.ts';
import { openStore } from '../database/store.ts';
import { Refusal } from '../http/refusal.ts';
import { filesFolder } from './nightly.ts';
import { UnusableBackup, unpack } from './restore.ts';
import { gardenTables } from './rows.ts';

/** Rows put in with one statement: below SQLite's limit of bound values at the widest table. */
const CHUNK = 400;

const gardenFile = z.object({
  format: z.literal('unity-acre-garden'),
  formatVersion: z.literal(1),
  gardenId: z.string(),
  migrations: z.array(z.string()),
  tables: z.record(z.string(), z.array(z.record(z.string(), z.unknown()))),
});
type GardenFile = z.infer<typeof gardenFile>;

export interface RestoredGarden {
  name: string;
  /** rows by table, of those that have any */
  rows: Record<string, number>;
}

/**
 * Puts one garden of a backup beside those that are in an installation, with all its ids. Accounts are not taken along: its people
 * join anew.
 * @param from a garden's archive, or its `garden.json` alone
 * @throws UnusableBackup where it is no garden, is of a newer program, or is there already
 */
export async function restoreGarden(from: string, dataDir: string, dry: boolean): Promise<RestoredGarden> {
  if (!existsSync(from)) throw new UnusableBackup(`There is no file ${from}.`);
  const store = await openStore(dataDir);
  const work = mkdtempSync(join(dataDir, '.restoring-'));
  try {
    const { garden, files } = await readGarden(from, work);
    const name = String(garden.tables.garden?.[0]?.name ?? '');
    const rows = Object.fromEntries(
      Object.entries(garden.tables).flatMap(([table, all]) => (all.length > 0 ? [[table, all.length]] : [])),
    );
    check(garden);
    if (await store.manager.existsBy('garden', { id: garden.gardenId }))
      throw new UnusableBackup(`The garden ${name} is in this installation already. Nothing was changed.`);
    if (dry) return { name, rows };
    await store.write((manager) => putIn(manager, garden));
    copyFiles(files, filesFolder(dataDir));
    return { name, rows };
  } catch (error) {
    if (error instanceof Refusal)
      throw new UnusableBackup(
        `Some of this garden is in this installation already (${error.problem.detail})`,
      );
    throw error;
  } finally {
    rmSync(work, { recursive: true, force: true });
    await store.close();
  }
}

async function readGarden(from: string, work: string): Promise<{ garden: GardenFile; files: string }> {
  let file = from;
  if (!from.endsWith('.json')) {
    const about = await unpack(from, work);
    const [only, ...others] = about.gardens;
    if (!only || others.length > 0) {
      throw new UnusableBackup(
        `${from} holds ${about.gardens.length} gardens. Take the garden.json of the one you want out of its folder "gardens".`,
      );
    }
    file = join(work, 'gardens', only.id, 'garden.json');
  }
  const parsed = gardenFile.safeParse(readJson(file));
  if (!parsed.success)
    throw new UnusableBackup(
      `${from} is not a garden of Unity Acre (${parsed.error.issues[0]?.path.join('.')}).`,
    );
  return { garden: parsed.data, files: join(work, 'files') };
}

function readJson(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    throw new UnusableBackup(`${file} cannot be read (${(error as Error).message}). Choose another backup.`);
  }
}

/** Refuses what a newer program wrote, and rows that are another garden's. */
function check({ gardenId, migrations: gone, tables }: GardenFile): void {
  const known = migrations.map(({ name }) => name);
  const newer = gone.filter((name) => !known.includes(name));
  if (newer.length > 0)
    throw new UnusableBackup(`This garden was saved by a newer Unity Acre (it has ${newer.join(', ')}).`);
  for (const [table, rows] of Object.entries(tables)) {
    if (!gardenTables.has(table))
      throw new UnusableBackup(`This garden has a table "${table}" that is not known here.`);
    if (rows.some((row) => row.gardenId !== gardenId))
      throw new UnusableBackup(`The table "${table}" has rows of another garden.`);
  }
}

async function putIn(manager: EntityManager, { tables }: GardenFile): Promise<void> {
  await deferForeignKeys(manager);
  for (const [table, entity] of gardenTables) {
    const rows = (tables[table] ?? []).map((row) => knownOf(entity, row));
    for (let i = 0; i < rows.length; i += CHUNK) await manager.insert(entity, rows.slice(i, i + CHUNK));
  }
}

/** A row in the columns there are; a column it lacks gets what the table gives it. Nobody has an account here yet. */
function knownOf(entity: EntitySchema<object>, row: Row): Row {
  const properties = columnsOf(entity).map(({ property }) => property);
  const known = Object.entries(row).filter(([property]) => properties.includes(property));
  return { ...Object.fromEntries(known), ...(properties.includes('accountId') && { accountId: null }) };
}

function copyFiles(from: string, to: string): void {
  if (!existsSync(from)) return;
  mkdirSync(to, { recursive: true, mode: 0o700 });
  for (const name of readdirSync(from)) copyFileSync(join(from, name), join(to, name));
}
