import { plainCatalogue } from '@unity-acre/core/crops';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let bedId: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  bedId = (await garden.bed()).id;
});
afterAll(() => harness.close());

const person = (name: string, over: object = {}) =>
  garden.person(name, { email: `${name}@example.org`, ...over });
const when = { on: '2026-05-20', from: '15:00', to: '16:30' };
const wednesdays = { weekly: [{ weekday: 3, from: '14:00', to: '18:00' }], exceptions: [] };

it('names what is tender and out with its cloth, and who is near and free, and writes to them in one go', async () => {
  const watch = () => garden.ok('frostWatch', { query: when });
  // Peas do not mind; nothing tender is out yet.
  await garden.planting(bedId);
  expect((await watch()).covers).toEqual([]);
  const planting = await garden.planting(bedId, {
    cropId: 'tomato',
    varietyId: plainCatalogue.crop('tomato')!.varieties[0]!.id,
    method: 'startIndoors',
  });
  await garden.entry({ kind: 'settingOut', plantingId: planting.id, on: '2026-05-19' } as never);
  const [near, far, away] = [
    await person('near', { minutesAway: 5, availability: wednesdays }),
    await person('far', { minutesAway: 50, availability: wednesdays }),
    await person('away', { minutesAway: 2, availability: { weekly: [], exceptions: [] } }),
  ];
  const frost = await watch();
  expect(frost.covers).toEqual([expect.objectContaining({ bedId, cropIds: ['tomato'] })]);
  expect(frost.nights).toHaveLength(7);
  const of = (id: string) => frost.people.find(({ personId }) => personId === id)!;
  expect([of(near).free, of(far).free, of(away).free]).toEqual(['free', 'free', 'away']);
  expect(frost.people.map(({ personId }) => personId).slice(0, 3)).toEqual([away, near, far]);

  const sessionId = newId();
  const body = {
    ...when,
    sessionId,
    title: 'Cover',
    meetAt: 'The shed',
    list: 'Bed 7: tomatoes, 28 ft × 10 ft',
    personIds: [near, far],
  };
  const called = await garden.ask('frostCall', { body });
  expect(called.body).toMatchObject({ title: 'Cover', on: when.on, leadId: garden.coordinatorId });
  // Sent twice over a poor connection, it is one call.
  await garden.ok('frostCall', { body });
  const letters = (await garden.ok('messages')).filter(({ kind }) => kind === 'frostCall');
  expect(letters.map(({ personId }) => personId).sort()).toEqual([near, far].sort());
  expect(letters[0]!.body).toContain('Bed 7: tomatoes, 28 ft × 10 ft');
  await garden.ok('undo', { params: { id: called.change! } });
  expect((await garden.ok('sessions')).some(({ id }) => id === sessionId)).toBe(false);
  expect(await garden.ok('messages')).toEqual([]);
});

it('refuses a day that is past, and people who are not here', async () => {
  const body = { ...when, sessionId: newId(), title: 'Cover', meetAt: '', list: '', personIds: [newId()] };
  const refused = async (over: object) =>
    (await garden.ask('frostCall', { body: { ...body, ...over } })).problem.errors!.map(
      ({ field, code }) => `${field} ${code}`,
    );
  expect(await refused({})).toEqual(['personIds unknownPerson']);
  expect(await refused({ on: '2026-05-19' })).toEqual(['on inThePast']);
  expect(await refused({ personIds: [] })).toEqual([expect.stringContaining('personIds')]);
});

it('goes by how cold each bed is, covers hardy crops in a night they do not stand, and each run of plants by itself', async () => {
  const there = await Harness.open();
  there.clock.time = Date.UTC(2026, 2, 20, 17);
  const own = await there.setUp();
  const length = 9;
  const [mild, hollow] = [
    (await own.bed({ name: 'Mild', x: 0, length, offsetC: 6 })).id,
    (await own.bed({ name: 'Hollow', x: 5, length, offsetC: -6 })).id,
  ];
  const lettuce = { cropId: 'lettuce', varietyId: 'leaf', method: 'sowInPlace', length: 2 } as const;
  const standing = async (bedId: string, at: { x: number; y: number }) => {
    const { id } = await own.planting(bedId, { ...lettuce, at });
    await own.entry({ kind: 'sowing', plantingId: id, on: '2026-03-05' } as never);
    await own.entry({ kind: 'emergence', plantingId: id, on: '2026-03-20' } as never);
  };
  await standing(mild, { x: 0, y: 0 });
  await standing(hollow, { x: 0, y: 0 });
  await standing(hollow, { x: 0, y: 6 });
  // Each garden's station foretells other weather: wait for a frost that is light, and hard only in the hollow.
  const watch = () => own.ok('frostWatch', { query: { ...when, on: '2026-05-31' } });
  const lowest = ({ nights }: Awaited<ReturnType<typeof watch>>) =>
    Math.min(...nights.map(({ low, give }) => low - give));
  let seen = await watch();
  while (lowest(seen) < -10 || lowest(seen) > 1) {
    there.clock.time += 24 * 3600 * 1000;
    seen = await watch();
  }
  const { covers } = seen;
  // Lettuce stands a light frost: only in the hollow is it too cold for it.
  expect(covers.map(({ bedId, from }) => [bedId, from])).toEqual([
    [hollow, 0],
    [hollow, 6],
  ]);
  expect(covers[0]!.lowC).toBeCloseTo(lowest(seen) - 6, 6);
  await there.close();
});

it('lays covers where the drawing of the bed has the plants: what stands for years was there first', async () => {
  const ground = (await garden.bed({ name: 'Stalks', x: 20, length: 9 })).id;
  const rhubarb = { cropId: 'rhubarb', varietyId: 'red', method: 'setPlants', year: 2024 } as const;
  await garden.planting(ground, { ...rhubarb, length: 3 });
  const { id } = await garden.planting(ground, {
    ...{ cropId: 'basil', varietyId: plainCatalogue.crop('basil')!.varieties[0]!.id, length: 2 },
    method: 'startIndoors',
  });
  await garden.entry({ kind: 'settingOut', plantingId: id, on: '2026-01-10' } as never);
  const { covers } = await garden.ok('frostWatch', { query: when });
  const here = covers.filter(({ bedId: bed }) => bed === ground);
  expect(here.map(({ cropIds, from }) => [cropIds, from])).toEqual([[['basil'], 3]]);
});

it('lays the garden’s own cloths over what they are large enough for, and lists their coming off in the morning', async () => {
  const elsewhere = await Harness.open();
  const own = await elsewhere.setUp();
  const beds: string[] = [];
  for (const [n, length] of [2, 6].entries()) {
    const { id } = await own.bed({ name: `Bed ${n}`, x: 3 * n, length: 8 });
    const { id: plantingId } = await own.planting(id, {
      ...{ cropId: 'basil', varietyId: plainCatalogue.crop('basil')!.varieties[0]!.id, length },
      method: 'startIndoors',
    });
    await own.entry({ kind: 'settingOut', plantingId, on: '2026-05-19' } as never);
    beds.push(id);
  }
  const watch = () => own.ok('frostWatch', { query: when });
  const sheets = async () => (await watch()).covers.map(({ sheet }) => sheet?.length ?? null);
  expect(await watch()).toMatchObject({ sheets: 0, covers: [{ sheet: null }, { sheet: null }] });
  const count = (width: number, length: number, count: number) =>
    own.ok('saveTool', { params: { id: newId() }, body: { name: 'frostCloth', count, width, length } });
  await count(3.5, 4, 1);
  expect(await sheets()).toEqual([4, null]);
  await count(3.5, 9, 2);
  // Three pieces are counted, and the small one is kept for the short bed.
  expect((await watch()).sheets).toBe(3);
  expect(await sheets()).toEqual([4, 9]);

  const body = {
    ...when,
    sessionId: newId(),
    title: 'Cover',
    meetAt: '',
    list: '',
    bedIds: [...beds, newId()],
  };
  const called = await own.ask('frostCall', { body: { ...body, personIds: [own.coordinatorId] } });
  await own.ok('frostCall', { body: { ...body, personIds: [own.coordinatorId] } });
  const off = async () =>
    (await own.ok('tasks', { query: { from: '2026-05-21', until: '2026-05-21' } })).filter(
      ({ kind }) => kind === 'uncover',
    );
  expect(await off()).toMatchObject([{ on: '2026-05-21', bedIds: beds }]);
  await own.ok('undo', { params: { id: called.change! } });
  expect(await off()).toEqual([]);
  await elsewhere.close();
});
