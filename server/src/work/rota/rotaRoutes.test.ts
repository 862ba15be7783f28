import type { Rota } from '@unity-acre/contract/work';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, saturday, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let taskIds: string[];
let ada: string;
let cy: string;
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  for (const n of [1, 2, 3]) await garden.planting((await garden.bed({ name: `Bed ${n}` })).id);
  taskIds = (await garden.ok('tasks', { query: { from: '2026-01-01' } })).map(({ id }) => id);
  ada = await person('Ada');
  cy = await person('Cy');
});
afterAll(() => harness.close());

const saturdays = { weekly: [{ weekday: 6, from: '08:00', to: '13:00' }], exceptions: [] };
const person = (name: string, over: object = {}) =>
  garden.person(name, {
    availability: saturdays,
    skills: ['setting out', 'trellis', 'fork', 'seedlings'],
    pledged: 600,
    ...over,
  });
async function session(over: object = {}) {
  const id = newId();
  return garden.ok('saveSession', { params: { id }, body: { ...saturday, ...over } });
}
async function made(body: object = {}): Promise<Rota> {
  const begun = await garden.ok('makeRota', {
    body: { from: '2026-05-20', until: '2026-06-30', seconds: 10, ...body },
  });
  for (;;) {
    const now = await garden.ok('rota', { params: { id: begun.id } });
    if (now.state !== 'working') return now;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

describe('people', () => {
  it('under age have no contact of their own, and a guardian who is here and grown', async () => {
    const minor = {
      name: 'Kim',
      email: null,
      role: 'volunteer',
      household: '',
      headcount: 1,
      waitingSince: null,
      kind: 'minor',
    };
    const refused = async (over: object) => {
      const { status, body } = await garden.ask('savePerson', {
        params: { id: newId() },
        body: { ...minor, ...over } as never,
      });
      expect(status).toBe(422);
      return (body as unknown as { errors: { field: string; code: string }[] }).errors.map(
        ({ field, code }) => `${field} ${code}`,
      );
    };
    expect(await refused({})).toEqual(['guardianId needsGuardian']);
    expect(await refused({ guardianId: ada, email: 'kim@example.org' })).toContain('email minorNoContact');
    expect(await refused({ guardianId: newId() })).toEqual(['guardianId unknownGuardian']);
    expect(await refused({ kind: 'adult', headcount: 4 })).toEqual(['headcount onlyGroups']);
    expect(await refused({ kind: 'group', headcount: 4, children: 5 })).toEqual(['children moreThanHeads']);
    const id = newId();
    await garden.ok('savePerson', { params: { id }, body: { ...minor, guardianId: ada } as never });
    const { status } = await garden.ask('removePerson', { params: { id: ada }, ifMatch: 1 });
    expect(status).toBe(422);
    const led = await session({ on: '2026-08-01' });
    await garden.ok('signUp', { params: { id: led.id, personId: id }, body: {} });
    const namesFor = async (cookie?: string) =>
      (await garden.ok('sessions', cookie ? { cookie } : {}))
        .find((one) => one.id === led.id)!
        .signUps.map(({ name }) => name);
    expect(await namesFor()).toEqual(['Kim']);
    expect(await namesFor((await garden.member('volunteer', 'Vera')).cookie)).toEqual(['']);
    await garden.ok('removeSession', { params: { id: led.id }, ifMatch: 1 });
    const own = await garden.ok('people', {});
    expect(own.find((one) => one.id === id)).toMatchObject({ kind: 'minor', guardianId: ada });
    await garden.ok('removePerson', { params: { id }, ifMatch: 1 });
  });
});

describe('a rota', () => {
  it('is refused where no session is called, with the field and the remedy', async () => {
    const { status, body } = await garden.ask('makeRota', {
      body: { from: '2026-05-20', until: '2026-05-21' },
    });
    expect(status).toBe(422);
    expect(body).toMatchObject({ errors: [{ field: 'until', code: 'noSessions' }] });
  });

  it('puts open tasks and free people into sessions, is looked at, applied as one change and undone', async () => {
    const called = await session();
    const bo = await person('Bo', { availability: { weekly: null, exceptions: [] } });
    const rota = await made();
    expect(rota.state).toBe('done');
    expect(rota.goals.map(({ proved }) => proved)).toEqual(rota.goals.map(() => true));
    const mine = rota.sessions.find(({ sessionId }) => sessionId === called.id)!;
    expect(mine.taskIds.length).toBeGreaterThan(0);
    expect(mine.taskIds.every((id) => taskIds.includes(id))).toBe(true);
    expect(new Set(mine.people)).toEqual(new Set([ada, cy].map((personId) => ({ personId, isNew: true }))));
    expect(rota.peopleLeft).toContainEqual({ personId: bo, why: 'unsaid' });

    const applied = await garden.ask('applyRota', { params: { id: rota.id }, body: {} });
    expect(applied.status).toBe(200);
    const now = (await garden.ok('sessions', {})).find(({ id }) => id === called.id)!;
    expect(now.taskIds).toEqual(mine.taskIds);
    expect(now.rotaTaskIds).toEqual(mine.taskIds);
    expect(now.signUps.map(({ personId, byRota }) => [personId, byRota])).toEqual(
      expect.arrayContaining([ada, cy].map((personId) => [personId, true])),
    );
    const atWork = now.crews.flatMap(({ members }) => members.map(({ personId }) => personId));
    expect(new Set(atWork)).toEqual(new Set([ada, cy]));

    // What was promised stays when it is made again, and may be taken back by hand.
    const again = await made({ repairing: true });
    const kept = again.sessions.find(({ sessionId }) => sessionId === called.id)!;
    expect(kept.people.map(({ isNew }) => isNew)).toEqual([false, false]);
    expect(kept.dropped).toEqual([]);
    await garden.ok('signOff', { params: { id: called.id, personId: ada } });
    const without = await made();
    const left = without.sessions.find(({ sessionId }) => sessionId === called.id)!;
    expect(left.people.map(({ personId }) => personId)).not.toContain(ada);
    await garden.ok('signUp', { params: { id: called.id, personId: ada }, body: {} });
  });

  it('is not applied over what somebody changed meanwhile, and says so', async () => {
    const called = await session({ on: '2026-05-30' });
    const rota = await made();
    await garden.ok('saveSession', {
      params: { id: called.id },
      body: { ...saturday, on: '2026-05-30', title: 'Changed meanwhile' },
      ifMatch: 1,
    });
    const { status, body } = await garden.ask('applyRota', { params: { id: rota.id }, body: {} });
    expect(status).toBe(409);
    expect(body).toMatchObject({ code: 'rotaStale' });
    const now = (await garden.ok('sessions', {})).find(({ id }) => id === called.id)!;
    expect(now.taskIds).toEqual([]);
  });

  it('begun by two at once leaves the first stopped with what it had, and nobody booked twice', async () => {
    const first = await garden.ok('makeRota', { body: { from: '2026-05-20', until: '2026-06-30' } });
    const second = await made();
    expect((await garden.ok('rota', { params: { id: first.id } })).state).not.toBe('working');
    await garden.ok('applyRota', { params: { id: second.id }, body: {} });
    const { status } = await garden.ask('applyRota', { params: { id: first.id }, body: {} });
    expect([404, 409]).toContain(status);
    const twice = (await garden.ok('sessions', {})).filter(
      ({ signUps }) => signUps.filter(({ personId }) => personId === ada).length > 1,
    );
    expect(twice).toEqual([]);
  });

  it('leaves alone what is over', async () => {
    await session({ on: '2026-05-09' });
    const rota = await made({ from: '2026-05-01' });
    expect(rota.from).toBe('2026-05-20');
    const days = new Map((await garden.ok('sessions', {})).map(({ id, on }) => [id, on]));
    for (const { sessionId } of rota.sessions) expect(days.get(sessionId)! >= '2026-05-20').toBe(true);
  });

  it('keeps what was put into a session by hand where it is', async () => {
    const called = await session({ on: '2026-06-06', taskIds: [taskIds.at(-1)!] });
    const rota = await made();
    expect(rota.sessions.find(({ sessionId }) => sessionId === called.id)!.taskIds).toContain(taskIds.at(-1));
  });

  it('holds people and tasks where a coordinator wants them, and keeps out whom and what they leave out', async () => {
    const first = await made();
    const filled = first.sessions.find(({ taskIds, people }) => taskIds.length > 1 && people.length > 0)!;
    const { sessionId } = filled;
    const stands = (await garden.ok('sessions')).find(({ id }) => id === sessionId)!;
    const isByHand = (id: string) => stands.taskIds.includes(id) && !stands.rotaTaskIds.includes(id);
    const [out, kept] = filled.taskIds.filter((id) => !isByHand(id));
    const { id: elsewhere } = await session({ on: '2026-06-27' });
    const holds = {
      people: [
        { personId: cy, sessionId: elsewhere, comes: false },
        { personId: ada, sessionId: elsewhere, comes: true },
        { personId: newId(), sessionId, comes: true },
      ],
      tasks: [
        { taskId: out!, sessionId: null },
        { taskId: kept!, sessionId },
        { taskId: 'gone', sessionId },
      ],
    };
    const again = await made({ holds });
    expect(again.state).toBe('done');
    expect(again.holds).toEqual(holds);
    expect(again.sessions.flatMap(({ taskIds }) => taskIds)).not.toContain(out);
    expect(again.tasksLeft).toContainEqual(expect.objectContaining({ taskId: out, why: 'keptOut' }));
    const at = (id: string) => again.sessions.find((one) => one.sessionId === id)!;
    expect(at(sessionId).taskIds).toContain(kept);
    const there = at(elsewhere).people.map(({ personId }) => personId);
    expect(there).toContain(ada);
    expect(there).not.toContain(cy);
    await garden.ok('removeSession', { params: { id: elsewhere }, ifMatch: 1 });
  });

  it('holds nobody out who signed up, for that is theirs to say', async () => {
    const own = await session({ on: '2026-06-20' });
    await garden.ok('signUp', { params: { id: own.id, personId: cy } });
    const holds = { people: [{ personId: cy, sessionId: own.id, comes: false }], tasks: [] };
    const there = (await made({ holds })).sessions.find(({ sessionId }) => sessionId === own.id)!;
    expect(there.people.map(({ personId }) => personId)).toContain(cy);
    await garden.ok('removeSession', { params: { id: own.id }, ifMatch: 1 });
  });

  it('repairs what is left when a session falls away: its work finds another day, other promises stand, one change', async () => {
    const off = await session({ on: '2026-06-13', from: '09:00', to: '10:00' });
    await session({ on: '2026-06-20' });
    const whole = await made({ until: '2026-06-20' });
    await garden.ok('applyRota', { params: { id: whole.id }, body: {} });
    const before = await garden.ok('sessions', {});
    const seatsOf = (list: typeof before) =>
      list.flatMap(({ id, signUps }) =>
        id === off.id ? [] : signUps.map(({ personId }) => `${id} ${personId}`),
      );
    const move = { sessionId: off.id, to: null, why: 'Thunder' };
    const repair = await made({ move, until: '2026-06-20' });
    expect(repair.move).toEqual({ sessionId: off.id, to: null });
    expect(repair.sessions.map(({ sessionId }) => sessionId)).not.toContain(off.id);
    // Looked at only: nothing has happened yet.
    expect(await garden.ok('sessions', {})).toEqual(before);
    const { change } = await garden.ask('applyRota', { params: { id: repair.id }, body: {} });
    const after = await garden.ok('sessions', {});
    expect(after.find(({ id }) => id === off.id)).toMatchObject({
      state: 'calledOff',
      taskIds: [],
      why: 'Thunder',
    });
    expect(seatsOf(after)).toEqual(expect.arrayContaining(seatsOf(before)));
    const told = (await garden.ok('messages', {})).filter((one) => one.sessionId === off.id);
    expect(told.map(({ kind }) => kind)).toEqual(told.map(() => 'calledOff'));
    await garden.ok('undo', { params: { id: change! } });
    expect((await garden.ok('rota', { params: { id: repair.id } })).applied).toBe(false);
    const back = await garden.ok('sessions', {});
    expect(back.map(({ version: _, ...row }) => row)).toEqual(before.map(({ version: _, ...row }) => row));
  });

  it('books nobody into a moved session who is away on its new day, but keeps who has not said', async () => {
    const moving = await session({ on: '2026-06-27', capacity: 20 });
    const unsaid = await person('Uma', { availability: { weekly: null, exceptions: [] } });
    for (const personId of [ada, unsaid]) await garden.ok('signUp', { params: { id: moving.id, personId } });
    // A Sunday, when Ada is never free.
    const move = { sessionId: moving.id, to: { on: '2026-06-28', from: '09:00', to: '11:00' }, why: '' };
    const repair = await made({ move });
    const there = repair.sessions.find(({ sessionId }) => sessionId === moving.id)!;
    expect(there.dropped).toContain(ada);
    expect(there.people.map(({ personId }) => personId)).toContain(unsaid);
    await garden.ok('applyRota', { params: { id: repair.id }, body: {} });
    const now = (await garden.ok('sessions', {})).find(({ id }) => id === moving.id)!;
    expect(now).toMatchObject({ on: '2026-06-28', movedFrom: '2026-06-27' });
    expect(now.signUps.map(({ personId }) => personId)).not.toContain(ada);
  });

  it('is not repaired for a session that is over, or called off already', async () => {
    const over = await session({ on: '2026-05-02' });
    const { status, body } = await garden.ask('makeRota', {
      body: { from: '2026-05-20', until: '2026-06-30', move: { sessionId: over.id, to: null, why: '' } },
    });
    expect(status).toBe(422);
    expect(body).toMatchObject({ errors: [{ field: 'move', code: 'unknownSession' }] });
  });

  it('is the coordinator’s to make', async () => {
    const { status } = await garden.ask('rota', { params: { id: 'not there' } });
    expect(status).toBe(404);
  });
});

describe('sessions every week', () => {
  it('are called together, take up a task once, and are called off together by Undo', async () => {
    // Nothing that stands in a session before waits for it.
    const last = taskIds.at(-1)!;
    const days = ['2026-07-04', '2026-07-11', '2026-07-18'];
    const list = days.map((on) => ({
      ...saturday,
      on,
      title: 'July morning',
      id: newId(),
      taskIds: [last],
    }));
    const { body, change } = await garden.ask('callSessions', { body: { sessions: list } });
    expect(body.map(({ on }) => on)).toEqual(days);
    const called = async () =>
      (await garden.ok('sessions', {})).filter(({ title }) => title === 'July morning');
    expect((await called()).flatMap((one) => one.taskIds)).toEqual([last]);
    await garden.ok('undo', { params: { id: change! } });
    expect(await called()).toEqual([]);
  });
});

describe('tools', () => {
  it('are listed once each', async () => {
    const id = newId();
    await garden.ok('saveTool', { params: { id }, body: { name: 'fork', count: 3 } });
    const { status } = await garden.ask('saveTool', {
      params: { id: newId() },
      body: { name: 'fork', count: 1 },
    });
    expect(status).toBe(422);
    expect(await garden.ok('tools', {})).toMatchObject([{ name: 'fork', count: 3 }]);
    await garden.ok('removeTool', { params: { id }, ifMatch: 1 });
  });

  it('are listed once for each size, of which both sides are known', async () => {
    const save = (width: number | null, length: number | null) =>
      garden.ask('saveTool', {
        params: { id: newId() },
        body: { name: 'frostCloth', count: 2, width, length },
      });
    expect((await save(3, 8)).status).toBe(200);
    expect((await save(3, 4)).status).toBe(200);
    expect((await save(3, 8)).problem.errors).toMatchObject([{ field: 'name', code: 'toolTaken' }]);
    expect((await save(3, null)).problem.errors).toMatchObject([{ field: 'length', code: 'required' }]);
    expect((await save(null, 3)).problem.errors).toMatchObject([{ field: 'width', code: 'required' }]);
    for (const { id, version } of await garden.ok('tools'))
      await garden.ok('removeTool', { params: { id }, ifMatch: version });
  });
});
