import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, type TestGarden } from '../../testing/harness.ts';

/* Places of a session hold whoever comes first, however many come at once, and move up whatever makes room. */

let harness: Harness;
let garden: TestGarden;
const persons: string[] = [];
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  for (let n = 0; n < 12; n++) persons.push(await garden.person(`Person ${n}`));
});
afterAll(() => harness.close());

const now = async (id: string) => (await garden.ok('sessions')).find((one) => one.id === id)!;
const signUp = (id: string, personId: string, cookie = garden.cookie) =>
  garden.ask('signUp', { cookie, params: { id, personId } });
const change = async (id: string, over: object) => {
  const {
    version,
    lead: _,
    signUps: __,
    waiting: ___,
    askedIds: _____,
    state,
    why,
    movedFrom,
    work,
    rotaTaskIds,
    crews,
    id: ____,
    ...body
  } = await now(id);
  return garden.ask('saveSession', { params: { id }, ifMatch: version, body: { ...body, ...over } });
};

it('are never more than there are, in whatever order requests arrive', async () => {
  const { id } = await garden.session({ capacity: 5 });
  const answers = await Promise.all(persons.map((personId) => signUp(id, personId)));
  expect(answers.map(({ status }) => status)).toEqual(persons.map(() => 200));
  const session = await now(id);
  expect(session.signUps).toHaveLength(5);
  expect(session.waiting).toHaveLength(7);
});

it('are not given in a session that is called off at the same moment', async () => {
  for (let n = 0; n < 8; n++) {
    const { id, version } = await garden.session();
    const [off, ...signed] = await Promise.all([
      garden.ask('moveSession', { params: { id }, ifMatch: version, body: { to: null, why: 'Rain' } }),
      ...persons.slice(0, 4).map((personId) => signUp(id, personId)),
    ]);
    expect(off!.status).toBe(200);
    const letters = (await garden.ok('messages')).filter(({ sessionId }) => sessionId === id);
    // Whoever got a place was told; whoever came after was refused.
    const placed = signed.filter(({ status }) => status === 200).length;
    expect(letters.filter(({ kind }) => kind === 'calledOff')).toHaveLength(placed);
    for (const { status, problem } of signed) if (status !== 200) expect(problem.code).toBe('calledOff');
  }
});

describe('the waiting list moves up', () => {
  const full = async () => {
    const session = await garden.session({ capacity: 1 });
    for (const personId of persons.slice(0, 2)) await signUp(session.id, personId);
    return session.id;
  };
  const names = async (id: string) => (await now(id)).signUps.map(({ name }) => name);

  it('when a session gets larger', async () => {
    const id = await full();
    const { body } = await change(id, { capacity: 2 });
    expect(body.signUps).toHaveLength(2);
    expect(body.waiting).toHaveLength(0);
    const letters = (await garden.ok('messages')).filter(({ sessionId }) => sessionId === id);
    expect(letters).toEqual([expect.objectContaining({ kind: 'placeFree', personId: persons[1] })]);
  });

  it('when a sign-up is undone', async () => {
    const { id } = await garden.session({ capacity: 1 });
    const first = await signUp(id, persons[0]!);
    await signUp(id, persons[1]!);
    await garden.ok('undo', { params: { id: first.change! } });
    expect(await names(id)).toEqual(['Person 1']);
  });

  it('when somebody leaves the garden', async () => {
    const { id } = await garden.session({ capacity: 1 });
    const leaver = await garden.person('Leaver');
    await signUp(id, leaver);
    await signUp(id, persons[1]!);
    await garden.ok('removePerson', { params: { id: leaver }, ifMatch: 1 });
    expect(await names(id)).toEqual(['Person 1']);
  });

  it('when a group gets smaller', async () => {
    const { id } = await garden.session({ capacity: 4 });
    const group = await garden.person('Class', { kind: 'group', headcount: 4 });
    await signUp(id, group);
    await signUp(id, persons[1]!);
    const {
      version,
      joined: _,
      invitedUntil: _invited,
      retiredOn: _r,
      id: __,
      ...body
    } = (await garden.ok('people')).find((one) => one.id === group)!;
    await garden.ok('savePerson', {
      params: { id: group },
      ifMatch: version,
      body: { ...body, headcount: 3 },
    });
    expect((await names(id)).sort()).toEqual(['Class', 'Person 1']);
  });

  it('not in a session that is over', async () => {
    const id = await full();
    harness.clock.time += 30 * 86_400_000;
    await change(id, { capacity: 2 });
    harness.clock.time -= 30 * 86_400_000;
    expect(await names(id)).toHaveLength(1);
  });
});

describe('nobody gets a place, by whatever way,', () => {
  it('in a session that is over', async () => {
    const { id } = await garden.session({ on: '2026-05-19' });
    expect((await signUp(id, persons[0]!)).problem.code).toBe('sessionOver');
  });

  it('in a session without children, with one', async () => {
    const { id } = await garden.session({ children: false });
    const parent = await garden.member('volunteer', 'Parent');
    const child = await garden.person('Child', { kind: 'minor', guardianId: parent.id });
    const group = await garden.person('Class 2', { kind: 'group', headcount: 9, children: 8 });
    for (const personId of [child, group])
      expect((await signUp(id, personId)).problem.code, personId).toBe('noChildren');
    expect((await signUp(id, child, parent.cookie)).problem.code).toBe('noChildren');
    expect((await signUp(id, parent.id, parent.cookie)).status).toBe(200);
  });

  it('that somebody offers in one that is over', async () => {
    const { id } = await garden.session();
    const [giver, taker] = [
      await garden.member('volunteer', 'Giver'),
      await garden.member('volunteer', 'Taker'),
    ];
    await signUp(id, giver.id);
    const params = { id, personId: giver.id };
    await garden.ok('offerPlace', { cookie: giver.cookie, params, body: { offered: true } });
    harness.clock.time += 10 * 86_400_000;
    const taken = await garden.ask('takePlace', { cookie: taker.cookie, params });
    harness.clock.time -= 10 * 86_400_000;
    expect(taken.problem.code).toBe('sessionOver');
  });
});

it('whole edits are not lost where two arrive together: one is saved, the other gets both versions', async () => {
  const { version } = await garden.ok('garden');
  const normals = { low: new Array(12).fill(1), high: new Array(12).fill(9), rain: new Array(12).fill(50) };
  const { rules } = await garden.ok('garden');
  const [first, second] = await Promise.all([
    garden.ask('saveNormals', { ifMatch: version, body: { normals } }),
    garden.ask('saveRules', { ifMatch: version + 1, body: { ...rules, depth: 'packet' } }),
  ]);
  expect(first!.status).toBe(200);
  const after = await garden.ok('garden');
  // The second was sent before the first had answered; whether it was taken or not, the first stands.
  expect(after.normals).toEqual(normals);
  expect(after.rules.depth).toBe(second!.status === 200 ? 'packet' : rules.depth);
});
