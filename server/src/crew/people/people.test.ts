import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const usual = { email: null, role: 'volunteer', household: '', headcount: 1, waitingSince: null };
const save = (id: string, over: object, ifMatch?: number) =>
  garden.ask('savePerson', { params: { id }, body: { ...usual, ...over }, ...(ifMatch && { ifMatch }) });

it('forgets somebody who is removed among those others like to work with, who can still be saved, and Undo knows it', async () => {
  const [ada, ben] = [await garden.person('Ada'), await garden.person('Ben')];
  expect((await save(ada, { name: 'Ada', together: [ben] }, 1)).status).toBe(200);
  const removed = await garden.ask('removePerson', { params: { id: ben }, ifMatch: 1 });
  const adaNow = async () => (await garden.ok('people')).find(({ id }) => id === ada)!;
  expect(await adaNow()).toMatchObject({ together: [], version: 3 });
  expect((await save(ada, { name: 'Ada A.', together: [] }, 3)).status).toBe(200);
  expect((await save(ada, { name: 'Ada A.', together: [newId()] }, 4)).problem.errors).toMatchObject([
    { field: 'together', code: 'unknownPerson' },
  ]);
  // A form that was open since before the removal names them still.
  await garden.ok('undo', { params: { id: (await save(ada, { name: 'Ada' }, 4)).change! } });
  expect(removed.status).toBe(200);
});

it('gives nobody who is grown a guardian', async () => {
  const ada = await garden.person('Grown A');
  const ben = await garden.person('Grown B');
  const refused = await save(ada, { name: 'Grown A', kind: 'adult', guardianId: ben }, 1);
  expect(refused.problem.errors).toMatchObject([{ field: 'guardianId', code: 'guardianOfMinors' }]);
});

it('adds up the harvest of a season, which south of the equator goes over New Year', async () => {
  const picked = (on: string) =>
    garden.entry({
      kind: 'harvest',
      on,
      cropId: 'pea',
      amount: { value: 100, unit: 'g' },
      destination: 'household',
    });
  await picked('2025-12-20');
  await picked('2026-02-10');
  await picked('2026-05-10');
  const grams = async (year: number) =>
    (await garden.ok('harvestTotals', { query: { year } })).byCrop.reduce((sum, one) => sum + one.grams, 0);
  expect([await grams(2025), await grams(2026)]).toEqual([100, 200]);
  const { version, ...rest } = await garden.ok('garden');
  const { name, timeZone, units, offsetC } = rest;
  const southern = { latitude: -38, longitude: 176, lastFrost: '10-03', firstFrost: '05-10' };
  const body = { name, timeZone, units, offsetC, ...southern };
  await garden.ok('saveGarden', { ifMatch: version, body });
  // The summer of 2025/26 is one season there: December and February are of the same.
  const totals = [await grams(2024), await grams(2025), await grams(2026)];
  expect(totals.reduce((sum, one) => sum + one, 0)).toBe(300);
  expect(totals).toContain(300);
});
