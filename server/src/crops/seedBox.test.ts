import { plainCatalogue } from '@unity-acre/core/crops';
import { v7 as newId } from 'uuid';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { Harness, peas, type TestGarden } from '../testing/harness.ts';

/* One number: what a card asks for is what the order counts and what the packet gives. */

const TODAY = '2026-05-20';
const pea = plainCatalogue.crop('pea')!;
const varietyId = pea.varieties[0]!.id;
let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed({ soilDepth: 0.4, length: 12 })).id;
});
afterAll(() => harness.close());

const lotBody = {
  cropId: 'pea',
  varietyId,
  source: 'Swap day',
  germination: null,
  testedOn: null,
  saved: false,
};
const addLot = async (over: { year: number; amount: number; unit?: 'seeds' | 'g' }) => {
  const id = newId();
  await garden.ok('saveSeedLot', { params: { id }, body: { ...lotBody, unit: 'seeds', note: '', ...over } });
  return id;
};
const left = async (lotId: string) => (await garden.ok('seedLots')).find(({ id }) => id === lotId)!;
const sown = async (length = 2) =>
  (await garden.planting(bedId, { cropId: 'pea', varietyId, method: 'sowInPlace', length })).id;
const planting = async (id: string) =>
  (await garden.ok('plantings', { query: { year: 2026 } })).find((one) => one.id === id)!;
const sowing = async (id: string) =>
  (await garden.ok('tasks', { query: { from: '2026-01-01' } })).find(
    (task) => task.plantingId === id && task.kind === 'sow',
  )!;
const mark = (id: string, body: object) => garden.ok('markTask', { params: { id }, body });
const log = async () => (await garden.ok('entries', { query: { kind: 'sowing' } })).entries;
afterEach(async () => {
  for (const { id, version } of (await garden.ok('entries', { query: {} })).entries)
    await garden.ok('removeEntry', { params: { id }, ifMatch: version });
  for (const { id, version } of await garden.ok('plantings', { query: { year: 2026 } }))
    await garden.ok('removePlanting', { params: { id }, ifMatch: version });
  for (const { id, version } of await garden.ok('seedLots'))
    await garden.ok('removeSeedLot', { params: { id }, ifMatch: version });
});

describe('a sowing', () => {
  it('names its packet on card and plan, takes its seeds out of it, and gives them back when it is not done after all', async () => {
    const lotId = await addLot({ year: 2026, amount: 5000 });
    const id = await sown();
    const task = await sowing(id);
    expect(task.seeds).toBe((await planting(id)).seeds);
    expect(task.seedSources).toEqual([
      expect.objectContaining({ lotId, year: 2026, source: 'Swap day', seeds: task.seeds }),
    ]);
    await mark(task.id, { doneOn: TODAY });
    expect(await left(lotId)).toMatchObject({ amount: 5000 - task.seeds });
    expect(await log()).toEqual([expect.objectContaining({ seedsFrom: [{ lotId, seeds: task.seeds }] })]);
    expect((await planting(id)).seedSources).toEqual([]);
    await mark(task.id, { doneOn: null });
    expect(await left(lotId)).toMatchObject({ amount: 5000 });
    expect((await sowing(id)).seeds).toBe(task.seeds);
  });

  it('done in part takes a part, and what is left of it is on the card', async () => {
    const lotId = await addLot({ year: 2026, amount: 5000 });
    const id = await sown();
    const whole = await sowing(id);
    await mark(whole.id, { doneOn: '2026-05-19', share: 0.5 });
    const half = 5000 - (await left(lotId)).amount;
    expect(Math.abs(half - whole.seeds / 2)).toBeLessThanOrEqual(1);
    expect(Math.abs((await sowing(id)).seeds - whole.seeds / 2)).toBeLessThanOrEqual(1);
    await mark(whole.id, { doneOn: TODAY });
    expect(Math.abs(5000 - (await left(lotId)).amount - whole.seeds)).toBeLessThanOrEqual(1);
    await mark(whole.id, { doneOn: null });
    expect((await left(lotId)).amount).toBe(5000);
  });

  it('of an old packet is thicker, and what the packet lacks is still to be got', async () => {
    const lotId = await addLot({ year: 2023, amount: 60 });
    const id = await sown();
    const { seedSources, seeds } = await sowing(id);
    expect(seedSources.map((one) => one.lotId)).toEqual([lotId, null]);
    expect(seedSources[0]!.perHole).toBeGreaterThan(seedSources[1]!.perHole);
    expect(seedSources.reduce((sum, one) => sum + one.seeds, 0)).toBe(seeds);
    const [holes] = [(await planting(id)).holes];
    expect(seedSources.reduce((sum, one) => sum + one.holes, 0)).toBe(holes);
  });

  it('that is written by hand takes what the plan takes, or what is said', async () => {
    const lotId = await addLot({ year: 2026, amount: 5000 });
    const id = await sown();
    const { seeds } = await sowing(id);
    const { entry } = await garden.entry({ kind: 'sowing', plantingId: id, on: TODAY });
    expect(entry.seedsFrom).toEqual([{ lotId, seeds }]);
    const {
      taskId: _t,
      share: _s,
      minutes: _m,
      people: _p,
      personId: _i,
      by: _b,
      grams: _g,
      ...rest
    } = entry;
    const { id: entryId, version, loggedAt: _l, ...body } = rest;
    const corrected = (ifMatch: number, seedsFrom: object[]) =>
      garden.ask('saveEntry', { params: { id: entryId }, ifMatch, body: { ...body, seedsFrom } as never });
    await corrected(version, [{ lotId, seeds: 33 }]);
    expect((await left(lotId)).amount).toBe(5000 - 33);
    expect((await corrected(version + 1, [{ lotId: newId(), seeds: 3 }])).problem.errors).toEqual([
      expect.objectContaining({ field: 'seedsFrom', code: 'unknownLot' }),
    ]);
    await garden.ok('removeEntry', { params: { id: entryId }, ifMatch: version + 1 });
    expect((await left(lotId)).amount).toBe(5000);
  });
});

it('is spaced as the planting is, on card, plan and order', async () => {
  const usual = await planting(await sown());
  const { id } = await garden.planting(bedId, {
    ...{ cropId: 'pea', varietyId, method: 'sowInPlace', length: 2 },
    ...{ inRow: 0.1524, betweenRows: 0.6096, seedsPerHole: 2 },
  });
  const own = await planting(id);
  expect(own).toMatchObject({ inRow: 0.1524, betweenRows: 0.6096, seedsPerHole: 2 });
  // Six inches apart in the row and two feet between rows: 2 m have 13 plants a row.
  expect(own.plants % 13).toBe(0);
  expect(own.plants).toBeLessThan(usual.plants);
  expect(own.seeds).toBe(2 * own.holes);
  expect((await sowing(id)).seeds).toBe(own.seeds);
  const tooClose = await garden.ask('savePlanting', {
    ...{ params: { id }, ifMatch: own.version },
    body: { ...peas(bedId), varietyId, length: 2, inRow: 0.001 },
  });
  expect(tooClose.problem.errors).toEqual([expect.objectContaining({ field: 'inRow' })]);
});

describe('a packet', () => {
  it('that is counted anew holds what was counted, and a note alone counts nothing', async () => {
    const lotId = await addLot({ year: 2026, amount: 5000 });
    const id = await sown();
    const task = await sowing(id);
    harness.clock.time += 60_000;
    await mark(task.id, { doneOn: TODAY });
    const { id: _, version, ...row } = await left(lotId);
    harness.clock.time += 60_000;
    const noted = await garden.ok('saveSeedLot', {
      ...{ params: { id: lotId }, ifMatch: version, body: { ...row, note: 'Top shelf' } },
    });
    expect(noted.amount).toBe(5000 - task.seeds);
    await mark(task.id, { doneOn: null });
    expect((await left(lotId)).amount).toBe(5000);
    harness.clock.time += 60_000;
    await mark(task.id, { doneOn: TODAY });
    harness.clock.time += 60_000;
    const body = { ...row, amount: 700 };
    await garden.ok('saveSeedLot', { params: { id: lotId }, ifMatch: version + 1, body });
    expect((await left(lotId)).amount).toBe(700);
    await mark(task.id, { doneOn: null });
    expect((await left(lotId)).amount).toBe(700);
  });

  it('that is weighed loses weight', async () => {
    const lotId = await addLot({ year: 2026, amount: 2000, unit: 'g' });
    const id = await sown();
    const task = await sowing(id);
    await mark(task.id, { doneOn: TODAY });
    expect((await left(lotId)).amount).toBeCloseTo(2000 - task.seeds / pea.seedsPerGram!, 1);
  });
});
