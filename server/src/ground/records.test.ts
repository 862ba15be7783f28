import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const recordOf = async (bedId: string) =>
  (await garden.ok('bedRecords')).find((record) => record.bedId === bedId)!;
const note = { kind: 'observation', note: 'Looked in' } as const;

it('tells when a bed was last looked at: by an entry, by one of its plantings, or by a plot check', async () => {
  const { id } = await garden.bed({ name: 'Looked at' });
  expect((await recordOf(id)).lookedAt).toBeNull();
  await garden.entry({ ...note, bedId: id, on: '2026-05-03' });
  await garden.entry({ ...note, bedId: id, on: '2026-04-30' });
  expect((await recordOf(id)).lookedAt).toBe('2026-05-03');
  const planting = await garden.planting(id);
  await garden.entry({ ...note, plantingId: planting.id, bedId: null, on: '2026-05-10' });
  expect((await recordOf(id)).lookedAt).toBe('2026-05-10');
  await garden.ok('saveTenure', {
    params: { bedId: id, year: 2026 },
    body: { kind: 'plot', personId: null },
  });
  await garden.ok('saveCareCheck', {
    params: { bedId: id, id: newId() },
    body: { on: '2026-05-19', finding: 'weedy', note: '' },
  });
  expect((await recordOf(id)).lookedAt).toBe('2026-05-19');
});

it('tells the last year of each family that rotation counts, and not of this season', async () => {
  const { id } = await garden.bed({ name: 'Bore' });
  await garden.planting(id, { cropId: 'tomato', varietyId: 'slicing', method: 'startIndoors', year: 2024 });
  await garden.planting(id, { cropId: 'tomato', varietyId: 'slicing', method: 'startIndoors', year: 2023 });
  await garden.planting(id, { cropId: 'lettuce', varietyId: 'leaf', year: 2022 });
  await garden.planting(id, { cropId: 'lettuce', varietyId: 'leaf', year: 2026 });
  expect((await recordOf(id)).bore).toEqual([{ family: 'nightshades', year: 2024 }]);
});

it('is for the crew, not for who receives food', async () => {
  const receiver = await garden.member('receiver', 'Pantry');
  expect((await garden.ask('bedRecords', { cookie: receiver.cookie })).status).toBe(403);
});
