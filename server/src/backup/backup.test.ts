import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { parse } from 'csv-parse/sync';
import { pino } from 'pino';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { DATABASE_FILE } from '../database/store.ts';
import { Harness, newId, OPERATOR_TOKEN, observation, type TestGarden } from '../testing/harness.ts';
import { keepBackups } from './nightly.ts';
import { restoreInstallation, unpack } from './restore.ts';
import { restoreGarden } from './restoreGarden.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'acre-backup-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

type Dump = Record<string, unknown[]>;

/** Every row of every table of a database file. */
function dumpOf(file: string): Dump {
  const database = new Database(file, { readonly: true });
  const tables = database
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name")
    .pluck()
    .all() as string[];
  const dump = Object.fromEntries(
    tables.map((table) => [table, database.prepare(`SELECT * FROM "${table}" ORDER BY 1`).all()]),
  );
  database.close();
  return dump;
}

/** Fetches a backup as its route gives it. @returns where it was put */
async function fetchBackup(harness: Harness, path: string, headers: Record<string, string>): Promise<string> {
  const response = await fetch(`${harness.running.url}${path}`, { headers });
  expect(response.status).toBe(200);
  expect(response.headers.get('content-type')).toContain('application/zip');
  const file = join(folder, `${newId()}.zip`);
  writeFileSync(file, Buffer.from(await response.arrayBuffer()));
  return file;
}

const everything = (harness: Harness) =>
  fetchBackup(harness, '/api/backup', { authorization: `Bearer ${OPERATOR_TOKEN}` });
const oneGarden = (garden: TestGarden) =>
  fetchBackup(garden.harness, `/api/gardens/${garden.id}/backup`, { cookie: garden.cookie });

/** A garden with something in most rooms. */
async function grown(harness: Harness): Promise<TestGarden> {
  const garden = await harness.setUp();
  const bed = await garden.bed({ name: 'Bed "7", =1+1' });
  await garden.planting(bed.id);
  const session = await garden.session();
  const member = await garden.member('volunteer', 'Vera');
  await garden.ok('signUp', { cookie: member.cookie, params: { id: session.id, personId: member.id } });
  await garden.ok('makeCalendarAddress', { cookie: member.cookie });
  await garden.entry({ note: 'ñandú, "rain"\n=2+2' });
  return garden;
}

it('made while many write is of one moment, and is the same row by row where it is restored', async () => {
  const harness = await Harness.open();
  const garden = await grown(harness);
  const before: string[] = [];
  for (let n = 0; n < 20; n++) before.push((await garden.entry({})).entry.id);
  let isOver = false;
  const writing = Promise.all(
    Array.from({ length: 4 }, async () => {
      while (!isOver) await garden.entry({});
    }),
  );
  const file = await everything(harness);
  isOver = true;
  await writing;
  await harness.close();

  const unpacked = join(folder, 'unpacked');
  const about = await unpack(file, unpacked);
  expect(about).toMatchObject({ kind: 'installation', gardens: [{ id: garden.id, name: 'Test garden' }] });
  const archived = dumpOf(join(unpacked, DATABASE_FILE));
  const entries = archived.entry as { id: string }[];
  // What was acknowledged before is in it, and nothing by half: each entry has its line in the audit trail.
  expect(before.filter((id) => !entries.some((entry) => entry.id === id))).toEqual([]);
  const logged = (archived.change as { verb: string }[]).filter(({ verb }) => verb === 'observation.logged');
  expect(logged).toHaveLength(entries.length);

  const dataDir = join(folder, 'next-door');
  expect((await restoreInstallation(file, dataDir, false)).aside).toBeNull();
  expect(dumpOf(join(dataDir, DATABASE_FILE))).toEqual(archived);
  const again = await Harness.open({ dataDir });
  const there = await again.ask('entries', {
    cookie: garden.cookie,
    params: { gardenId: garden.id },
    query: { limit: 500 },
  });
  expect(there.body.entries).toHaveLength(entries.length);
  await again.close();
});

it('holds everything of a garden as JSON and as CSV that others can read', async () => {
  const harness = await Harness.open();
  const garden = await grown(harness);
  const unpacked = join(folder, 'unpacked');
  await unpack(await oneGarden(garden), unpacked);
  const place = join(unpacked, 'gardens', garden.id);
  const json = JSON.parse(readFileSync(join(place, 'garden.json'), 'utf8'));
  expect(json.tables.garden).toEqual([expect.objectContaining({ id: garden.id, rules: expect.any(Object) })]);
  expect(json.tables.person).toHaveLength(2);
  expect(json.tables.sign_up[0]).toMatchObject({ comes: true });
  const beds = parse(readFileSync(join(place, 'csv/bed.csv'), 'utf8'), { columns: true }) as {
    name: string;
  }[];
  expect(beds.map(({ name }) => name)).toEqual(['Bed "7", =1+1']);
  const [entry] = parse(readFileSync(join(place, 'csv/entry.csv'), 'utf8'), { columns: true }) as {
    note: string;
  }[];
  expect(entry!.note).toBe('ñandú, "rain"\n=2+2');
  await harness.close();
});

it('of one garden has nothing of another and nobody’s secrets, in no byte of it', async () => {
  const harness = await Harness.open();
  const garden = await grown(harness);
  const elsewhere = newId();
  await harness.running.store.write(async (manager) => {
    const own = await manager.findOneByOrFail('garden', { id: garden.id });
    await manager.insert('garden', { ...own, id: elsewhere, gardenId: elsewhere, name: 'Elsewhere secret' });
  });
  const secrets = await harness.running.store.manager.query(
    'SELECT passwordHash AS secret FROM account UNION SELECT tokenHash FROM sign_in UNION SELECT tokenHash FROM calendar_address',
  );
  expect(secrets.length).toBeGreaterThan(3);
  const unpacked = join(folder, 'unpacked');
  await unpack(await oneGarden(garden), unpacked);
  const bytes = readdirSync(unpacked, { recursive: true, withFileTypes: true })
    .filter((file) => file.isFile())
    .map((file) => readFileSync(join(file.parentPath, file.name)));
  for (const { secret } of [...secrets, { secret: 'Elsewhere secret' }] as { secret: string }[])
    expect(bytes.filter((content) => content.includes(secret))).toEqual([]);
  expect(bytes.some((content) => content.includes('Test garden'))).toBe(true);
  await harness.close();
});

it('is for the operator alone, and a garden’s for its coordinators', async () => {
  const harness = await Harness.open();
  const garden = await harness.setUp();
  const ask = (headers: Record<string, string>) => fetch(`${harness.running.url}/api/backup`, { headers });
  for (const headers of [{}, { authorization: 'Bearer guess' }, { cookie: garden.cookie }])
    expect((await ask(headers as Record<string, string>)).status).toBe(403);
  await harness.close();
});

describe('restoring', () => {
  const saved = async (dataDir: string) => {
    const harness = await Harness.open({ dataDir });
    const garden = await grown(harness);
    const file = await everything(harness);
    const one = await oneGarden(garden);
    return { harness, garden, file, one };
  };

  it('is never over a database in use, and keeps aside what was there', async () => {
    const dataDir = join(folder, 'data');
    const { harness, garden, file } = await saved(dataDir);
    await garden.bed({ name: 'Since then' });
    await expect(restoreInstallation(file, dataDir, false)).rejects.toThrow(/in use by process \d+/);
    await harness.close(true);
    const later = dumpOf(join(dataDir, DATABASE_FILE));
    // A dry look changes nothing.
    const dry = await restoreInstallation(file, dataDir, true);
    expect(dry.about.rows.bed).toBe(1);
    expect(dumpOf(join(dataDir, DATABASE_FILE))).toEqual(later);
    const { aside } = await restoreInstallation(file, dataDir, false);
    expect(dumpOf(join(aside!, DATABASE_FILE))).toEqual(later);
    const again = await Harness.open({ dataDir });
    const beds = await again.ask('beds', { cookie: garden.cookie, params: { gardenId: garden.id } });
    expect(beds.body.map(({ name }) => name)).toEqual(['Bed "7", =1+1']);
    await again.close(true);
    expect(readdirSync(dataDir).filter((name) => name.startsWith('.'))).toEqual([]);
  });

  it('moves a log that a crash left with its database, so that it never gets into another', async () => {
    const dataDir = join(folder, 'data');
    const { harness, garden, file } = await saved(dataDir);
    await garden.bed({ name: 'In the log' });
    const crashed = join(folder, 'crashed');
    await restoreInstallation(file, crashed, false);
    for (const end of ['', '-wal'])
      copyFileSync(join(dataDir, DATABASE_FILE + end), join(crashed, DATABASE_FILE + end));
    await harness.close(true);
    const { aside } = await restoreInstallation(file, crashed, false);
    expect(existsSync(join(aside!, `${DATABASE_FILE}-wal`))).toBe(true);
    expect(existsSync(join(crashed, `${DATABASE_FILE}-wal`))).toBe(false);
  });

  it('puts a garden next door with all its ids, and no other time', async () => {
    const { harness, garden, one } = await saved(join(folder, 'data'));
    await harness.close(true);
    const there = join(folder, 'next-door');
    const neighbour = await Harness.open({ dataDir: there });
    await neighbour.setUp();
    await neighbour.close(true);
    expect(await restoreGarden(one, there, true)).toMatchObject({ name: 'Test garden', rows: { bed: 1 } });
    await restoreGarden(one, there, false);
    const source = dumpOf(join(folder, 'data', DATABASE_FILE));
    const target = dumpOf(join(there, DATABASE_FILE));
    for (const table of ['bed', 'planting', 'work_session', 'sign_up', 'entry', 'change', 'garden'])
      for (const row of source[table]!) expect(target[table], table).toContainEqual(row);
    for (const row of source.person as object[])
      expect(target.person).toContainEqual({ ...row, accountId: null });
    expect((target.account as unknown[]).length).toBe(1);
    await expect(restoreGarden(one, there, false)).rejects.toThrow(/already/);
    expect(dumpOf(join(there, DATABASE_FILE))).toEqual(target);
    // The JSON alone is enough.
    const unpacked = join(folder, 'unpacked');
    await unpack(one, unpacked);
    const third = join(folder, 'third');
    await restoreGarden(join(unpacked, 'gardens', garden.id, 'garden.json'), third, false);
    expect(dumpOf(join(third, DATABASE_FILE)).entry).toEqual(source.entry);
  });

  it('refuses what is broken, changed, or not a backup, and leaves everything as it was', async () => {
    const dataDir = join(folder, 'data');
    const { harness, file, one } = await saved(dataDir);
    await harness.close(true);
    const before = dumpOf(join(dataDir, DATABASE_FILE));
    const broken = (name: string, bytes: Buffer | string) => {
      writeFileSync(join(folder, name), bytes);
      return join(folder, name);
    };
    const bytes = readFileSync(file);
    const flipped = Buffer.from(bytes);
    flipped.fill(0, 5_000, 5_400);
    for (const [from, words] of [
      [join(folder, 'nowhere.zip'), /no file/],
      [broken('peas.zip', 'peas, 3 lb'), /cannot be read/],
      [broken('empty.zip', ''), /cannot be read/],
      [broken('half.zip', bytes.subarray(0, bytes.length / 2)), /cannot be read|broken/],
      [broken('flipped.zip', flipped), /broken|not as it was made|cannot be read/],
      [one, /one garden/],
    ] as const)
      await expect(restoreInstallation(from, dataDir, false), from).rejects.toThrow(words);
    await expect(restoreGarden(broken('list.json', '[]'), dataDir, false)).rejects.toThrow(/not a garden/);
    await expect(restoreGarden(broken('words.json', 'peas'), dataDir, false)).rejects.toThrow(
      /cannot be read/,
    );
    expect(dumpOf(join(dataDir, DATABASE_FILE))).toEqual(before);
  });
});

describe('the nightly backup', () => {
  it('lies in the data folder, and its age is in health and on the set-up page', async () => {
    const harness = await Harness.open();
    const garden = await harness.setUp();
    expect((await garden.ok('backups')).newest).toBeNull();
    await harness.running.nightly.make();
    const { newest, failed } = await garden.ok('backups');
    expect(newest).toMatchObject({ at: '2026-05-20T17:00:00.000Z', bytes: expect.any(Number) });
    expect(failed).toBe(false);
    expect((await harness.ask('health')).body.backup).toEqual({ at: newest!.at, failed: false });
    const [name] = readdirSync(join(harness.dataDir, 'backups'));
    const dataDir = join(folder, 'restored');
    const restored = await restoreInstallation(join(harness.dataDir, 'backups', name!), dataDir, false);
    expect(restored.about.gardens).toEqual([{ id: garden.id, name: 'Test garden' }]);
    await harness.close();
  });

  it('makes itself soon after the start, with nobody asking', async () => {
    const harness = await Harness.open();
    await harness.setUp();
    const nightly = keepBackups(harness.running.store, 'test', pino({ level: 'silent' }), 0);
    for (let n = 0; n < 300 && !nightly.newest(); n++)
      await new Promise((resolve) => setTimeout(resolve, 50));
    expect(nightly.newest()).not.toBeNull();
    await nightly.end();
    await harness.close();
  });

  it('is not made of a damaged database, of which nothing more is written and no older backup let go', async () => {
    const harness = await Harness.open();
    const garden = await harness.setUp();
    for (let n = 0; n < 300; n++) await garden.entry({ note: 'x'.repeat(500) });
    for (let day = 0; day < 9; day++) {
      harness.clock.time += 86_400_000;
      if (day < 8) await harness.running.nightly.make();
    }
    const backups = () => readdirSync(join(harness.dataDir, 'backups'));
    expect(backups().length).toBe(7);
    // Pages in the middle are lost, as by a failing disk.
    await harness.running.store
      .write((manager) => manager.query('PRAGMA wal_checkpoint(TRUNCATE)'))
      .catch(() => 0);
    const file = join(harness.dataDir, DATABASE_FILE);
    const database = new Database(file);
    database.pragma('wal_checkpoint(TRUNCATE)');
    database.close();
    const bytes = readFileSync(file);
    bytes.fill(0x5a, 4096 * 40, 4096 * 60);
    writeFileSync(file, bytes);
    await harness.running.nightly.make();
    expect(backups().length).toBe(7);
    expect((await harness.ask('health')).body).toMatchObject({
      database: 'damaged',
      backup: { failed: true },
    });
    const refused = await garden.ask('saveEntry', { params: { id: newId() }, body: observation });
    expect(refused.problem.code).toBe('databaseDamaged');
    await harness.close();
  });
});
