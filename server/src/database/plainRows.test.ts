import type { EntitySchema } from 'typeorm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness } from '../testing/harness.ts';
import { fillGarden } from '../testing/largeGarden.ts';
import { rowsWhere, rowWhere } from './plainRows.ts';
import { tables } from './tables.ts';

let harness: Harness;
let gardenId: string;
beforeAll(async () => {
  harness = await Harness.open();
  const garden = await harness.setUp();
  gardenId = garden.id;
  await garden.member('volunteer', 'Vera');
  await fillGarden(harness.running.store, gardenId, {
    ...{ beds: 3, people: 4, plantings: 3, entries: 20, sessions: 2 },
  });
});
afterAll(() => harness.close());

it('gives the rows of every table as the library does: lists, truths and nothings alike', async () => {
  const { manager } = harness.running.store;
  let compared = 0;
  for (const entity of Object.values(tables) as EntitySchema<Record<string, string>>[]) {
    const [key] = Object.entries(entity.options.columns).flatMap(([name, column]) =>
      column?.primary ? [name] : [],
    );
    for (const row of await manager.find(entity, { take: 5 })) {
      const where = { [key!]: row[key!]! };
      expect(await rowsWhere(manager, entity, where), entity.options.name).toEqual(
        await manager.findBy(entity, where as never),
      );
      compared += 1;
    }
  }
  expect(compared).toBeGreaterThan(20);
});

it('gives what fits all of several columns, and null where nothing does', async () => {
  const { manager } = harness.running.store;
  const row = await rowWhere(manager, tables.people, { gardenId, name: 'Vera' });
  expect(row).toMatchObject({ name: 'Vera', role: 'volunteer', beginner: false, skills: [] });
  expect(await rowWhere(manager, tables.people, { gardenId: 'another', name: 'Vera' })).toBeNull();
});
