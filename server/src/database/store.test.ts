import { execFileSync, spawn } from 'node:child_process';
import {
  copyFileSync,
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defaultRules } from '@unity-acre/core/season';
import Database from 'better-sqlite3';
import { DataSource } from 'typeorm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { hashOf } from '../crew/caller.ts';
import { beds, landmarks } from '../ground/entity.ts';
import { changes } from '../log/entity.ts';
import { gardens } from '../place/entity.ts';
import { plantings } from '../season/entity.ts';
import { mountedDisk } from '../testing/disk.ts';
import { Harness, newId, observation } from '../testing/harness.ts';
import { First1764000000000 } from './migrations/first.ts';
import { UnusableDatabase, writingOptions } from './sqlite.ts';
import { DATABASE_FILE, openStore } from './store.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'acre-store-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const file = () => join(folder, DATABASE_FILE);

describe('the database', () => {
  it('is on disk before it answers, in the write-ahead log, with foreign keys', async () => {
    const store = await openStore(folder);
    const pragmas = await store.write(async (manager) => {
      const pragma = async (name: string) => Object.values((await manager.query(`PRAGMA ${name}`))[0])[0];
      return [await pragma('journal_mode'), await pragma('synchronous'), await pragma('foreign_keys')];
    });
    expect(pragmas).toEqual(['wal', 2, 1]);
    await store.close();
    expect(store.isOpen()).toBe(false);
  });

  it('has exactly the schema that the entities describe', async () => {
    const store = await openStore(folder);
    const difference = await store.manager.connection.driver.createSchemaBuilder().log();
    expect(difference.upQueries.map((query) => query.query)).toEqual([]);
    await store.close();
  });

  it('has an index for every foreign key', async () => {
    const store = await openStore(folder);
    const ask = (sql: string) => store.manager.query(sql) as Promise<Record<string, string | number>[]>;
    const without: string[] = [];
    for (const { name } of await ask("SELECT name FROM sqlite_master WHERE type = 'table'")) {
      const firsts = new Set<unknown>();
      for (const index of await ask(`PRAGMA index_list("${name}")`))
        firsts.add((await ask(`PRAGMA index_info("${index.name}")`))[0]!.name);
      for (const column of await ask(`PRAGMA table_info("${name}")`))
        if (column.pk === 1) firsts.add(column.name);
      for (const { from } of await ask(`PRAGMA foreign_key_list("${name}")`))
        if (!firsts.has(from)) without.push(`${name}.${from}`);
    }
    expect(without).toEqual([]);
    await store.close();
  });

  it('can be opened again', async () => {
    await (await openStore(folder)).close();
    await (await openStore(folder)).close();
  });

  it('is refused when it is no database, and left as it was', async () => {
    writeFileSync(file(), 'tomatoes, peas, 3 lb');
    await expect(openStore(folder)).rejects.toThrow(UnusableDatabase);
    await expect(openStore(folder)).rejects.toThrow(/damaged .* backup/s);
    expect(readFileSync(file(), 'utf8')).toBe('tomatoes, peas, 3 lb');
  });

  it('is refused when its pages are damaged', async () => {
    await (await openStore(folder)).close();
    const bytes = readFileSync(file());
    bytes.fill(0x5a, 4096, 4096 * 6);
    writeFileSync(file(), bytes);
    await expect(openStore(folder)).rejects.toThrow(/damaged/);
  });

  it('is refused when a newer program wrote it', async () => {
    await (await openStore(folder)).close();
    const database = new Database(file());
    database
      .prepare('INSERT INTO migrations (timestamp, name) VALUES (?, ?)')
      .run(9e12, 'Later9000000000000');
    database.close();
    await expect(openStore(folder)).rejects.toThrow(/newer Unity Acre .*Later9000000000000/);
  });

  it('is refused when it is empty, as a copy that was broken off', async () => {
    writeFileSync(file(), '');
    await expect(openStore(folder)).rejects.toThrow(/is empty.*restore/s);
    expect(readFileSync(file())).toHaveLength(0);
  });

  it('is refused when it is another program’s', async () => {
    const other = new Database(file());
    other.exec('CREATE TABLE recipes (id)');
    other.close();
    await expect(openStore(folder)).rejects.toThrow(/not one of Unity Acre.*recipes/s);
  });

  it('is refused where only its log is left', async () => {
    const store = await openStore(folder);
    await store.write((manager) => manager.query("INSERT INTO scratch VALUES (1, x'00')"));
    const log = readFileSync(`${file()}-wal`);
    await store.close();
    rmSync(file());
    writeFileSync(`${file()}-wal`, log);
    await expect(openStore(folder)).rejects.toThrow(/log .* no database beside it/s);
    expect(readFileSync(`${file()}-wal`)).toEqual(log);
  });

  it('is refused where the log of a crash lies beside another database', async () => {
    const store = await openStore(folder);
    await store.write((manager) => manager.query("INSERT INTO scratch VALUES (1, x'00')"));
    const crash = mkdtempSync(join(tmpdir(), 'acre-crash-'));
    cpSync(folder, crash, { recursive: true });
    await store.close();
    // Somebody puts a backup in place by hand, and leaves the log.
    copyFileSync(file(), join(crash, 'copy'));
    renameSync(join(crash, 'copy'), join(crash, DATABASE_FILE));
    await expect(openStore(crash)).rejects.toThrow(/another database than the one/);
    rmSync(join(crash, `${DATABASE_FILE}-wal`));
    await (await openStore(crash)).close();
    rmSync(crash, { recursive: true });
  });

  it('is for one server at a time, which is named', async () => {
    const store = await openStore(folder);
    await expect(openStore(folder)).rejects.toThrow(new RegExp(`in use by process ${process.pid} `));
    const beside = await openStore(folder, { beside: true });
    await beside.close();
    await store.close();
    await (await openStore(folder)).close();
  });

  it('is refused in a folder that cannot be written, with what to do', async ({ skip }) => {
    const unmount = mountedDisk(folder);
    if (!unmount) skip('no disk may be mounted here');
    try {
      execFileSync('mount', ['-o', 'remount,ro', folder]);
      await expect(openStore(folder)).rejects.toThrow(/cannot be written.*DATA_DIR/s);
      await expect(openStore(join(folder, 'new'))).rejects.toThrow(/cannot be written.*DATA_DIR/s);
    } finally {
      unmount?.();
    }
  });

  it('and all beside it is this user’s alone to read', async () => {
    const store = await openStore(folder);
    for (const name of readdirSync(folder)) expect(statSync(join(folder, name)).mode & 0o077, name).toBe(0);
    await store.close();
  });

  it('still opens from a copy of the file and its log taken while it was open', async () => {
    const store = await openStore(folder);
    const copy = mkdtempSync(join(tmpdir(), 'acre-copy-'));
    for (const end of ['', '-wal']) copyFileSync(file() + end, join(copy, DATABASE_FILE + end));
    await store.close();
    await (await openStore(copy)).close();
    rmSync(copy, { recursive: true });
  });
});

it('keeps everything it acknowledged when the server is killed while entries are written', async () => {
  const first = await Harness.open({ dataDir: folder });
  const garden = await first.setUp();
  await first.close(true);

  const server = spawn(process.execPath, ['--import', 'tsx', join(import.meta.dirname, '../main.ts')], {
    env: { ...process.env, PORT: '0', HOST: '127.0.0.1', DATA_DIR: folder, NODE_ENV: 'production' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve, reject) => {
    let said = '';
    server.stdout.on('data', (data) => {
      said += data;
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
      if (found) resolve(found[0]);
    });
    server.on('exit', () => reject(new Error(`server ended: ${said}`)));
  });
  // This server runs by the real clock, so the tests' sign-in of May 2026 may be over: sign in again.
  const json = { 'content-type': 'application/json', origin: url };
  const signedIn = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ email: 'cleo@example.org', password: 'correct horse battery' }),
  });
  const cookie = signedIn.headers.getSetCookie()[0]!.split(';')[0]!;

  const acknowledged: string[] = [];
  const write = async () => {
    for (;;) {
      const id = newId();
      const response = await fetch(`${url}/api/gardens/${garden.id}/entries/${id}`, {
        method: 'PUT',
        headers: { ...json, cookie },
        body: JSON.stringify(observation),
      });
      if (response.ok) acknowledged.push(id);
    }
  };
  const writers = Array.from({ length: 8 }, () => write().catch(() => 'cut off'));
  while (acknowledged.length < 60) await new Promise((resolve) => setTimeout(resolve, 5));
  server.kill('SIGKILL');
  await Promise.all(writers);

  const second = await Harness.open({ dataDir: folder });
  const { manager } = second.running.store;
  const kept = new Set((await manager.query('SELECT id FROM entry')).map((row: { id: string }) => row.id));
  expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
  // Nothing by half: every entry has its line in the audit trail.
  const [{ lines }] = await manager.query(
    `SELECT count(*) AS lines FROM change WHERE verb = 'observation.logged'`,
  );
  expect(lines).toBe(kept.size);
  await second.close(true);
});

describe('a database of the first version', () => {
  it('is brought up to date with its rows as they were, and what is new at its usual value', async () => {
    const source = new DataSource({
      ...writingOptions({ file: file() }),
      entities: [],
      migrations: [First1764000000000],
      migrationsTransactionMode: 'all',
    });
    await source.initialize();
    await source.runMigrations();
    const garden = [
      'g1',
      'g1',
      1,
      'Old Mill',
      44.5,
      -88,
      'America/Chicago',
      'imperial',
      '05-10',
      '10-03',
      null,
    ];
    await source.query(`INSERT INTO garden VALUES (${garden.map(() => '?').join(', ')})`, garden);
    await source.query("INSERT INTO bed VALUES ('b1', 'g1', 1, 'Bed 1', 0, 0, 1.2, 7.3, '')");
    await source.query(
      "INSERT INTO planting VALUES ('p1', 'g1', 1, 'pea', 'snap', 'b1', 2026, 'spring', 'sowInPlace', 'rows', 1.2, 6, NULL, '')",
    );
    await source.query("INSERT INTO landmark VALUES ('m1', 'g1', 1, 'hedge', 0, 0, 1, 20)");
    await source.query("INSERT INTO account VALUES ('a1', 'old@example.org', 'hash')");
    await source.query("INSERT INTO sign_in VALUES ('t1', 'a1', '9999999999999')");
    await source.query(
      "INSERT INTO person (id, gardenId, version, name, role, household, headcount) VALUES ('n1', 'g1', 1, 'Old', 'volunteer', '', 1)",
    );
    await source.query("INSERT INTO calendar_address VALUES ('n1', 'g1', 'plain-token')");
    const rows = [{ entity: 'planting', before: null, after: { id: 'p1', turn: 'spring' } }];
    const line = [
      'c1',
      'g1',
      '2026-05-01T12:00:00.000Z',
      'n1',
      'planting.saved',
      'Pea',
      JSON.stringify(rows),
      null,
    ];
    await source.query(`INSERT INTO change VALUES (${line.map(() => '?').join(', ')})`, line);
    await source.destroy();

    const store = await openStore(folder);
    expect(await store.manager.findOneByOrFail(gardens, { id: 'g1' })).toMatchObject({
      name: 'Old Mill',
      lastFrost: '05-10',
      offsetC: 0,
      // What was usual on the day of that migration.
      rules: { ...defaultRules, depth: 'double' },
      normals: null,
      recordId: null,
    });
    expect(await store.manager.findOneByOrFail(beds, { id: 'b1' })).toMatchObject({
      length: 7.3,
      offsetC: 0,
      form: 'rectangle',
      points: null,
      kind: 'ground',
      soilDepth: null,
    });
    expect(await store.manager.findOneByOrFail(landmarks, { id: 'm1' })).toMatchObject({
      height: 1.8,
      name: '',
    });
    expect(await store.manager.findOneByOrFail(plantings, { id: 'p1' })).toMatchObject({
      cropId: 'pea',
      cropping: 'spring',
      afterId: null,
      betweenId: null,
      pinned: false,
    });
    // What is undone is put back under the names that rows have now.
    expect((await store.manager.findOneByOrFail(changes, { id: 'c1' })).rows).toMatchObject([
      { after: { id: 'p1', cropping: 'spring' } },
    ]);
    const [signIn] = await store.manager.query('SELECT * FROM sign_in');
    expect(Date.now() - Number(signIn.seenAt)).toBeLessThan(60_000);
    const [address] = await store.manager.query('SELECT * FROM calendar_address');
    expect(address.tokenHash).toBe(hashOf('plain-token'));
    await store.close();
  });
});
