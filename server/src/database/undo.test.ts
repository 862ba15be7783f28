import { afterAll, beforeAll, expect, it } from 'vitest';
import { changes } from '../log/entity.ts';
import { Harness, newId, plainBed, type TestGarden } from '../testing/harness.ts';

/* What is undone meets what others did since: it is refused in words, and never half done. */

let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
});
afterAll(() => harness.close());

const undo = (id: string | null) => garden.ask('undo', { params: { id: id! } });

it('refuses to take a sign-off back after somebody signed up anew', async () => {
  const session = await garden.session();
  const personId = await garden.person('Ann');
  const at = { params: { id: session.id, personId } };
  await garden.ok('signUp', at);
  const off = await garden.ask('signOff', at);
  await garden.ok('signUp', at);
  const { status, problem } = await undo(off.change);
  expect(status).toBe(409);
  expect(problem.code).toBe('cannotUndo');
  expect((await garden.ok('sessions')).find(({ id }) => id === session.id)!.signUps).toHaveLength(1);
});

it('refuses to bring back a bed whose name another has got', async () => {
  const first = await garden.bed({ name: 'By the gate' });
  const removed = await garden.ask('removeBed', { params: { id: first.id }, ifMatch: 1 });
  await garden.bed({ name: 'By the gate' });
  expect((await undo(removed.change)).problem.code).toBe('cannotUndo');
  expect((await garden.ok('beds')).filter(({ name }) => name === 'By the gate')).toHaveLength(1);
});

it('refuses to take a new name back where another bed has the old one now', async () => {
  const bed = await garden.bed({ name: 'Old name' });
  const renamed = await garden.ask('saveBed', {
    params: { id: bed.id },
    ifMatch: 1,
    body: { ...plainBed, name: 'New name' },
  });
  await garden.bed({ name: 'Old name' });
  expect((await undo(renamed.change)).problem.code).toBe('cannotUndo');
});

it('swaps and turns the names of beds in one layout, and takes that back', async () => {
  const names = ['Rose', 'Thyme', 'Sage'];
  const rows: Awaited<ReturnType<typeof garden.bed>>[] = [];
  for (const name of names) rows.push(await garden.bed({ name }));
  const turned = await garden.ask('saveLayout', {
    body: {
      landmarks: [],
      beds: rows.map(({ tenures: _, ...bed }, i) => ({ ...bed, name: names[(i + 1) % 3] })),
    },
  });
  expect(turned.status).toBe(200);
  const namesNow = async () => {
    const beds = await garden.ok('beds');
    return rows.map(({ id }) => beds.find((bed) => bed.id === id)!.name);
  };
  expect(await namesNow()).toEqual(['Thyme', 'Sage', 'Rose']);
  expect((await undo(turned.change)).status).toBe(200);
  expect(await namesNow()).toEqual(names);
});

it('leaves beds of a layout that stay as they are without a new version', async () => {
  const { tenures: _, ...still } = await garden.bed({ name: 'Still' });
  const { tenures: __, ...moved } = await garden.bed({ name: 'Moved' });
  const answer = await garden.ok('saveLayout', {
    body: { landmarks: [], beds: [still, { ...moved, x: 4 }] },
  });
  expect(answer.beds.find(({ id }) => id === still.id)).toMatchObject({ name: 'Still', version: 1 });
  expect(answer.beds.find(({ id }) => id === moved.id)).toMatchObject({ name: 'Moved', version: 2, x: 4 });
});

it('takes back a change of a time when the table had fewer columns, and keeps what is new', async () => {
  const bed = await garden.bed({ name: 'Of old' });
  const saved = await garden.ask('saveBed', {
    params: { id: bed.id },
    ifMatch: 1,
    body: { ...plainBed, name: 'Of old', x: 7, soilDepth: 0.4 },
  });
  // As an earlier program wrote it: without the columns `soilDepth` and `kind`, with one that is gone.
  await harness.running.store.write(async (manager) => {
    const change = await manager.findOneByOrFail(changes, { id: saved.change! });
    const older = (row: object | null) => {
      const { soilDepth: _, kind: __, ...rest } = { ...row } as Record<string, unknown>;
      return { ...rest, slope: 3 };
    };
    const rows = change.rows.map((row) => ({ ...row, before: older(row.before), after: older(row.after) }));
    await manager.update(changes, { id: change.id }, { rows: rows as never });
  });
  expect((await undo(saved.change)).status).toBe(200);
  expect((await garden.ok('beds')).find(({ id }) => id === bed.id)).toMatchObject({ x: 0, soilDepth: 0.4 });
});

it('answers what is nested five thousand deep with a refusal', async () => {
  const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
  for (const raw of [deep, `{"name":${deep}}`, `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`]) {
    const { status, problem } = await garden.ask('saveBed', { raw });
    expect(status).toBe(400);
    expect(problem.code).toBe('tooDeep');
  }
  const brackets = await garden.ask('saveBed', {
    params: { id: newId() },
    body: { ...plainBed, name: 'Brackets', note: '[['.repeat(100) },
  });
  expect(brackets.status).toBe(200);
});

it('lets in three at once with one invitation only once, and the one handed out last', async () => {
  const id = newId();
  const person = {
    email: 'three@example.org',
    role: 'volunteer',
    household: '',
    headcount: 1,
    waitingSince: null,
  };
  await garden.ok('savePerson', { params: { id }, body: { name: 'Three', ...person } });
  const addresses: string[] = [];
  for (let n = 0; n < 3; n++) addresses.push((await garden.ok('invite', { params: { id } })).address);
  const join = (address: string) =>
    harness.ask('join', {
      params: { token: address.split('/').at(-1)! },
      body: { password: 'correct horse battery' },
    });
  expect((await join(addresses[0]!)).status).toBe(404);
  const answers = await Promise.all([0, 1, 2].map(() => join(addresses[2]!)));
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 404, 404]);
});
