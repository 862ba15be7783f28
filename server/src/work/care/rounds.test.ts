import { afterAll, beforeAll, describe, expect, it } from 'vitest';
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

const weeding = (over: object = {}) => ({
  kind: 'weed',
  bedIds: [bedId],
  first: '2026-05-04',
  every: 7,
  until: null,
  span: 5,
  minutes: null,
  note: '',
  ...over,
});
async function round(over: object = {}) {
  const id = newId();
  await garden.ok('saveRound', { params: { id }, body: weeding(over) as never });
  return id;
}
const tasksOf = async (roundId: string) =>
  (await garden.ok('tasks', { query: { from: '2026-01-01' } })).filter((task) => task.roundId === roundId);

describe('rounds of care', () => {
  it('become tasks, of which a missed occurrence is past when the next has begun', async () => {
    const id = await round();
    // Today is Wednesday 20 May: that of the 18th is open, those before it are past.
    const [first, second] = await tasksOf(id);
    expect(first).toMatchObject({ on: '2026-05-18', state: 'open', bedIds: [bedId], kind: 'weed' });
    expect(second).toMatchObject({ on: '2026-05-25', state: 'waiting' });
    expect(first!.window.latest).toBe('2026-05-22');
  });

  it('are ticked off, taken up by sessions and kept there when the round changes', async () => {
    const id = await round({ note: 'Bindweed' });
    const [task] = await tasksOf(id);
    const session = await garden.session({ taskIds: [task!.id] });
    expect((await tasksOf(id))[0]).toMatchObject({ sessionId: session.id, note: 'Bindweed' });
    await garden.ok('markTask', { params: { id: task!.id }, body: { doneOn: '2026-05-20' } });
    expect((await tasksOf(id)).find((one) => one.id === task!.id)).toMatchObject({ state: 'done' });
    await garden.ok('saveRound', { params: { id }, ifMatch: 1, body: weeding({ minutes: 90 }) as never });
    expect((await tasksOf(id)).find((one) => one.id === task!.id)).toMatchObject({
      minutes: 90,
      state: 'done',
    });
  });

  it('go with all their marks and occurrences, and come back with Undo', async () => {
    const id = await round();
    const [task] = await tasksOf(id);
    const session = await garden.session({ taskIds: [task!.id] });
    await garden.ok('markTask', { params: { id: task!.id }, body: { doneOn: '2026-05-20' } });
    const { change } = await garden.ask('removeRound', { params: { id }, ifMatch: 1 });
    expect(await tasksOf(id)).toEqual([]);
    const held = async () => (await garden.ok('sessions')).find((one) => one.id === session.id)!.taskIds;
    expect(await held()).toEqual([]);
    await garden.ok('undo', { params: { id: change! } });
    expect(await held()).toEqual([task!.id]);
    expect((await tasksOf(id))[0]!.state).toBe('done');
  });

  it('are refused with a bed that is not here, and an end before the beginning', async () => {
    const refused = async (over: object) =>
      (
        await garden.ask('saveRound', { params: { id: newId() }, body: weeding(over) as never })
      ).problem.errors!.map(({ field, code }) => `${field} ${code}`);
    expect(await refused({ bedIds: [newId()] })).toEqual(['bedIds unknownBed']);
    expect(await refused({ until: '2026-05-01' })).toEqual(['until endsBeforeStart']);
    expect(await refused({ every: 0, span: 0 })).toEqual(['every atLeast', 'span atLeast']);
    expect(await refused({ kind: 'other' })).toEqual(['title required']);
    expect(await refused({ fewest: 4, most: 2 })).toEqual(['most fewerThanFewest']);
    expect(await refused({ every: 7, monthly: true })).toEqual(['every oneRepeat']);
    expect(await refused({ kind: 'dig' })).toEqual([expect.stringContaining('kind')]);
  });

  it('may be anything in the garden’s own words, with whom and what it takes, and are logged so', async () => {
    const own = { fewest: 2, most: 4, skill: 'irrigation', tools: ['oil can'] };
    const id = await round({ ...own, kind: 'other', title: 'Oil the pump', bedIds: [], every: null });
    const [task] = await tasksOf(id);
    expect(task).toMatchObject({ kind: 'other', title: 'Oil the pump', own, minutes: 30 });
    await garden.ok('markTask', { params: { id: task!.id }, body: { doneOn: '2026-05-20' } });
    const { entries } = await garden.ok('entries', { query: { limit: 50 } });
    expect(entries.find(({ taskId }) => taskId === task!.id)).toMatchObject({
      ...{ kind: 'otherWork', note: 'Oil the pump', bedId: null },
    });
  });

  it('come every month on the same weekday, and stay so when they are read again', async () => {
    const id = await round({ first: '2026-05-23', every: null, monthly: true, span: 8 });
    const days = (await tasksOf(id)).map(({ on }) => on);
    // The fourth Saturdays.
    expect(days.slice(0, 3)).toEqual(['2026-05-23', '2026-06-27', '2026-07-25']);
    expect((await garden.ok('rounds')).find((one) => one.id === id)).toMatchObject({
      monthly: true,
      every: null,
    });
  });

  it('are put into sessions by a rota, a bed being made ready before it is sown', async () => {
    const rows = await garden.ok('tasks', { query: { from: '2026-01-01' } });
    for (const { id, roundId } of rows)
      if (roundId) await garden.ask('markTask', { params: { id }, body: { doneOn: '2026-05-20' } });
    const ready = (await garden.bed({ name: 'To be made ready' })).id;
    await garden.planting(ready, { cropId: 'carrot', varietyId: 'early', startOn: '2026-05-22', length: 2 });
    const compost = await round({
      kind: 'compost',
      bedIds: [ready],
      first: '2026-05-20',
      every: null,
      span: 20,
      minutes: 90,
    });
    for (const name of ['Ada', 'Bo', 'Cy', 'Di']) {
      await garden.person(name, {
        availability: { weekly: [{ weekday: 6, from: '08:00', to: '13:00' }], exceptions: [] },
        skills: ['fork', 'seedlings', 'setting out'],
      });
    }
    for (const on of ['2026-05-23', '2026-05-30']) await garden.session({ on });
    const begun = await garden.ok('makeRota', {
      body: { from: '2026-05-20', until: '2026-05-31', seconds: 10 },
    });
    let rota = begun;
    while (rota.state === 'working') {
      await new Promise((resolve) => setTimeout(resolve, 100));
      rota = await garden.ok('rota', { params: { id: begun.id } });
    }
    expect(rota.tasksLeft.filter(({ taskId }) => taskId.startsWith(compost))).toEqual([]);
    const order = rota.sessions.flatMap(({ taskIds }) => taskIds);
    const placed = order.findIndex((id) => id.startsWith(`${compost}.`));
    expect(placed).toBeGreaterThanOrEqual(0);
    const tasks = await garden.ok('tasks', { query: { from: '2026-01-01' } });
    const sow = tasks.find(({ bedIds, kind }) => bedIds[0] === ready && kind === 'sow')!;
    const sown = order.indexOf(sow.id);
    expect(sown).toBeGreaterThan(placed);
  });
});
