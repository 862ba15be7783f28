import { type RouteName, routes } from '@unity-acre/contract';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, peas, type TestGarden } from '../testing/harness.ts';

/* Whatever is sent, the answer is a refusal that can be read, and the garden is as it was. */

let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open({ tries: { perPair: 100_000 } });
  garden = await harness.setUp();
  bedId = (await garden.bed()).id;
});
afterAll(() => harness.close());

/** Routes that end the session or the garden would leave nothing to send to. */
const sparing: RouteName[] = ['signOut', 'setUp'];
const writing = (Object.keys(routes) as RouteName[]).filter(
  (name) => ['PUT', 'POST'].includes(routes[name].method) && !sparing.includes(name),
);

describe.each(writing)('%s', (name) => {
  it('refuses what is no JSON, and any JSON that is not what it takes', async () => {
    const isFile = routes[name].bodyType !== 'application/json';
    const bodies = fc.oneof(
      fc.constantFrom('{', 'null', '[]', '"x"', '12', '{"__proto__":{"role":"coordinator"}}', ''),
      fc.jsonValue().map((value) => JSON.stringify(value)),
    );
    await fc.assert(
      fc.asyncProperty(bodies, async (raw) => {
        const { status, body } = await harness.ask(name, {
          cookie: garden.cookie,
          params: { gardenId: garden.id },
          raw,
          ifMatch: 1,
        });
        expect(status, raw).toBeLessThan(500);
        if (status >= 400 && !isFile)
          expect((body as { code?: string }).code, raw).toEqual(expect.any(String));
      }),
      { numRuns: 12 },
    );
  });
});

it('refuses each field of a planting that is of another kind, and names it', async () => {
  const good = peas(bedId);
  const bad: unknown[] = [{}, [], true, 'x'.repeat(5000), -1e308];
  for (const field of Object.keys(good)) {
    // A flag may be true, and a planting may be done as the garden does everything.
    const isGood = (value: unknown) =>
      (field === 'pinned' && value === true) || (field === 'practices' && JSON.stringify(value) === '{}');
    for (const value of bad.filter((one) => !isGood(one))) {
      const { status, problem } = await garden.ask('savePlanting', {
        params: { id: newId() },
        body: { ...good, [field]: value },
      });
      expect(status, `${field} ${JSON.stringify(value).slice(0, 20)}`).toBe(422);
      expect(problem.errors!.map((error) => error.field.split('.')[0])).toContain(field);
    }
  }
  expect(await garden.ok('plantings', { query: { year: 2026 } })).toEqual([]);
});

it('answers what is asked with no such year, day or word, in the same way', async () => {
  for (const year of ['', 'next', '-1', '1e9', '2026.5', '99999999999999999999']) {
    for (const name of ['plantings', 'wishes'] as const) {
      const { status } = await garden.ask(name, { query: { year: year as unknown as number } });
      expect(status, `${name} ${year}`).toBe(422);
    }
  }
  for (const from of ['', 'today', '2026-02-30', '2026-5-1', '-001-01-01']) {
    expect((await garden.ask('tasks', { query: { from } })).status, from).toBe(422);
  }
  const backwards = await garden.ask('tasks', { query: { from: '2026-05-20', until: '2026-05-19' } });
  const ages = await garden.ask('tasks', { query: { from: '0001-01-01', until: '9999-12-31' } });
  expect(ages.problem.errors).toMatchObject([{ field: 'until', code: 'tooManyDays' }]);
  expect(backwards.problem.errors).toMatchObject([{ field: 'until', code: 'endsBeforeStart' }]);
});
