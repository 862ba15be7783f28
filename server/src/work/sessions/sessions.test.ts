import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, saturday, type TestGarden } from '../../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let taskIds: string[];
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  const bed = await garden.bed();
  await garden.planting(bed.id);
  taskIds = (await garden.ok('tasks', { query: { from: '2026-01-01' } })).map((task) => task.id);
});
afterAll(() => harness.close());

describe('work sessions', () => {
  it.each([
    [{ on: '2026-06-31' }, 'on', 'notADay'],
    [{ from: '25:00' }, 'from', 'notATime'],
    [{ to: '08:00' }, 'to', 'endsBeforeStart'],
    [{ capacity: 0 }, 'capacity', 'atLeast'],
    [{ leadId: newId() }, 'leadId', 'unknownPerson'],
    [{ taskIds: ['nonsense'] }, 'taskIds', 'unknownTask'],
    [{ taskIds: [`${newId()}.sow`] }, 'taskIds', 'unknownTask'],
  ])('are refused with %o at %s', async (over, field, code) => {
    const { status, problem } = await garden.ask('saveSession', {
      params: { id: newId() },
      body: { ...saturday, ...over },
    });
    expect(status).toBe(422);
    expect(problem.errors).toEqual([expect.objectContaining({ field, code })]);
  });

  it('take up tasks, each in one session at most', async () => {
    const first = await garden.session({ taskIds: taskIds.slice(0, 2) });
    const second = await garden.session({ title: 'Second', taskIds: taskIds.slice(1, 3) });
    const sessions = await garden.ok('sessions');
    expect(sessions.find((s) => s.id === first.id)!.taskIds).toEqual(taskIds.slice(0, 1));
    expect(sessions.find((s) => s.id === second.id)!.taskIds).toEqual(taskIds.slice(1, 3));
    const tasks = await garden.ok('tasks', { query: { from: '2026-01-01' } });
    expect(tasks.find((t) => t.id === taskIds[1])!.sessionId).toBe(second.id);
  });

  it('fill up to their capacity and not beyond', async () => {
    const session = await garden.session({ capacity: 2 });
    const people = await Promise.all(['A', 'B', 'C'].map((name) => garden.member('volunteer', name)));
    const answers = await Promise.all(
      people.map(({ id, cookie }) =>
        garden.ask('signUp', { cookie, params: { id: session.id, personId: id } }),
      ),
    );
    expect(answers.map((answer) => answer.status)).toEqual([200, 200, 200]);
    const placed = async () => {
      const now = (await garden.ok('sessions')).find(({ id }) => id === session.id)!;
      return {
        coming: now.signUps.map((one) => one.personId),
        waiting: now.waiting.map((one) => one.personId),
      };
    };
    const first = await placed();
    expect(first.coming).toHaveLength(2);
    expect(first.waiting).toHaveLength(1);
    // A place that falls free goes to who waits, and they are told.
    const early = people.find(({ id }) => id === first.coming[0])!;
    await garden.ok('signOff', { cookie: early.cookie, params: { id: session.id, personId: early.id } });
    const second = await placed();
    expect(new Set(second.coming)).toEqual(new Set([first.coming[1], first.waiting[0]]));
    expect(second.waiting).toEqual([]);
    const [letter] = await garden.ok('messages');
    expect(letter).toMatchObject({ kind: 'placeFree', personId: first.waiting[0], sessionId: session.id });
  });

  it('take no group that is larger than they are', async () => {
    const session = await garden.session({ capacity: 2 });
    const id = await garden.person('Class', { headcount: 3, kind: 'group' });
    const { problem } = await garden.ask('signUp', { params: { id: session.id, personId: id } });
    expect(problem.code).toBe('full');
  });

  it('go on without a lead who leaves the garden', async () => {
    const gone = await garden.member('crewLead', 'Gone');
    const led = await garden.session({ leadId: gone.id });
    await garden.ok('removePerson', { params: { id: gone.id }, ifMatch: 1 });
    const now = (await garden.ok('sessions')).find(({ id }) => id === led.id)!;
    expect(now).toMatchObject({ leadId: null, lead: null });
  });

  it('let volunteers sign up only themselves, and signing up twice is once', async () => {
    const session = await garden.session();
    const vera = await garden.member('volunteer', 'Vera');
    const otto = await garden.member('volunteer', 'Otto');
    const forOther = await garden.ask('signUp', {
      cookie: vera.cookie,
      params: { id: session.id, personId: otto.id },
    });
    expect(forOther.problem.code).toBe('notAllowed');
    const twice = { cookie: vera.cookie, params: { id: session.id, personId: vera.id } };
    await garden.ok('signUp', twice);
    expect((await garden.ok('signUp', twice)).signUps).toHaveLength(1);
  });

  it('come back with their people when calling off is undone', async () => {
    const session = await garden.session();
    await garden.ok('signUp', { params: { id: session.id, personId: garden.coordinatorId } });
    const { change } = await garden.ask('removeSession', { params: { id: session.id }, ifMatch: 1 });
    expect((await garden.ok('sessions')).some((s) => s.id === session.id)).toBe(false);
    await garden.ok('undo', { params: { id: change! } });
    expect((await garden.ok('sessions')).find((s) => s.id === session.id)!.signUps).toHaveLength(1);
  });
});

it('ticks tasks off by hand and takes the tick back', async () => {
  const mark = (doneOn: string | null) =>
    garden.ok('markTask', { params: { id: taskIds[0]! }, body: { doneOn } });
  expect(await mark('2026-05-19')).toMatchObject({ state: 'done', doneOn: '2026-05-19' });
  expect((await mark(null)).state).not.toBe('done');
  expect((await garden.ask('markTask', { params: { id: 'what.ever' }, body: { doneOn: null } })).status).toBe(
    404,
  );
});

describe("the calendar of one's sessions, read back with ical.js", () => {
  const eventsAt = async (address: string) => {
    const response = await fetch(address);
    expect(response.headers.get('content-type')).toContain('text/calendar');
    const calendar = new ICAL.Component(ICAL.parse(await response.text()));
    return calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
  };

  it('holds exactly the sessions one signed up for or leads, at the right instants', async () => {
    const vera = await garden.member('volunteer', 'Vera');
    const mine = await garden.session({ title: 'Mine; with, signs', note: 'Bring gloves\nand water' });
    await garden.session({ title: 'Not mine' });
    const led = await garden.session({ title: 'Led', leadId: vera.id, on: '2026-11-07' });
    await garden.ok('signUp', { cookie: vera.cookie, params: { id: mine.id, personId: vera.id } });
    const { address } = await garden.ok('makeCalendarAddress', { cookie: vera.cookie });
    const events = await eventsAt(address!);
    expect(events.map((event) => event.uid)).toEqual([mine.id, led.id]);
    expect(events[0]!.summary).toBe('Mine; with, signs');
    expect(events[0]!.description).toBe('Bring gloves\nand water');
    expect(events[0]!.location).toBe('The tap');
    // 09:00 in Chicago is 14:00 UTC in summer and 15:00 UTC in winter.
    expect(events[0]!.startDate.toJSDate().toISOString()).toBe('2026-05-23T14:00:00.000Z');
    expect(events[0]!.endDate.toJSDate().toISOString()).toBe('2026-05-23T16:30:00.000Z');
    expect(events[1]!.startDate.toJSDate().toISOString()).toBe('2026-11-07T15:00:00.000Z');
  });

  it('keeps the clock time of a weekly session over a change of clocks, and says what was called off or moved', async () => {
    const vera = await garden.member('volunteer', 'Vera');
    // Clocks go back on Sunday 1 November 2026 in Chicago: a session on that very day, and a week before and after.
    const rows = [];
    for (const on of ['2026-10-25', '2026-11-01', '2026-11-08'])
      rows.push(await garden.session({ on, leadId: vera.id }));
    await garden.ok('moveSession', {
      params: { id: rows[0]!.id },
      ifMatch: 1,
      body: { to: null, why: 'Frost' },
    });
    const to = { on: '2026-11-09', from: '10:00', to: '11:00' };
    await garden.ok('moveSession', { params: { id: rows[2]!.id }, ifMatch: 1, body: { to, why: '' } });
    const { address } = await garden.ok('makeCalendarAddress', { cookie: vera.cookie });
    const events = await eventsAt(address!);
    expect(events.map((event) => event.startDate.toJSDate().toISOString())).toEqual([
      '2026-10-25T14:00:00.000Z',
      '2026-11-01T15:00:00.000Z',
      '2026-11-09T16:00:00.000Z',
    ]);
    const [off, kept, moved] = events.map((event) => event.component);
    expect(off!.getFirstPropertyValue('status')).toBe('CANCELLED');
    expect(off!.getFirstPropertyValue('description')).toContain('Frost');
    expect(kept!.getFirstPropertyValue('status')).toBe('CONFIRMED');
    // RFC 5545: a changed event keeps its UID and raises its SEQUENCE.
    expect(moved!.getFirstPropertyValue('uid')).toBe(rows[2]!.id);
    expect(Number(moved!.getFirstPropertyValue('sequence'))).toBeGreaterThan(1);
  });

  it('ends when it is revoked or made anew', async () => {
    const first = (await garden.ok('makeCalendarAddress')).address!;
    // It is told once: of what is kept, nobody gets in.
    expect(await garden.ok('calendarAddress')).toEqual({ exists: true, address: null });
    const [kept] = await harness.running.store.manager.query('SELECT * FROM calendar_address');
    expect(JSON.stringify(kept)).not.toContain(first.split('/').at(-1));
    const second = (await garden.ok('makeCalendarAddress')).address!;
    expect((await fetch(first)).status).toBe(404);
    expect((await fetch(second)).status).toBe(200);
    await garden.ok('revokeCalendarAddress');
    expect((await fetch(second)).status).toBe(404);
    expect((await garden.ok('calendarAddress')).exists).toBe(false);
  });
});
