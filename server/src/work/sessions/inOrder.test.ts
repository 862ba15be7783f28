import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let task: (kind: string) => string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  const { id } = await garden.planting((await garden.bed()).id, {
    cropId: 'pepper',
    varietyId: 'bell',
    method: 'setPlants',
  });
  task = (kind) => `${id}.${kind}`;
  await garden.session({ on: '2026-06-12', taskIds: [task('support')] });
});
afterAll(() => harness.close());

const call = async (on: string, kinds: string[], id = newId()) =>
  garden.ask('saveSession', {
    params: { id },
    body: { ...(await body(on)), taskIds: kinds.map(task) },
  });
const body = async (on: string) => ({
  ...{ title: 'Morning', on, from: '09:00', to: '11:00', meetAt: '', leadId: null, capacity: 9, note: '' },
  children: true,
});
const faults = [{ field: 'taskIds', code: 'tooEarly' }];

it('refuses work before the day of what it waits for, whoever asks', async () => {
  expect((await call('2026-06-10', ['setOut'])).problem.errors).toMatchObject(faults);
  expect((await call('2026-06-12', ['setOut'])).status).toBe(200);
});

it('refuses what another session waits for on a day before', async () => {
  const id = newId();
  expect((await call('2026-06-16', ['pick'], id)).status).toBe(200);
  expect((await call('2026-06-17', ['setOut'])).problem.errors).toMatchObject(faults);
  // With both in one session there is nothing to wait for.
  expect((await call('2026-06-17', ['setOut', 'pick'])).status).toBe(200);
});

it('refuses it for sessions that are called together', async () => {
  const sessions = [{ id: newId(), ...(await body('2026-06-01')), taskIds: [task('setOut')] }];
  expect((await garden.ask('callSessions', { body: { sessions } })).problem.errors).toMatchObject(faults);
});

it('leaves alone a session whose day and work stay as they are', async () => {
  const id = newId();
  await call('2026-06-20', ['setOut', 'pick'], id);
  // The plan or a move for rain may put the support behind it.
  const [support] = (await garden.ok('sessions')).filter(({ taskIds }) => taskIds.includes(task('support')));
  await garden.ok('moveSession', {
    params: { id: support!.id },
    ifMatch: support!.version,
    body: { to: { on: '2026-06-27', from: '09:00', to: '11:00' }, why: '' },
  });
  const renamed = await garden.ask('saveSession', {
    params: { id },
    ifMatch: 1,
    body: { ...(await body('2026-06-20')), title: 'Pepper morning', taskIds: [task('setOut'), task('pick')] },
  });
  expect(renamed.status, JSON.stringify(renamed.body)).toBe(200);
});
