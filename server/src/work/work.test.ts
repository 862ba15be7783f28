import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Harness, newId, saturday, type TestGarden } from '../testing/harness.ts';

let harness: Harness;
let garden: TestGarden;
let taskIds: string[];
beforeAll(async () => {
  harness = await Harness.open();
  garden = await harness.setUp();
  const bed = await garden.bed();
  await garden.planting(bed.id);
  taskIds = (await garden.ok('tasks', { query: { year: 2026 } })).map((task) => task.id);
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
    const tasks = await garden.ok('tasks', { query: { year: 2026 } });
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
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 200, 409]);
    expect(answers.find((answer) => answer.status === 409)!.problem.code).toBe('full');
    const late = people[answers.findIndex((answer) => answer.status === 409)]!;
    const early = people[answers.findIndex((answer) => answer.status === 200)]!;
    await garden.ok('signOff', { cookie: early.cookie, params: { id: session.id, personId: early.id } });
    expect(
      (await garden.ask('signUp', { cookie: late.cookie, params: { id: session.id, personId: late.id } }))
        .status,
    ).toBe(200);
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

  it('ends when it is revoked or made anew', async () => {
    const first = (await garden.ok('makeCalendarAddress')).address!;
    expect((await garden.ok('calendarAddress')).address).toBe(first);
    const second = (await garden.ok('makeCalendarAddress')).address!;
    expect((await fetch(first)).status).toBe(404);
    expect((await fetch(second)).status).toBe(200);
    await garden.ok('revokeCalendarAddress');
    expect((await fetch(second)).status).toBe(404);
    expect((await garden.ok('calendarAddress')).address).toBeNull();
  });
});
