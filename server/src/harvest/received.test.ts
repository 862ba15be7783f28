import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const picked = (on: string, cropId: string, value: number, destination: 'pantry' | 'household' | 'school') =>
  garden.entry({ kind: 'harvest', cropId, on, amount: { value, unit: 'lb' }, destination });

it('tells a receiver what went out of the garden by day and crop, the latest first, and whom to write to', async () => {
  const { id } = await garden.bed();
  await garden.planting(id);
  await picked('2026-05-10', 'lettuce', 2, 'pantry');
  await picked('2026-05-10', 'lettuce', 1, 'pantry');
  await picked('2026-05-17', 'spinach', 1, 'school');
  await picked('2026-05-17', 'spinach', 9, 'household');
  await picked('2025-09-01', 'tomato', 5, 'pantry');
  const { cookie } = await garden.member('receiver', 'Pantry');
  const { given, contacts } = await garden.ok('received', { cookie, query: { year: 2026 } });
  expect(given.map(({ on, cropId, destination }) => [on, cropId, destination])).toEqual([
    ['2026-05-17', 'spinach', 'school'],
    ['2026-05-10', 'lettuce', 'pantry'],
  ]);
  expect(given[1]!.grams).toBeCloseTo(3 * 453.59237, 1);
  expect(contacts).toHaveLength(1);
  expect(contacts[0]!.email).toContain('@');
  const volunteer = await garden.member('volunteer', 'Vic');
  const asked = { cookie: volunteer.cookie, query: { year: 2026 } };
  expect((await garden.ask('received', asked)).status).toBe(403);
});
