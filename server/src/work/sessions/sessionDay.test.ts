import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, saturday, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let taskIds: string[];
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  for (const n of [1, 2, 3]) await garden.planting((await garden.bed({ name: `Bed ${n}` })).id);
  taskIds = (await garden.ok('tasks', { query: { from: '2026-01-01' } })).map(({ id }) => id);
});
afterAll(() => harness.close());

const person = (name: string, over: object = {}) => garden.person(name, over);
/** Does something some days ago. */
const before = async (days: number, work: () => Promise<unknown>) => {
  harness.clock.time -= days * 86_400_000;
  await work();
  harness.clock.time += days * 86_400_000;
};
const now = async (id: string) => (await garden.ok('sessions')).find((one) => one.id === id)!;
const lettersAbout = async (sessionId: string) =>
  (await garden.ok('messages')).filter((one) => one.sessionId === sessionId);
const work = {
  state: 'done',
  began: '09:10',
  minutes: 40,
  adults: 2,
  beginners: 0,
  children: 0,
  note: '',
} as const;

describe('the roll of a session', () => {
  it('is called by who leads it, and counts time from coming to leaving', async () => {
    const lead = await garden.member('volunteer', 'Lead');
    const other = await garden.member('volunteer', 'Other');
    const [ada, bo, cy] = [await person('Ada', { pledged: 600 }), await person('Bo'), await person('Cy')];
    const { id } = await garden.session({ on: '2026-05-16', leadId: lead.id });
    await before(5, async () => {
      for (const personId of [ada, bo]) await garden.ok('signUp', { params: { id, personId } });
    });
    const call = (personId: string, arrived: string | null, left: string | null, cookie = lead.cookie) =>
      garden.ask('rollCall', { cookie, params: { id, personId }, body: { arrived, left } });
    expect((await call(ada, '09:15', '10:45')).status).toBe(200);
    // Cy had not signed up.
    expect((await call(cy, '09:30', null)).status).toBe(200);
    expect((await call(ada, '09:00', null, other.cookie)).problem.code).toBe('notAllowed');
    expect((await call(ada, '10:00', '09:00')).problem.errors).toEqual([
      expect.objectContaining({ field: 'left', code: 'endsBeforeStart' }),
    ]);
    // A phone that had no signal sends what was marked on it long before.
    const late = { arrived: '08:00', left: null, at: '2026-05-16T14:00:00.000Z' };
    await garden.ok('rollCall', { cookie: lead.cookie, params: { id, personId: ada }, body: late });
    expect((await now(id)).signUps.find(({ personId }) => personId === ada)).toMatchObject({
      arrived: '09:15',
    });
    expect((await now(id)).signUps.map(({ personId }) => personId).sort()).toEqual([ada, bo, cy].sort());
    const hours = await garden.ok('hours', { query: { year: 2026 } });
    const of = (personId: string) => hours.find((one) => one.personId === personId)!;
    expect(of(ada)).toMatchObject({ pledged: 600, minutes: 90 });
    // Bo was not there; Cy stayed to the end; the lead was there all the time.
    expect(of(bo).minutes).toBe(0);
    expect(of(cy).minutes).toBe(120);
    expect(of(lead.id).minutes).toBe(150);
    const own = await garden.ok('hours', { cookie: other.cookie, query: { year: 2026 } });
    expect(own.map(({ personId }) => personId)).toEqual([other.id]);
  });

  it('counts the heads of a group, and the length of the session where no roll was called', async () => {
    const group = await person('Class', { kind: 'group', headcount: 10, children: 8 });
    const { id } = await garden.session({ on: '2026-05-09' });
    await before(12, () => garden.ok('signUp', { params: { id, personId: group } }));
    const hours = await garden.ok('hours', { query: { year: 2026 } });
    const mine = hours.find(({ personId }) => personId === group)!;
    expect(mine).toMatchObject({ minutes: 150, headMinutes: 1500 });
    expect(mine.visits[0]).toMatchObject({ counted: false, minutes: 150 });
  });
});

describe('work done in a session', () => {
  it('is marked off with its minutes, teaches the garden its pace, and is open again when taken back', async () => {
    const { id } = await garden.session({ taskIds: taskIds.slice(0, 1) });
    const taskId = taskIds[0]!;
    const task = async (other = taskId) =>
      (await garden.ok('tasks', { query: { from: '2026-01-01' } })).find((one) => one.id === other)!;
    const before = (await task()).minutes;
    const log = (over: object) =>
      garden.ok('logWork', { params: { id, taskId }, body: { ...work, ...over } });
    await log({ state: 'underWay', minutes: null });
    expect((await now(id)).work).toEqual([expect.objectContaining({ taskId, state: 'underWay' })]);
    expect((await task()).minutes).toBe(before);
    await log({ minutes: Math.max(2, before * 2), adults: 1 });
    // Whoever is ahead of the session has done it today.
    expect(await task()).toMatchObject({ state: 'done', doneOn: '2026-05-20' });
    expect((await task()).minutes).toBeGreaterThan(before);
    await log({ state: 'open', minutes: null });
    expect((await task()).doneOn).toBeNull();
    await log({ state: 'stuck', minutes: null, share: 0.5 });
    expect((await now(id)).work).toEqual([expect.objectContaining({ taskId, state: 'stuck', share: 0.5 })]);
    expect(await task()).toMatchObject({ doneOn: null, share: 0.5 });
    await log({ state: 'open', minutes: null });
    expect((await task()).share).toBeNull();
    await log({ state: 'done', at: '2026-05-20T08:00:00.000Z' });
    expect((await task()).doneOn).toBeNull();
    expect((await now(id)).work).toEqual([expect.objectContaining({ state: 'open' })]);
    expect((await task()).minutes).toBe(before);
  });

  it('is only of tasks that are in the session, and by who leads', async () => {
    const { id } = await garden.session({ taskIds: taskIds.slice(1, 2) });
    const other = await garden.member('volunteer', 'Other');
    const ask = (taskId: string, cookie?: string) =>
      garden.ask('logWork', { ...(cookie ? { cookie } : {}), params: { id, taskId }, body: work });
    expect((await ask(taskIds[2]!)).status).toBe(404);
    expect((await ask(taskIds[1]!, other.cookie)).problem.code).toBe('notAllowed');
  });
});

describe('a session that cannot be held', () => {
  it('is called off: its work is free again, everybody is told in their language, and undo brings all back', async () => {
    const { id } = await garden.session({ taskIds: taskIds.slice(2, 3) });
    const ines = await person('Ines', { email: 'ines@example.org', language: 'es' });
    const tom = await person('Tom', { channel: 'text', phone: '555 0101' });
    const kim = await person('Kim', { kind: 'minor', guardianId: ines });
    for (const personId of [ines, tom, kim]) await garden.ok('signUp', { params: { id, personId } });
    const before = await now(id);
    const moved = await garden.ask('moveSession', {
      params: { id },
      ifMatch: before.version,
      body: { to: null, why: 'Heavy rain all morning' },
    });
    expect(await now(id)).toMatchObject({ state: 'calledOff', taskIds: [], why: 'Heavy rain all morning' });
    const letters = await lettersAbout(id);
    const to = (personId: string) => letters.find((one) => one.personId === personId)!;
    expect(to(ines)).toMatchObject({
      channel: 'mail',
      address: 'ines@example.org',
      language: 'es',
      sent: true,
    });
    expect(to(ines).subject).toBe('Cancelada: Saturday work morning, sábado 23 de mayo');
    expect(to(tom)).toMatchObject({ channel: 'text', address: '555 0101' });
    expect(to(tom).body).toContain('is canceled. Heavy rain all morning.');
    // Who is under age has no address: their guardian reads it.
    expect(to(kim)).toMatchObject({ to: 'Ines', address: 'ines@example.org' });
    expect(to(kim).body).toContain('Se trata de Kim.');
    const { status, problem } = await garden.ask('signUp', { params: { id, personId: tom } });
    expect([status, problem?.code]).toEqual([409, 'calledOff']);
    // Called off twice, nobody would be written to twice.
    const again = await garden.ask('moveSession', {
      params: { id },
      ifMatch: (await now(id)).version,
      body: { to: null, why: '' },
    });
    expect(again.problem.code).toBe('calledOff');
    await garden.ok('undo', { params: { id: moved.change! } });
    expect(await now(id)).toMatchObject({ state: 'called', taskIds: before.taskIds });
    expect(await lettersAbout(id)).toEqual([]);
  });

  it('is moved: refused into the past and where somebody changed it meanwhile', async () => {
    const { id } = await garden.session();
    const move = (on: string, ifMatch = 1) =>
      garden.ask('moveSession', {
        params: { id },
        ifMatch,
        body: { to: { on, from: '16:00', to: '18:00' }, why: '' },
      });
    expect((await move('2026-01-01')).problem.errors).toEqual([
      expect.objectContaining({ field: 'to.on', code: 'inThePast' }),
    ]);
    expect((await move('2026-05-24', 7)).problem.code).toBe('stale');
    expect((await move('2026-05-24')).status).toBe(200);
    expect(await now(id)).toMatchObject({ on: '2026-05-24', from: '16:00', movedFrom: saturday.on });
  });
});

describe('a place in a session', () => {
  it('that is offered is taken by one other, with its work', async () => {
    const { id } = await garden.session({ capacity: 1 });
    const [ada, bo, cy] = [
      await garden.member('volunteer', 'Ada'),
      await garden.member('volunteer', 'Bo'),
      await garden.member('volunteer', 'Cy'),
    ];
    await garden.ok('signUp', { cookie: ada.cookie, params: { id, personId: ada.id } });
    const take = (cookie: string) => garden.ask('takePlace', { cookie, params: { id, personId: ada.id } });
    expect((await take(bo.cookie)).problem.code).toBe('notOffered');
    await garden.ok('offerPlace', {
      cookie: ada.cookie,
      params: { id, personId: ada.id },
      body: { offered: true },
    });
    const both = await Promise.all([take(bo.cookie), take(cy.cookie)]);
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await now(id)).signUps).toHaveLength(1);
  });
});

describe('reminders', () => {
  it('are written once to everybody expected, and anew when the session has moved', async () => {
    const { id } = await garden.session({ on: '2026-08-01', capacity: 1 });
    const [tom, late] = [await person('Tom T', { email: 'tom@example.org' }), await person('Late')];
    for (const personId of [tom, late]) await garden.ok('signUp', { params: { id, personId } });
    const remind = () => garden.ok('remind', { body: { until: '2026-08-01' } });
    expect((await remind()).messages).toBeGreaterThan(0);
    // Who waits has no place and is not reminded.
    expect((await lettersAbout(id)).map(({ personId }) => personId)).toEqual([tom]);
    expect(await remind()).toEqual({ messages: 0 });
    await garden.ok('moveSession', {
      params: { id },
      ifMatch: 1,
      body: { to: { on: '2026-08-01', from: '17:00', to: '18:00' }, why: '' },
    });
    expect(await remind()).toEqual({ messages: 1 });
  });
});

describe('other screens', () => {
  it('hear at once that something changed', async () => {
    const stream = await fetch(`${harness.running.url}/api/gardens/${garden.id}/events`, {
      headers: { cookie: garden.cookie },
    });
    const reader = stream.body!.getReader();
    const read = async () => new TextDecoder().decode((await reader.read()).value);
    expect(await read()).toContain('retry');
    await garden.session({ title: 'Heard' });
    expect(await read()).toBe('event: changed\ndata: work_session\n\n');
    await reader.cancel();
  });

  it('are told of what others change, and not of what they changed themselves', async () => {
    const stream = await fetch(`${harness.running.url}/api/gardens/${garden.id}/events?client=this-page`, {
      headers: { cookie: garden.cookie },
    });
    const reader = stream.body!.getReader();
    const read = async () => new TextDecoder().decode((await reader.read()).value);
    expect(await read()).toContain('retry');
    await fetch(`${harness.running.url}/api/gardens/${garden.id}/tools/${newId()}`, {
      method: 'PUT',
      headers: {
        cookie: garden.cookie,
        origin: harness.running.url,
        'content-type': 'application/json',
        'x-client': 'this-page',
      },
      body: JSON.stringify({ name: 'hoe', count: 2 }),
    });
    await garden.person('Somebody new');
    expect(await read()).toBe('event: changed\ndata: person\n\n');
    await reader.cancel();
  });
});

describe('letters of a session that is not as it was', () => {
  it('go to all who are expected or wait, when its time is changed in the editor and when it is taken away', async () => {
    const leadId = await garden.person('Lea Lead');
    const coming = await garden.person('Cora Coming');
    const waits = await garden.person('Wim Waiting');
    const session = await garden.session({ title: 'Told', leadId, capacity: 1, on: '2026-06-06' });
    for (const personId of [coming, waits])
      await garden.ok('signUp', { params: { id: session.id, personId } });
    const letters = async () =>
      (await garden.ok('messages'))
        .filter(({ subject }) => subject.includes('Told'))
        .map(({ kind, personId }) => `${kind} ${personId}`)
        .sort();
    const body = { ...saturday, title: 'Told', leadId, capacity: 1, on: '2026-06-06' };
    const save = (over: object, ifMatch: number) =>
      garden.ok('saveSession', { params: { id: session.id }, ifMatch, body: { ...body, ...over } });
    await save({ note: 'Bring gloves' }, 1);
    expect(await letters()).toEqual([]);
    const later = await save({ on: '2026-06-07' }, 2);
    expect(later.movedFrom).toBe('2026-06-06');
    const all = [coming, waits, leadId];
    expect(await letters()).toEqual(all.map((one) => `moved ${one}`).sort());
    await garden.ok('removeSession', { params: { id: session.id }, ifMatch: 3 });
    expect(await letters()).toEqual(all.flatMap((one) => [`moved ${one}`, `calledOff ${one}`]).sort());
  });

  it('are not written of a day that is past, nor twice of one that is called off', async () => {
    const leadId = await garden.person('Pia Past');
    const past = await garden.session({ title: 'Gone by', leadId, on: '2026-05-01' });
    await garden.ok('saveSession', {
      params: { id: past.id },
      ifMatch: 1,
      body: { ...saturday, title: 'Gone by', leadId, on: '2026-05-02' },
    });
    const off = await garden.session({ title: 'Off', leadId, on: '2026-06-08' });
    await garden.ok('moveSession', { params: { id: off.id }, ifMatch: 1, body: { to: null, why: '' } });
    await garden.ok('removeSession', { params: { id: off.id }, ifMatch: 2 });
    const own = (await garden.ok('messages')).filter(({ personId }) => personId === leadId);
    expect(own.map(({ kind }) => kind)).toEqual(['calledOff']);
  });
});
