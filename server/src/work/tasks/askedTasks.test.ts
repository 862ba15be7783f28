import type { TaskView } from '@unity-acre/contract/work';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, saturday, type TestGarden } from '../../testing/harness.ts';

/** A garden with three beds of peas, one of garlic for the year after, care every week, and a session in July. */
let harness: Harness;
let garden: TestGarden;
let all: TaskView[];
let inJuly: string[];
let julyId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  const beds: string[] = [];
  for (const n of [1, 2, 3]) beds.push((await garden.bed({ name: `Bed ${n}` })).id);
  const { id: first } = await garden.planting(beds[0]!);
  await garden.planting(beds[0]!, { cropId: 'radish', varietyId: 'round', width: 0.3, length: 0.9 });
  await garden.planting(beds[1]!);
  await garden.planting(beds[2]!, {
    ...{ cropId: 'garlic', varietyId: 'hardneck', method: 'setPlants', cropping: 'overwinter', length: 1 },
  });
  await garden.ok('saveRound', {
    params: { id: newId() },
    body: {
      kind: 'weed',
      bedIds: [beds[1]],
      first: '2026-05-04',
      every: 7,
      until: null,
      span: 3,
      minutes: 20,
      note: '',
    },
  });
  inJuly = [`${first}.sow`, `${first}.clear`];
  julyId = (await garden.session({ on: '2026-07-11', taskIds: inJuly })).id;
  all = await garden.ok('tasks', { query: { from: '2026-01-01' } });
});
afterAll(() => harness.close());

const idsOf = (tasks: readonly TaskView[]) => tasks.map(({ id }) => id);

it.each([
  ['a day', '2026-05-20', '2026-05-20'],
  ['two weeks', '2026-05-18', '2026-05-31'],
  ['weeks before', '2026-04-01', '2026-04-30'],
  ['the week of the session', '2026-07-06', '2026-07-12'],
  ['fall, when garlic goes in', '2026-09-20', '2026-11-10'],
])(
  'gives of %s what touches it, what meets in it and what is late, and nothing else',
  async (_, from, until) => {
    const given = await garden.ok('tasks', { query: { from, until } });
    const meets = from <= '2026-07-11' && '2026-07-11' <= until;
    const wanted = all.filter(({ id, window, state, on, doneOn }) => {
      if (meets && inJuly.includes(id)) return true;
      const [first, last] =
        state === 'done' ? [doneOn ?? on, doneOn ?? on] : [window.earliest, window.latest];
      return first <= until && (last >= from || state === 'late');
    });
    expect(idsOf(given)).toEqual(idsOf(wanted));
    expect(given.length).toBeLessThan(all.length);
  },
);

it('gives what was done on the day it was done', async () => {
  const clear = all.find(
    ({ kind, plantingId }) => kind === 'clear' && !inJuly.includes(`${plantingId}.clear`),
  )!;
  await garden.ok('markTask', { params: { id: clear.id }, body: { doneOn: '2026-05-19' } });
  const onDay = async (day: string) => idsOf(await garden.ok('tasks', { query: { from: day, until: day } }));
  expect(await onDay('2026-05-19')).toContain(clear.id);
  expect(await onDay('2026-05-21')).not.toContain(clear.id);
  expect(await onDay(clear.window.latest)).not.toContain(clear.id);
  await garden.ok('markTask', { params: { id: clear.id }, body: { doneOn: null } });
});

it('gives of sessions of some days what stands in them, as the whole list has it', async () => {
  const taken = await garden.ok('tasks', { query: { from: '2026-06-01', taken: 'only' } });
  expect(taken).toEqual(all.filter(({ id }) => inJuly.includes(id)));
  // However far ahead the session is.
  const { id } = await garden.session({ on: '2029-03-03', taskIds: [all.at(-1)!.id] });
  const ahead = await garden.ok('tasks', { query: { from: '2026-06-01', taken: 'only' } });
  expect(idsOf(ahead)).toContain(all.at(-1)!.id);
  await garden.ok('removeSession', { params: { id }, ifMatch: 1 });
  const before = { from: '2026-06-01', until: '2026-07-10', taken: 'only' };
  expect(await garden.ok('tasks', { query: before })).toEqual([]);
});

describe('cards', () => {
  it('come with the tasks of their session and all plantings of its beds, as the lists have them', async () => {
    const { tasks, plantings } = await garden.ok('sessionCards', { params: { id: julyId } });
    expect(idsOf(tasks).sort()).toEqual([...inJuly].sort());
    expect(tasks).toEqual(all.filter(({ id }) => inJuly.includes(id)));
    const listed = await garden.ok('plantings', { query: { year: 2026, reasons: 'no' } });
    const ofBed = listed.filter(({ bedId }) => bedId === tasks[0]!.bedIds[0]);
    expect(ofBed.map(({ cropId }) => cropId).sort()).toEqual(['pea', 'radish']);
    const shown = (list: typeof listed) =>
      list.map(({ id, plants, steps, width, length }) => ({ id, plants, steps, width, length }));
    expect(shown(plantings)).toEqual(shown(ofBed));
  });

  it('are those of one task where one is asked for, and none of one that is no more', async () => {
    const { tasks, plantings } = await garden.ok('taskCard', { params: { id: inJuly[0]! } });
    expect(idsOf(tasks)).toEqual([inJuly[0]]);
    expect(plantings.map(({ cropId }) => cropId)).toContain('pea');
    expect((await garden.ask('taskCard', { params: { id: `${newId()}.sow` } })).status).toBe(404);
    expect((await garden.ask('sessionCards', { params: { id: newId() } })).status).toBe(404);
  });

  it('of a round have no planting', async () => {
    const round = all.find(({ roundId }) => roundId !== null)!;
    expect(await garden.ok('taskCard', { params: { id: round.id } })).toEqual({
      tasks: [round],
      plantings: [],
    });
  });

  it('of a session without work are none', async () => {
    const { id } = await garden.session({ ...saturday, taskIds: [] });
    expect(await garden.ok('sessionCards', { params: { id } })).toEqual({ tasks: [], plantings: [] });
  });
});
