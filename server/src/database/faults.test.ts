import { mkdtempSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { mountedDisk } from '../testing/disk.ts';
import { Faults, faultyDriver } from '../testing/faultyDriver.ts';
import { Harness, newId, observation, plainBed, type TestGarden } from '../testing/harness.ts';
import { DATABASE_FILE } from './store.ts';

/* What the server acknowledged is saved, what it refused is not, whatever fails and whenever. */

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'acre-faults-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** The ids in a table, by a connection of its own. */
function idsIn(table: string): Set<string> {
  const database = new Database(join(folder, DATABASE_FILE), { readonly: true });
  const ids = database.prepare(`SELECT id FROM "${table}"`).pluck().all() as string[];
  database.close();
  return new Set(ids);
}

const saveBed = (garden: TestGarden, id: string) =>
  garden.ask('saveBed', { params: { id }, body: { ...plainBed, name: id } });

describe.each(['alone', 'withTransaction'] as const)('where a statement fails %s', (fails) => {
  it('in each place of a write in turn: acknowledged is saved, refused is not, and the next is as ever', async () => {
    const faults = new Faults();
    const harness = await Harness.open({ dataDir: folder, driver: faultyDriver(faults) });
    const garden = await harness.setUp();
    const saved: string[] = [];
    const refused: string[] = [];
    for (let nth = 1; ; nth += 1) {
      const id = newId();
      faults.plan(nth, fails);
      const { status, problem } = await saveBed(garden, id);
      const wasHit = faults.hit > 0;
      faults.heal();
      if (status === 200) saved.push(id);
      else {
        refused.push(id);
        expect(status, `statement ${nth}`).toBe(507);
        expect(problem.code).toBe('databaseFull');
      }
      // A refusal for another reason comes before and after, as it did when whole gardens were lost.
      const invalid = await garden.ask('saveBed', {
        params: { id: newId() },
        body: { ...plainBed, name: '' },
      });
      expect(invalid.status).toBe(422);
      const next = newId();
      expect((await saveBed(garden, next)).status, `after statement ${nth}`).toBe(200);
      saved.push(next);
      if (!wasHit) break;
    }
    expect(refused.length).toBeGreaterThan(8);
    const there = idsIn('bed');
    expect(saved.filter((id) => !there.has(id))).toEqual([]);
    expect(refused.filter((id) => there.has(id))).toEqual([]);
    await harness.close(true);

    const again = await Harness.open({ dataDir: folder });
    const beds = await again.ask('beds', { cookie: garden.cookie, params: { gardenId: garden.id } });
    expect(new Set(beds.body.map(({ id }) => id))).toEqual(new Set(saved));
    await again.close(true);
  });
});

it.each([
  ['SQLITE_READONLY', 503, 'databaseReadOnly', 'readOnly'],
  ['SQLITE_CORRUPT', 503, 'databaseDamaged', 'damaged'],
  ['SQLITE_IOERR_WRITE', 503, 'notSaved', 'failing'],
  ['SQLITE_FULL', 507, 'databaseFull', 'full'],
])(
  'says in words what %s is while it lasts, in health too, and comes back by itself',
  async (code, status, problemCode, state) => {
    const faults = new Faults();
    const harness = await Harness.open({ dataDir: folder, driver: faultyDriver(faults) });
    const garden = await harness.setUp();
    faults.plan(3, 'alone', { code, lasts: true });
    for (let n = 0; n < 3; n++) {
      const refusal = await saveBed(garden, newId());
      expect(refusal.status).toBe(status);
      expect(refusal.problem.code).toBe(problemCode);
      expect(refusal.change).toBeNull();
    }
    expect((await harness.ask('health')).body.database).toBe(state);
    expect((await garden.ask('beds')).status, 'reading goes on').toBe(200);
    faults.heal();
    expect((await saveBed(garden, newId())).status).toBe(200);
    await harness.close(true);
  },
);

it('never writes again once its pages are found damaged, and says so', async () => {
  const harness = await Harness.open({ dataDir: folder });
  const garden = await harness.setUp();
  harness.running.store.condemn();
  const { status, problem } = await saveBed(garden, newId());
  expect(status).toBe(503);
  expect(problem.code).toBe('databaseDamaged');
  expect((await harness.ask('health')).body.database).toBe('damaged');
  await harness.close(true);
});

it('takes a write within a write for a mistake, and does not wait for ever', async () => {
  const harness = await Harness.open({ dataDir: folder });
  const { store } = harness.running;
  await expect(store.write(() => store.write(async () => 1))).rejects.toThrow(/turn/);
  await expect(store.read(() => store.write(async () => 1))).rejects.toThrow(/turn/);
  expect(await store.write(async () => 2)).toBe(2);
  await harness.close(true);
});

it('cannot be written by the manager that reads', async () => {
  const harness = await Harness.open({ dataDir: folder });
  const garden = await harness.setUp();
  await expect(
    harness.running.store.manager.update('garden', { id: garden.id }, { name: 'Other' }),
  ).rejects.toThrow(/readonly/);
  await harness.close(true);
});

it('keeps what it acknowledged while a real disk fills, and goes on when there is room again', async ({
  skip,
}) => {
  const unmount = mountedDisk(folder);
  if (!unmount) skip('no disk may be mounted here');
  try {
    const filler = join(folder, 'filler');
    writeFileSync(filler, Buffer.alloc(2_500_000));
    const harness = await Harness.open({ dataDir: folder });
    const garden = await harness.setUp();
    const acknowledged: string[] = [];
    const log = async (note: string) => {
      const id = newId();
      const answer = await garden.ask('saveEntry', { params: { id }, body: { ...observation, note } });
      if (answer.status === 200) acknowledged.push(id);
      return answer;
    };
    let refusal = await log('begin');
    for (let n = 0; refusal.status === 200 && n < 3000; n++) refusal = await log('x'.repeat(1900));
    expect(refusal.status).toBe(507);
    expect((await harness.ask('health')).body.database).toBe('full');
    // Refused again and again while it is full; some that are small enough may fit.
    for (let n = 0; n < 20; n++) await log('y'.repeat(1900));
    truncateSync(filler, 0);
    await new Promise((resolve) => setTimeout(resolve, 1_100));
    expect((await harness.ask('health')).body.database).toBe('ok');
    for (let n = 0; n < 50; n++) expect((await log('there is room')).status).toBe(200);
    await harness.close(true);
    const kept = idsIn('entry');
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    expect(kept.size).toBe(acknowledged.length);
  } finally {
    unmount?.();
  }
});
