import { afterAll, beforeAll, expect, it } from 'vitest';
import { Faults, faultyDriver } from '../testing/faultyDriver.ts';
import { Harness, newId, peas, saturday, type TestGarden } from '../testing/harness.ts';

/* Large writes take few statements, however many rows they are of. */

const driver = new Faults();
let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open({ driver: faultyDriver(driver) });
  garden = await harness.setUp();
});
afterAll(() => harness.close());

async function statementsOf(work: () => Promise<unknown>): Promise<number> {
  const before = driver.statements;
  await work();
  return driver.statements - before;
}

it('fifty-two sessions at once', async () => {
  const sessions = Array.from({ length: 52 }, () => ({ ...saturday, id: newId() }));
  expect(await statementsOf(() => garden.ok('callSessions', { body: { sessions } }))).toBeLessThanOrEqual(60);
  expect(await garden.ok('sessions')).toHaveLength(52);
});

it('a hundred plantings at once', async () => {
  const bed = await garden.bed();
  const plantings = Array.from({ length: 100 }, () => ({ ...peas(bed.id), id: newId() }));
  const count = await statementsOf(() => garden.ok('savePlantings', { body: { plantings } }));
  expect(count).toBeLessThanOrEqual(40);
  expect(await garden.ok('plantings', { query: { year: 2026 } })).toHaveLength(100);
});
