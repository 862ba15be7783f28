import type { Entry } from '@unity-acre/contract/log';
import { plainCatalogue, varietyOf } from '@unity-acre/core/crops';
import { entryKindOf } from '@unity-acre/core/log';
import { isRoundKind, roundKinds, type WorkKind } from '@unity-acre/core/work';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../../testing/harness.ts';
import { sessions } from '../entity.ts';

/* Marking a task done is the entry: there is no second bookkeeping. */

const TODAY = '2026-05-20';
let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed({ soilDepth: 0.4 })).id;
  for (const [cropId, method] of [
    ['tomato', 'startIndoors'],
    ['carrot', 'sowInPlace'],
    ['cabbage', 'startIndoors'],
    ['garlic', 'setPlants'],
    ['pea', 'sowInPlace'],
  ] as const) {
    const crop = plainCatalogue.crop(cropId)!;
    const cropping = cropId === 'garlic' ? 'overwinter' : 'spring';
    const varietyId = varietyOf(crop, crop.varieties[0]!.id)!.id;
    await garden.planting(bedId, { cropId, varietyId, method, cropping, length: 2 });
  }
  for (const kind of roundKinds)
    await garden.ok('saveRound', {
      params: { id: newId() },
      body: {
        kind,
        title: kind === 'other' ? 'Oil the tools' : '',
        bedIds: [bedId],
        first: TODAY,
        every: null,
        until: null,
        span: 3,
        minutes: null,
        note: '',
      },
    });
});
afterAll(() => harness.close());

const tasks = () => garden.ok('tasks', { query: { from: '2026-01-01' } });
const taskBy = async (id: string) => (await tasks()).find((task) => task.id === id)!;
const logged = async (taskId: string): Promise<Entry[]> =>
  (await garden.ok('entries', { query: { limit: 500 } })).entries.filter((entry) => entry.taskId === taskId);
const mark = (id: string, body: object) => garden.ok('markTask', { params: { id }, body });

it('logs every kind of work, dates the step of its planting by it, and strikes it out when it is not done after all', async () => {
  const met = new Set<WorkKind>();
  const first = new Map((await tasks()).map((task) => [task.kind, task]));
  for (const task of first.values()) {
    met.add(task.kind);
    const done = await mark(task.id, { doneOn: TODAY, minutes: 12 });
    expect(done, task.kind).toMatchObject({ state: 'done', doneOn: TODAY });
    const [entry, ...more] = await logged(task.id);
    expect(more).toEqual([]);
    expect(entry, task.kind).toMatchObject({
      ...{ kind: entryKindOf(task.kind), on: TODAY, bedId, minutes: 12, share: 1, by: 'Cleo Coordinator' },
      plantingId: task.plantingId,
    });
    if (!isRoundKind(task.kind)) {
      const planting = (await garden.ok('plantings', { query: { year: 2026 } })).find(
        ({ id }) => id === task.plantingId,
      )!;
      // Watering dates no step, everything else does.
      const dated = planting.steps.filter(({ done: is, on }) => is && on === TODAY);
      expect(dated.length, task.kind).toBe(task.kind === 'keepMoist' ? 0 : 1);
    }
    await mark(task.id, { doneOn: null });
    expect(await logged(task.id), task.kind).toEqual([]);
    expect((await taskBy(task.id)).state, task.kind).not.toBe('done');
  }
  expect(met.size).toBeGreaterThanOrEqual(20);
}, 60_000);

describe('a task', () => {
  const sowing = async () =>
    (await tasks()).find(({ kind, cropId }) => kind === 'sow' && cropId === 'carrot')!;

  it('that is set out stands on the list of what frost threatens', async () => {
    const out = (await tasks()).find(({ kind, cropId }) => kind === 'setOut' && cropId === 'tomato')!;
    const watched = async () =>
      (await garden.ok('frostWatch', { query: { on: '2026-05-22', from: '09:00', to: '11:00' } })).covers;
    const before = await watched();
    await mark(out.id, { doneOn: TODAY });
    expect(await watched()).not.toEqual(before);
    expect(JSON.stringify(await watched())).toContain(bedId);
    await mark(out.id, { doneOn: null });
    expect(await watched()).toEqual(before);
  });

  it('is done in part: logged so, open yet, and done as the same entry', async () => {
    const { id, plantingId } = await sowing();
    const half = await mark(id, { doneOn: '2026-05-19', share: 0.5 });
    expect(half).toMatchObject({ doneOn: null, share: 0.5 });
    expect(half.state).not.toBe('done');
    const [entry] = await logged(id);
    expect(entry).toMatchObject({ share: 0.5, on: '2026-05-19', plantingId });
    expect(await mark(id, { doneOn: TODAY })).toMatchObject({ state: 'done', share: null });
    expect(await logged(id)).toEqual([expect.objectContaining({ id: entry!.id, share: 1, on: TODAY })]);
    await mark(id, { doneOn: null });
  });

  it('names who was at it and how long it took, where that is said', async () => {
    const [task] = (await tasks()).filter(({ state }) => state === 'open');
    const vera = await garden.person('Vera Volunteer');
    const stranger = await garden.ask('markTask', {
      params: { id: task!.id },
      body: { doneOn: TODAY, people: [newId()] },
    });
    expect(stranger.problem.errors).toMatchObject([{ field: 'people', code: 'unknownPerson' }]);
    await mark(task!.id, { doneOn: TODAY, share: 0.75, minutes: 40, people: [vera, vera] });
    expect(await logged(task!.id)).toMatchObject([{ minutes: 40, share: 0.75, people: ['Vera Volunteer'] }]);
    await mark(task!.id, { doneOn: null });
  });

  it('is as the mark that was made last has it, whichever came last', async () => {
    const { id } = await sowing();
    const now = harness.clock.time;
    const at = (minute: number) => new Date(now + minute * 60_000).toISOString();
    harness.clock.time += 3_600_000;
    await mark(id, { doneOn: TODAY, at: at(10) });
    // A phone that had no signal sends what was marked on it before.
    expect(await mark(id, { doneOn: null, at: at(5) })).toMatchObject({ doneOn: TODAY });
    expect(await mark(id, { doneOn: '2026-05-19', at: at(9) })).toMatchObject({ doneOn: TODAY });
    expect(await logged(id)).toHaveLength(1);
    expect(await mark(id, { doneOn: null, at: at(11) })).toMatchObject({ doneOn: null });
    // Marked once more it is so as of then, and what was marked in between comes too late.
    await mark(id, { doneOn: TODAY, at: at(20) });
    await mark(id, { doneOn: TODAY, at: at(30) });
    expect(await mark(id, { doneOn: null, at: at(25) })).toMatchObject({ doneOn: TODAY });
    expect(await logged(id)).toHaveLength(1);
    await mark(id, { doneOn: null, at: at(31) });
    // A clock that is a day ahead marks now, not tomorrow.
    await mark(id, { doneOn: TODAY, at: '2026-05-21T15:00:00.000Z' });
    expect(await mark(id, { doneOn: null })).toMatchObject({ doneOn: null });
  });

  it('is marked once where it is sent twice, and undone as one', async () => {
    const { id } = await sowing();
    const once = await garden.ask('markTask', { params: { id }, body: { doneOn: TODAY } });
    const twice = await garden.ask('markTask', { params: { id }, body: { doneOn: TODAY } });
    expect(twice.change).toBeNull();
    await garden.ok('undo', { params: { id: once.change! } });
    expect(await taskBy(id)).toMatchObject({ doneOn: null, doneByLog: false });
    expect(await logged(id)).toEqual([]);
  });

  it('is not done on a day to come, nor before what comes before it', async () => {
    const { id, plantingId } = await sowing();
    const refused = async (doneOn: string) =>
      (await garden.ask('markTask', { params: { id }, body: { doneOn } })).problem.errors;
    expect(await refused('2026-05-21')).toEqual([
      expect.objectContaining({ field: 'doneOn', code: 'inFuture' }),
    ]);
    const thinning = (await tasks()).find((task) => task.kind === 'thin' && task.plantingId === plantingId)!;
    await mark(id, { doneOn: TODAY });
    const early = { params: { id: thinning.id }, body: { doneOn: '2026-05-19' } };
    expect((await garden.ask('markTask', early)).problem.errors).toEqual([
      expect.objectContaining({ field: 'doneOn', code: 'beforePrevious' }),
    ]);
    expect(await logged(thinning.id)).toEqual([]);
    expect((await taskBy(thinning.id)).doneOn).toBeNull();
    await mark(id, { doneOn: null });
  });

  it('is not logged twice where somebody wrote it into the log', async () => {
    const { id, plantingId } = await sowing();
    const { entry } = await garden.entry({ kind: 'sowing', plantingId, on: TODAY });
    await mark(id, { doneOn: TODAY });
    expect(await logged(id)).toEqual([]);
    await mark(id, { doneOn: null });
    await garden.ok('removeEntry', { params: { id: entry.id }, ifMatch: entry.version });
  });

  it('is open again when its entry is struck out, moves with it, and comes back with Undo', async () => {
    const { id } = await sowing();
    await mark(id, { doneOn: TODAY });
    const [entry] = await logged(id);
    const { taskId: _, share: __, minutes: ___, people: ____, ...rest } = entry!;
    const { id: entryId, version, personId: _p, by: _b, grams: _g, loggedAt: _l, ...body } = rest;
    await garden.ok('saveEntry', {
      params: { id: entryId },
      ifMatch: version,
      body: { ...body, on: '2026-05-18' },
    });
    expect(await taskBy(id)).toMatchObject({ doneOn: '2026-05-18' });
    const gone = await garden.ask('removeEntry', { params: { id: entryId }, ifMatch: version + 1 });
    expect(await taskBy(id)).toMatchObject({ doneOn: null, doneByLog: false });
    await garden.ok('undo', { params: { id: gone.change! } });
    expect(await taskBy(id)).toMatchObject({ doneOn: '2026-05-18', state: 'done' });
    expect(await logged(id)).toHaveLength(1);
    await mark(id, { doneOn: null });
  });

  it('that is done in part is not begun once its entry is struck out, and late marks from before come too late', async () => {
    const { id } = await sowing();
    const before = new Date(harness.clock.time).toISOString();
    harness.clock.time += 60_000;
    await mark(id, { doneOn: TODAY, share: 0.25 });
    const [entry] = await logged(id);
    harness.clock.time += 60_000;
    await garden.ok('removeEntry', { params: { id: entry!.id }, ifMatch: entry!.version });
    expect(await taskBy(id)).toMatchObject({ doneOn: null, share: null });
    expect(await mark(id, { doneOn: TODAY, at: before })).toMatchObject({ doneOn: null });
    expect(await logged(id)).toEqual([]);
  });

  it('that was done in a session names its minutes and its crew, as far as one may read their names', async () => {
    const { id } = await sowing();
    const crew = [await garden.person('Ana'), await garden.person('Bo')];
    const session = await garden.session({ taskIds: [id], on: TODAY });
    const members = crew.map((personId) => ({ personId, minutes: 20 }));
    await harness.running.store.write((manager) =>
      manager.update(sessions, { id: session.id }, { crews: [{ taskId: id, members }] }),
    );
    const body = { state: 'done', minutes: 25, adults: 2, beginners: 0, children: 0 };
    await garden.ok('logWork', { params: { id: session.id, taskId: id }, body });
    const [entry] = await logged(id);
    expect(entry).toMatchObject({ minutes: 25, people: ['Ana', 'Bo'], by: 'Cleo Coordinator', on: TODAY });
  });
});
