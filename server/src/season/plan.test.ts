import type { Proposal } from '@unity-acre/contract/season';
import { findingKey } from '@unity-acre/core/season';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, peas, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let bedIds: string[];
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedIds = [];
  for (const n of [1, 2, 3]) bedIds.push((await garden.bed({ name: `Bed ${n}`, x: n * 3 })).id);
});
afterAll(() => harness.close());

const wish = (over: object = {}) => ({
  year: 2027,
  cropId: 'tomato',
  varietyId: 'slicing',
  by: 'plants',
  amount: 12,
  from: null,
  until: null,
  tenure: null,
  weight: 3,
  note: '',
  ...over,
});
const addWish = (over: object = {}) => garden.ask('saveWish', { params: { id: newId() }, body: wish(over) });
async function ended(id: string): Promise<Proposal> {
  for (;;) {
    const now = await garden.ok('proposal', { params: { id } });
    if (now.state !== 'working') return now;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

describe('wishes', () => {
  it.each([
    [{ cropId: 'saffron' }, 'cropId', 'unknownCrop'],
    [{ amount: 0 }, 'amount', 'above'],
    [{ weight: 9 }, 'weight', 'atMost'],
    [{ by: 'weekly', cropId: 'winter-killed-mix', varietyId: 'oats-peas' }, 'by', 'noYieldKnown'],
    [{ from: '2027-08-01', until: '2027-07-01' }, 'until', 'endsBeforeStart'],
  ] as const)('are refused as %o at %s', async (over, field, code) => {
    const { problem } = await addWish(over);
    expect(problem.errors).toContainEqual(expect.objectContaining({ field, code }));
  });

  it('are kept by season', async () => {
    await addWish({ year: 2030 });
    expect(await garden.ok('wishes', { query: { year: 2030 } })).toMatchObject([{ cropId: 'tomato' }]);
    expect(await garden.ok('wishes', { query: { year: 2031 } })).toEqual([]);
  });
});

describe('a proposal', () => {
  it('is refused without wishes', async () => {
    const { problem } = await garden.ask('propose', {
      body: { year: 2040, afresh: false, gap: 0, seconds: 5 },
    });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'year', code: 'noWishes' })]);
  });

  it('is looked for on a thread of its own, applied as one change, and taken back as one', async () => {
    await addWish();
    await addWish({ cropId: 'onion', varietyId: 'yellow', by: 'area', amount: 3 });
    await addWish({ cropId: 'pea', varietyId: 'snap', by: 'weekly', amount: 1e10 / 10, weight: 1 });
    const begun = await garden.ok('propose', { body: { year: 2027, afresh: false, gap: 0.01, seconds: 20 } });
    expect(begun.state).toBe('working');
    const done = await ended(begun.id);
    expect(done).toMatchObject({ state: 'done', proved: true });
    expect(done.placement!.met).toBe(6);
    expect(done.placement!.unmet).toEqual([expect.objectContaining({ why: 'moreThanGarden' })]);
    const plantings = done.placement!.plantings.map(
      ({ wishId: _, plants: __, from: ___, until: ____, firstPick: _____, ...planting }) => planting,
    );
    const { change, body } = await garden.ask('savePlantings', { body: { plantings } });
    expect(body.length).toBe(plantings.length);
    const tomatoes = body.filter(({ cropId }) => cropId === 'tomato');
    expect(tomatoes.reduce((sum, { plants }) => sum + plants, 0)).toBeGreaterThanOrEqual(12);
    expect(await garden.ok('consistency', { query: { year: 2027 } })).not.toContainEqual(
      expect.objectContaining({ code: 'overfull' }),
    );
    await garden.ok('undo', { params: { id: change! } });
    expect(await garden.ok('plantings', { query: { year: 2027 } })).toEqual([]);
  }, 40_000);

  it('is stopped at once, and what was found by then stays', async () => {
    for (let n = 0; n < 25; n++) await addWish({ year: 2028, amount: 20 + n, weight: 1 + (n % 5) });
    const { id } = await garden.ok('propose', { body: { year: 2028, afresh: false, gap: 0, seconds: 60 } });
    let now = await garden.ok('proposal', { params: { id } });
    while (now.state === 'working' && !now.placement) now = await garden.ok('proposal', { params: { id } });
    const before = Date.now();
    const stopped = await garden.ok('stopProposal', { params: { id } });
    expect(Date.now() - before).toBeLessThan(1000);
    expect(['stopped', 'done']).toContain(stopped.state);
    expect(stopped.placement).not.toBeNull();
  }, 40_000);

  it('leaves alone what is pinned, and lets the rest give way where that is asked for', async () => {
    const pinned = await garden.planting(bedIds[0]!, { year: 2029, pinned: true });
    const loose = await garden.planting(bedIds[1]!, { year: 2029 });
    await addWish({ year: 2029 });
    const { id } = await garden.ok('propose', { body: { year: 2029, afresh: true, gap: 0.05, seconds: 20 } });
    const { placement } = await ended(id);
    expect(placement!.gone.map((one) => one.id)).toEqual([loose.id]);
    const plantings = placement!.plantings.map(
      ({ wishId: _, plants: __, from: ___, until: ____, firstPick: _____, ...planting }) => planting,
    );
    await garden.ok('savePlantings', { body: { plantings, remove: placement!.gone } });
    const left = await garden.ok('plantings', { query: { year: 2029 } });
    expect(left.map((row) => row.id)).toContain(pinned.id);
    expect(left.map((row) => row.id)).not.toContain(loose.id);
  }, 40_000);

  it('is nobody else’s', async () => {
    const { problem } = await garden.ask('proposal', { params: { id: newId() } });
    expect(problem.code).toBe('notFound');
  });
});

describe('what does not go together', () => {
  it('is said with a remedy that ends it', async () => {
    await garden.planting(bedIds[2]!, {
      year: 2032,
      cropId: 'pepper',
      varietyId: 'bell',
      method: 'setPlants',
    });
    const tomato = await garden.planting(bedIds[2]!, {
      year: 2033,
      cropId: 'tomato',
      varietyId: 'slicing',
      method: 'setPlants',
    });
    const found = await garden.ok('consistency', { query: { year: 2033 } });
    const rotation = found.find(({ code }) => code === 'rotation')!;
    expect(rotation).toMatchObject({ bedId: bedIds[2], plantingIds: [tomato.id], last: 2032, again: 2036 });
    const remedies = await garden.ok('remedies', { query: { year: 2033, key: findingKey(rotation) } });
    const move = remedies.find(({ kind }) => kind === 'moveBed') as { bedId: string };
    const { id, version, cropId, varietyId, method } = tomato;
    await garden.ok('savePlanting', {
      params: { id },
      ifMatch: version,
      body: { ...peas(move.bedId), year: 2033, cropId, varietyId, method },
    });
    const after = await garden.ok('consistency', { query: { year: 2033 } });
    expect(after.map(({ code }) => code)).not.toContain('rotation');
  });

  it('lets lettuce between carrots take no ground, but not between what grows elsewhere', async () => {
    const carrot = await garden.planting(bedIds[0]!, {
      year: 2034,
      cropId: 'carrot',
      varietyId: 'early',
      length: 7,
    });
    const lettuce = { ...peas(bedIds[0]!), year: 2034, cropId: 'lettuce', varietyId: 'leaf', length: 7 };
    const { id, version } = await garden.planting(bedIds[0]!, lettuce);
    const codes = async () =>
      (await garden.ok('consistency', { query: { year: 2034 } })).map(({ code }) => code);
    expect(await codes()).toContain('overfull');
    await garden.ok('savePlanting', {
      params: { id },
      ifMatch: version,
      body: { ...lettuce, betweenId: carrot.id },
    });
    expect(await codes()).not.toContain('overfull');
    const elsewhere = { ...lettuce, bedId: bedIds[1]!, betweenId: carrot.id };
    const { problem } = await garden.ask('savePlanting', { params: { id: newId() }, body: elsewhere });
    expect(problem.errors).toEqual([expect.objectContaining({ field: 'betweenId', code: 'unknownBetween' })]);
  });
});

it('rolls a season over: every bed one place on, and back after as many years as there are beds', async () => {
  const own = { protection: 'tunnel', inRow: 0.1, practices: { slugs: 'bait' } } as const;
  await garden.planting(bedIds[0]!, { year: 2035, ...own });
  await garden.planting(bedIds[1]!, { year: 2035, cropId: 'carrot', varietyId: 'early' });
  const shifted = await garden.ok('rollOver', { query: { year: 2035, by: 'shift' } });
  expect(shifted.map(({ planting }) => [planting.cropId, planting.bedId, planting.year])).toEqual([
    ['pea', bedIds[1], 2036],
    ['carrot', bedIds[2], 2036],
  ]);
  expect(shifted[0]!.planting).toMatchObject(own);
  expect(shifted[1]!.planting).toMatchObject({ protection: 'none', inRow: null, practices: {} });
  const byFamily = await garden.ok('rollOver', { query: { year: 2035, by: 'family' } });
  expect(byFamily.every(({ tooSoon }) => tooSoon === null)).toBe(true);
});

it('keeps a seed box', async () => {
  const lot = {
    cropId: 'carrot',
    varietyId: 'early',
    source: 'Seed swap',
    year: 2025,
    amount: 2,
    unit: 'g',
    germination: 0.8,
    testedOn: '2026-02-01',
    saved: false,
    note: '',
  };
  await garden.ok('saveSeedLot', { params: { id: newId() }, body: lot });
  expect(await garden.ok('seedLots')).toMatchObject([{ cropId: 'carrot', germination: 0.8, version: 1 }]);
  const { problem } = await garden.ask('saveSeedLot', {
    params: { id: newId() },
    body: { ...lot, germination: 80 },
  });
  expect(problem.errors).toEqual([expect.objectContaining({ field: 'germination', code: 'atMost' })]);
});
