import { addDays } from '@unity-acre/core/calendar';
import type { TaskKind } from '@unity-acre/core/work';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../../testing/harness.ts';

const TODAY = '2026-05-20';
let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed({ soilDepth: 0.4 })).id;
});
afterAll(() => harness.close());

const tasksOf = async (plantingId: string, kind: TaskKind) =>
  (await garden.ok('tasks', { query: { from: '2026-01-01' } })).filter(
    (task) => task.plantingId === plantingId && task.kind === kind,
  );
const planted = async (cropId: string, varietyId: string, length = 2) => {
  const { id } = await garden.planting(bedId, { cropId, varietyId, method: 'sowInPlace', length });
  return id;
};

it('lists picking again from the last time that is in the log, weighed or not', async () => {
  const id = await planted('lettuce', 'leaf', 1);
  const sown = { kind: 'sowing', plantingId: id, on: '2026-04-01', note: '' } as const;
  await garden.entry(sown);
  expect(await tasksOf(id, 'pick')).toHaveLength(1);
  await garden.entry({ kind: 'picking', plantingId: id, on: '2026-05-16', note: '' });
  const [first, second] = await tasksOf(id, 'pick');
  expect(first).toMatchObject({ nth: 1, state: 'done' });
  expect(second).toMatchObject({ nth: 2, id: `${id}.pick.n2` });
  // Leaves come round every one to two weeks.
  expect(second!.on >= '2026-05-23' && second!.on <= '2026-05-30').toBe(true);
  // Done is logged, and the next is counted from it.
  await garden.ok('markTask', { params: { id: second!.id }, body: { doneOn: TODAY } });
  const after = await tasksOf(id, 'pick');
  expect(after[1]).toMatchObject({ id: second!.id, state: 'done', on: TODAY });
  expect(after[2]!.on > TODAY).toBe(true);
  // Taken back, it is due as it was.
  await garden.ok('markTask', { params: { id: second!.id }, body: { doneOn: null } });
  expect((await tasksOf(id, 'pick'))[1]).toMatchObject({ id: second!.id, on: second!.on });
});

it('marks the small things of a day together, as one change, and logs each', async () => {
  const ids = [await planted('carrot', 'early', 1), await planted('pea', 'snap', 1)];
  for (const plantingId of ids)
    await garden.entry({ kind: 'sowing', plantingId, on: '2026-05-18', note: '' });
  const dueToday = async () => {
    const all = (await Promise.all(ids.map((id) => tasksOf(id, 'keepMoist')))).flat();
    return all.filter(({ on }) => on === TODAY);
  };
  const due = await dueToday();
  expect(due.map(({ plantingId, state }) => [plantingId, state])).toEqual(ids.map((id) => [id, 'open']));
  const { change } = await garden.ask('markTasks', {
    body: { taskIds: due.map(({ id }) => id), doneOn: TODAY },
  });
  expect((await dueToday()).map(({ state }) => state)).toEqual(['done', 'done']);
  const logged = async () =>
    (await garden.ok('entries', { query: { limit: 100 } })).entries.filter(({ kind }) => kind === 'watering');
  expect((await logged()).map(({ plantingId, bedId: where }) => [plantingId, where]).sort()).toEqual(
    ids.map((id) => [id, bedId]).sort(),
  );
  await garden.ok('undo', { params: { id: change! } });
  expect(await logged()).toEqual([]);
  expect((await dueToday()).map(({ state }) => state)).toEqual(['open', 'open']);
});

it('keeps a time that stands in a session, however far ahead it is', async () => {
  const id = await planted('lettuce', 'leaf', 1);
  await garden.entry({ kind: 'sowing', plantingId: id, on: '2026-04-01', note: '' });
  await garden.entry({ kind: 'picking', plantingId: id, on: '2026-05-19', note: '' });
  const [, next] = await tasksOf(id, 'pick');
  const session = await garden.session({ on: addDays(next!.on, 1), taskIds: [next!.id] });
  expect((await tasksOf(id, 'pick'))[1]).toMatchObject({ id: next!.id, sessionId: session.id });
});
