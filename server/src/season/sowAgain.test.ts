import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

/** A sowing that was logged and has not come up. */
async function sown() {
  const { id: bedId } = await garden.bed({ name: `Bed ${newId()}`.slice(0, 30) });
  const planting = await garden.planting(bedId);
  await garden.entry({ kind: 'sowing', plantingId: planting.id, on: '2026-04-25' });
  return planting;
}
const again = (id: string, over: { on?: string; sessionId?: string | null } = {}) =>
  garden.ask('sowAgain', {
    params: { id },
    body: { id: newId(), entryId: newId(), on: '2026-05-23', sessionId: null, ...over },
  });
const clearOf = ({ steps }: Awaited<ReturnType<typeof sown>>) => steps.find(({ kind }) => kind === 'clear');
const plantings = () => garden.ok('plantings', { query: { year: 2026 } });

it('writes a sowing off and plans it again in its place, as work of a session, all undone in one', async () => {
  const failed = await sown();
  const session = await garden.session({ on: '2026-05-23' });
  const { status, body, change } = await again(failed.id, { sessionId: session.id });
  expect(status).toBe(200);
  expect(body).toMatchObject({
    ...{ cropId: failed.cropId, bedId: failed.bedId, width: failed.width, length: failed.length },
    startOn: '2026-05-23',
  });
  const over = (await plantings()).find(({ id }) => id === failed.id)!;
  expect(clearOf(over)).toMatchObject({ on: '2026-05-20', done: true });
  expect(over.overdueAfter).toBeNull();
  const { taskIds } = (await garden.ok('sessions')).find(({ id }) => id === session.id)!;
  expect(taskIds).toEqual([`${body.id}.sow`]);
  const tasks = await garden.ok('tasks', { query: { from: '2026-05-20' } });
  expect(tasks.find(({ id }) => id === taskIds[0])).toMatchObject({ kind: 'sow', sessionId: session.id });

  await garden.ok('undo', { params: { id: change! }, body: {} });
  expect((await plantings()).map(({ id }) => id)).not.toContain(body.id);
  const back = (await plantings()).find(({ id }) => id === failed.id)!;
  expect(clearOf(back)?.done ?? false).toBe(false);
  expect(back.overdueAfter).not.toBeNull();
  expect((await garden.ok('sessions')).find(({ id }) => id === session.id)!.taskIds).toEqual([]);
});

it('is refused for what is not sown or is up, and for a day on which its ground is not free', async () => {
  const failed = await sown();
  for (const on of ['2026-05-20', '2026-05-01']) {
    expect((await again(failed.id, { on })).problem.errors).toMatchObject([{ field: 'on' }]);
  }
  const { id: bedId } = await garden.bed({ name: 'Unsown' });
  const unsown = await garden.planting(bedId);
  expect((await again(unsown.id)).problem.errors).toMatchObject([{ code: 'nothingToSowAgain' }]);
  await garden.entry({ kind: 'emergence', plantingId: failed.id, on: '2026-05-10' });
  expect((await again(failed.id)).problem.errors).toMatchObject([{ code: 'nothingToSowAgain' }]);
  expect((await again(newId())).status).toBe(404);
  const session = { sessionId: newId() };
  expect((await again((await sown()).id, session)).problem.errors).toMatchObject([{ field: 'sessionId' }]);
});
