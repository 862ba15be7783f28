import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MilestoneKind } from '../../season/index.ts';
import { anyTime } from '../rota/testing/index.ts';
import { decide, decisionRules, MOST_DECISIONS } from './decide.ts';
import {
  type DecisionKind,
  decisionKinds,
  type GardenNow,
  type PersonNow,
  type PlantingNow,
  type SessionNow,
  type TaskNow,
} from './decision.ts';

const TODAY = '2026-05-20';
const SATURDAY = '2026-05-23';

const nothing: GardenNow = {
  ...{ today: TODAY, until: '2026-06-02', sessions: [], tasks: [], plantings: [], nights: [], people: [] },
  ...{ beds: [], plots: [], applications: 0 },
};
const session = (over: Partial<SessionNow> = {}): SessionNow => ({
  ...{
    id: 's',
    on: SATURDAY,
    from: '09:00',
    to: '11:00',
    leadId: 'lead',
    taskIds: [],
    signUps: [],
    crews: [],
    askedIds: [],
  },
  ...over,
});
const task = (id: string, over: Partial<TaskNow> = {}): TaskNow => ({
  ...{
    id,
    plantingId: null,
    kind: 'sow',
    on: TODAY,
    minutes: 60,
    state: 'open',
    sessionId: null,
    bedIds: ['b'],
  },
  window: { earliest: '2026-05-10', latest: SATURDAY },
  ...over,
});
const step = (kind: MilestoneKind, on: string, done = false, latest = on) => ({
  ...{ kind, on, done },
  window: { earliest: on, best: on, latest },
});
const planting = (over: Partial<PlantingNow> = {}): PlantingNow => ({
  ...{ id: 'p', cropId: 'tomato', bedId: 'b', hardiness: 'frostTender', frostDamageC: 0, overdueAfter: null },
  ...{ startOn: null, nightsC: null, mostDaysIndoors: null },
  steps: [step('setOut', '2026-05-15', true), step('clear', '2026-10-01')],
  ...over,
});
const bed = (id: string, over: Partial<GardenNow['beds'][number]> = {}) => ({
  ...{ id, offsetC: 0, isPlot: false },
  ...over,
});
const person = (id: string, over: Partial<PersonNow> = {}): PersonNow => ({
  ...{ id, adults: 1, availability: anyTime },
  ...over,
});
const found = (kind: DecisionKind, now: Partial<GardenNow>) => decisionRules[kind]({ ...nothing, ...now });

it('finds nothing where there is nothing, of any kind', () => {
  expect(Object.keys(decisionRules).sort()).toEqual([...decisionKinds].sort());
  expect(decide(nothing)).toEqual([]);
});

describe('frost', () => {
  const cold = { on: '2026-05-21', low: 1, give: 1.5 };
  it('is the first night that may freeze while something tender stands outdoors', () => {
    const [one] = found('frost', {
      nights: [{ on: TODAY, low: 6, give: 1 }, cold, { on: '2026-05-22', low: -2, give: 1 }],
      plantings: [
        planting(),
        planting({ id: 'q', bedId: 'c' }),
        planting({ id: 'r', hardiness: 'hardy', frostDamageC: -4 }),
      ],
    });
    expect(one).toMatchObject({
      by: '2026-05-21',
      plantingIds: ['p', 'q'],
      numbers: { low: 1, give: 1.5, beds: 2 },
    });
  });
  it('goes by how cold each bed is, and is for hardy crops only below what they stand', () => {
    const mild = { on: '2026-05-21', low: 3, give: 1 };
    const beds = [bed('b'), bed('hollow', { offsetC: -2 })];
    const inHollow = planting({ id: 'q', bedId: 'hollow' });
    expect(found('frost', { nights: [mild], plantings: [planting(), inHollow], beds })).toMatchObject([
      { plantingIds: ['q'], numbers: { low: 3, give: 1, beds: 1 } },
    ]);
    const hardy = planting({ hardiness: 'hardy', frostDamageC: -4 });
    const nights = [
      { on: '2026-05-21', low: -2, give: 1.9 },
      { on: '2026-05-22', low: -2, give: 2 },
    ];
    expect(found('frost', { nights, plantings: [hardy] })).toMatchObject([{ by: '2026-05-22' }]);
  });
  it('is none when the nights are warm, what is tender is indoors, or the night is past', () => {
    expect(found('frost', { nights: [{ ...cold, low: 2 }], plantings: [planting()] })).toEqual([]);
    const indoors = planting({ steps: [step('setOut', '2026-06-01')] });
    expect(found('frost', { nights: [cold], plantings: [indoors] })).toEqual([]);
    expect(found('frost', { nights: [{ ...cold, on: '2026-05-19' }], plantings: [planting()] })).toEqual([]);
  });
});

it('seed that is not up is spoken of the day after it is due', () => {
  const sown = planting({
    overdueAfter: '2026-05-19',
    steps: [step('sow', '2026-04-24', true)],
  });
  expect(found('notUp', { plantings: [sown] })).toMatchObject([
    { bedIds: ['b'], plantingIds: ['p'], days: { sown: '2026-04-24', due: '2026-05-19' } },
  ]);
  expect(found('notUp', { plantings: [{ ...sown, overdueAfter: TODAY }] })).toEqual([]);
});

it('seed that is not up is sown again in the next session, else tomorrow, and not past its last good day', () => {
  const sown = (latest: string) =>
    planting({ overdueAfter: '2026-05-19', steps: [step('sow', '2026-04-24', true, latest)] });
  const sessions = [session({ id: 'today', on: TODAY }), session(), session({ id: 'far', on: '2026-05-30' })];
  const with_ = (latest: string, list = sessions) =>
    found('notUp', { plantings: [sown(latest)], sessions: list })[0]!;
  expect(with_('2026-06-10')).toMatchObject({ sessionId: 's', days: { again: SATURDAY } });
  expect(with_('2026-05-22')).toMatchObject({ days: { again: '2026-05-21' } });
  expect(with_('2026-05-22').sessionId).toBeUndefined();
  expect(with_(TODAY).days).not.toHaveProperty('again');
  expect(with_('2026-06-10', [])).toMatchObject({ days: { again: '2026-05-21' } });
  // On its last good day it still can be; what is after the days looked at is nobody's next session.
  expect(with_('2026-05-21', [])).toMatchObject({ days: { again: '2026-05-21' } });
  const late = [session({ id: 'june', on: '2026-06-03' })];
  expect(with_('2026-06-10', late).sessionId).toBeUndefined();
});

describe('seedlings', () => {
  const tomatoes = planting({
    ...{ nightsC: [10, 13] as const, mostDaysIndoors: 56 },
    steps: [step('startIndoors', '2026-04-01', true), step('setOut', SATURDAY)],
  });
  const out = task('out', { kind: 'setOut', plantingId: 'p', on: SATURDAY });
  const night = (on: string, low: number) => ({ on, low, give: 1 });
  const after = session({ id: 'after', on: '2026-05-30' });

  it('are held while their first nights are colder than they want, until the next session after that', () => {
    const nights = [night('2026-05-24', 8), night('2026-05-26', 9), night('2026-05-28', 12)];
    const now = { plantings: [tomatoes], tasks: [out], nights, sessions: [session(), after] };
    expect(found('coldNights', now)).toMatchObject([
      {
        ...{ taskIds: ['out'], plantingIds: ['p'], sessionId: 'after', by: SATURDAY },
        ...{ numbers: { low: 8, wanted: 10 }, days: { on: SATURDAY, night: '2026-05-24' } },
      },
    ]);
    const inSession = { ...out, sessionId: 'after' };
    expect(found('coldNights', { ...now, tasks: [inSession] })).toEqual([]);
  });
  it('are covered where a cloth makes the nights warm enough', () => {
    const covered = (low: number) =>
      found('coldNights', { plantings: [tomatoes], tasks: [out], nights: [night(SATURDAY, low)] })[0]!
        .numbers;
    expect(covered(9)).toMatchObject({ covered: 1 });
    expect(covered(2)).toMatchObject({ covered: 0 });
  });
  it('go out where the nights are warm, cold only later or before, or do not matter to them', () => {
    const of = (nights: GardenNow['nights'], over: Partial<PlantingNow> = {}) =>
      found('coldNights', { plantings: [{ ...tomatoes, ...over }], tasks: [out], nights });
    expect(of([night(SATURDAY, 10)])).toEqual([]);
    expect(of([night('2026-05-22', 3), night('2026-05-27', 3)])).toEqual([]);
    expect(of([night('2026-05-26', 3)])).toHaveLength(1);
    expect(of([night(SATURDAY, 3)], { nightsC: null })).toEqual([]);
    const warm = [bed('b', { offsetC: 2 })];
    const nights = [night(SATURDAY, 8)];
    expect(found('coldNights', { plantings: [tomatoes], tasks: [out], nights, beds: warm })).toEqual([]);
  });
  it('that stand their pots no longer are to go out in the next session, unless they do in time', () => {
    const late = { ...out, on: '2026-05-30' };
    const now = { plantings: [tomatoes], tasks: [late], sessions: [session(), after] };
    expect(found('potLimit', now)).toMatchObject([
      {
        ...{ taskIds: ['out'], sessionId: 's', by: '2026-05-27', numbers: { weeks: 8 } },
        days: { started: '2026-04-01', limit: '2026-05-27' },
      },
    ]);
    expect(found('potLimit', { ...now, tasks: [out] })).toEqual([]);
    // On the very day of the limit they still stand it, a day later no more; a limit on the last day looked at counts.
    const on = (day: string) => found('potLimit', { ...now, tasks: [{ ...out, on: day }] });
    expect([on('2026-05-27'), on('2026-05-28')].map(({ length }) => length)).toEqual([0, 1]);
    const last = { ...now, until: '2026-05-28', tasks: [{ ...out, on: '2026-05-28' }] };
    const started = (day: string) =>
      planting({
        ...tomatoes,
        mostDaysIndoors: 56,
        steps: [step('startIndoors', day, true), step('setOut', SATURDAY)],
      });
    expect(found('potLimit', { ...last, plantings: [started('2026-04-01')] })).toHaveLength(1);
    expect(
      found('potLimit', {
        ...last,
        until: '2026-05-27',
        plantings: [started('2026-04-01')],
        tasks: [{ ...out, on: '2026-05-27' }],
      }),
    ).toEqual([]);
    expect(found('potLimit', { ...now, tasks: [{ ...late, state: 'done' }] })).toEqual([]);
    const unstarted = planting({
      ...tomatoes,
      steps: [step('startIndoors', '2026-04-01'), step('setOut', SATURDAY)],
    });
    expect(found('potLimit', { ...now, plantings: [unstarted] })).toEqual([]);
  });
});

describe('a planting outside its window', () => {
  const chosen = (startOn: string | null, over: Partial<PlantingNow> = {}) =>
    found('outsideWindow', {
      plantings: [
        planting({
          startOn,
          steps: [
            {
              ...{ kind: 'sow', on: startOn ?? '2026-05-28', done: false },
              window: { earliest: '2026-05-25', best: '2026-05-28', latest: '2026-06-05' },
            },
          ],
          ...over,
        }),
      ],
    });
  it.each([
    ['2026-05-24', true],
    ['2026-05-25', false],
    ['2026-06-05', false],
    ['2026-06-06', true],
    [null, false],
  ])('is one that is to begin on %s: %s', (startOn, isFound) => {
    expect(chosen(startOn)).toHaveLength(Number(isFound));
  });
  it('goes by its own first step, not by the supports that are put up before', () => {
    const window = { earliest: '2026-05-25', best: '2026-05-28', latest: '2026-06-05' };
    const steps = [
      step('support', '2026-05-20'),
      { kind: 'setOut' as const, on: '2026-05-26', done: false, window },
    ];
    expect(chosen('2026-05-26', { steps })).toEqual([]);
  });
  it('may begin on its best day, or today where that is past, and not once the window is over', () => {
    expect(chosen('2026-05-21')).toMatchObject([{ days: { on: '2026-05-21', better: '2026-05-28' } }]);
    const window = { earliest: '2026-05-01', best: '2026-05-10', latest: TODAY };
    const steps = [{ kind: 'sow' as const, on: '2026-05-30', done: false, window }];
    expect(chosen('2026-05-30', { steps })).toMatchObject([{ days: { better: TODAY } }]);
    const over = [{ ...steps[0]!, window: { ...window, latest: '2026-05-19' } }];
    expect(chosen('2026-05-30', { steps: over })[0]!.days).not.toHaveProperty('better');
  });
  it('is left alone once it has begun, and while it is far away', () => {
    expect(chosen('2026-07-01')).toEqual([]);
    const steps = [{ ...step('sow', '2026-05-18', true), window: step('sow', '2026-05-25').window }];
    expect(chosen('2026-05-18', { steps })).toEqual([]);
  });
});

describe('sessions', () => {
  it('without a lead are spoken of while they are near, the nearer the worse', () => {
    const list = [session({ id: 'near', on: '2026-05-21', leadId: null }), session({ leadId: null })];
    const [near, far] = found('noLead', { sessions: list });
    expect(near!.severity).toBeGreaterThan(far!.severity);
    expect(found('noLead', { sessions: [session({ on: '2026-05-31', leadId: null })] })).toEqual([]);
    expect(found('noLead', { sessions: [session()] })).toEqual([]);
  });

  it('short of people name who is free then, grown up, and has not signed up', () => {
    const short = session({ taskIds: ['a'], signUps: [{ personId: 'there', headcount: 1 }] });
    const elsewhere = { weekly: [{ weekday: 1, from: '09:00', to: '12:00' }], exceptions: [] };
    const [one] = found('shortOfPeople', {
      sessions: [short],
      tasks: [task('a', { minutes: 300 })],
      people: [
        ...[person('free'), person('there'), person('lead'), person('child', { adults: 0 })],
        ...[
          person('mondays', { availability: elsewhere }),
          person('unsaid', { availability: { weekly: null, exceptions: [] } }),
        ],
      ],
    });
    // 300 minutes in two hours are three people; one comes.
    expect(one).toMatchObject({ personIds: ['free'], numbers: { gap: 2, coming: 1, needed: 3 } });
    expect(found('shortOfPeople', { sessions: [short], tasks: [task('a', { minutes: 120 })] })).toEqual([]);
  });

  it('short of people do not name again whom somebody has asked', () => {
    const short = session({ taskIds: ['a'], askedIds: ['free'] });
    const now = { sessions: [short], tasks: [task('a', { minutes: 300 })] };
    expect(found('shortOfPeople', { ...now, people: [person('free'), person('other')] })).toMatchObject([
      { personIds: ['other'], numbers: { asked: 1 } },
    ]);
  });

  it('whose schedule counts on somebody who no longer comes are to be mended', () => {
    const crews = [
      { taskId: 'a', members: [{ personId: 'gone' }, { personId: 'there' }] },
      { taskId: 'b', members: [{ personId: 'lead' }] },
    ];
    const signUps = [{ personId: 'there', headcount: 1 }];
    expect(found('rotaBroken', { sessions: [session({ crews, signUps })] })).toMatchObject([
      { sessionId: 's', personIds: ['gone'], taskIds: ['a'] },
    ]);
    const all = [...signUps, { personId: 'gone', headcount: 1 }];
    expect(found('rotaBroken', { sessions: [session({ crews, signUps: all })] })).toEqual([]);
  });
});

describe('work that closes with no session', () => {
  const full = session({
    id: 'full',
    on: '2026-05-22',
    taskIds: ['x'],
    signUps: [{ personId: 'p', headcount: 1 }],
  });
  const roomy = session({ id: 'roomy', signUps: [{ personId: 'p', headcount: 4 }] });
  it('goes into the session in its window with the most time to spare', () => {
    const tasks = [task('x', { minutes: 110, sessionId: 'full' }), task('a'), task('b', { minutes: 30 })];
    expect(found('closingWork', { sessions: [full, roomy], tasks })).toMatchObject([
      { sessionId: 'roomy', taskIds: ['a', 'b'], numbers: { minutes: 90 }, by: SATURDAY },
    ]);
  });
  it('counts what it has put into a session before', () => {
    const alone = [{ personId: 'p', headcount: 1 }];
    const sessions = [
      session({ id: 'more', signUps: alone }),
      session({ id: 'less', signUps: alone, taskIds: ['x'] }),
    ];
    const tasks = [task('x', { minutes: 20, sessionId: 'less' }), task('a', { minutes: 90 }), task('b')];
    expect(found('closingWork', { sessions, tasks })).toMatchObject([
      { sessionId: 'more', taskIds: ['a'] },
      { sessionId: 'less', taskIds: ['b'] },
    ]);
  });
  it('what is late goes into the next, and what fits into none is said', () => {
    const late = task('late', { state: 'late', window: { earliest: '2026-05-01', latest: '2026-05-16' } });
    const today = task('today', { window: { earliest: '2026-05-01', latest: TODAY } });
    expect(found('closingWork', { sessions: [full, roomy], tasks: [late, today] })).toMatchObject([
      { sessionId: 'full', taskIds: ['late'], by: TODAY },
      { id: 'closingWork none', taskIds: ['today'] },
    ]);
  });
  it('is not what plot holders look after themselves, but what is also in a bed that all share', () => {
    const beds = [bed('mine', { isPlot: true }), bed('b')];
    const tasks = [
      task('x', { bedIds: ['mine'] }),
      task('y', { bedIds: ['mine', 'b'] }),
      task('z', { bedIds: [] }),
    ];
    expect(found('closingWork', { sessions: [roomy], tasks, beds })).toMatchObject([{ taskIds: ['y', 'z'] }]);
  });
  it('is not what is in a session, done, closes later, or is a small daily thing', () => {
    const tasks = [
      ...[task('a', { sessionId: 's' }), task('b', { state: 'done' }), task('c', { kind: 'keepMoist' })],
      task('d', { window: { earliest: '2026-05-10', latest: '2026-05-28' } }),
    ];
    expect(found('closingWork', { sessions: [roomy], tasks })).toEqual([]);
  });
});

describe('ground', () => {
  it('plots in whose care something is due are to be looked at', () => {
    const plots = [
      { bedId: 'due', nextLook: TODAY, stage: 'firstNotice' },
      { bedId: 'later', nextLook: '2026-05-21', stage: 'firstNotice' },
      { bedId: 'well', nextLook: TODAY, stage: 'good' },
    ];
    expect(found('plotDue', { plots })).toMatchObject([{ bedIds: ['due'], numbers: { plots: 1 } }]);
  });
  it('people who wait for a plot are counted', () => {
    expect(found('applications', { applications: 3 })).toMatchObject([{ numbers: { waiting: 3 } }]);
  });
  it('beds are empty where nothing stands and nothing begins within four weeks', () => {
    const beds = [bed('b'), bed('c'), bed('d')];
    const soon = planting({
      bedId: 'c',
      steps: [step('sow', '2026-06-17'), step('clear', '2026-08-01')],
    });
    const later = { ...soon, bedId: 'd', steps: soon.steps.map((one) => ({ ...one, on: '2026-06-18' })) };
    expect(found('emptyBeds', { beds, plantings: [planting(), soon, later] })).toMatchObject([
      { bedIds: ['d'], numbers: { beds: 1 } },
    ]);
    const cleared = planting({
      steps: [step('setOut', '2026-04-01', true), step('clear', TODAY, true)],
    });
    expect(found('emptyBeds', { beds: [bed('b')], plantings: [cleared] })).toHaveLength(1);
    const over = planting({
      steps: [step('sow', '2026-03-01', true), step('clear', '2026-05-19')],
    });
    expect(found('emptyBeds', { beds: [bed('b')], plantings: [over] })).toHaveLength(1);
  });
});

it('puts at most seven before anybody, the worst first, and leaves out what was put off', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 20 }),
      fc.integer({ min: 0, max: 5 }),
      (days, waiting) => {
        const sessions = days.map((day, i) => session({ id: `s${i}`, on: `2026-05-2${day}`, leadId: null }));
        const list = decide({ ...nothing, sessions, applications: waiting });
        expect(list.length).toBeLessThanOrEqual(MOST_DECISIONS);
        expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
        for (const [i, one] of list.entries())
          if (i > 0) expect(one.severity).toBeLessThanOrEqual(list[i - 1]!.severity);
        const away = new Set(list.map(({ id }) => id));
        const put = decide({ ...nothing, sessions, applications: waiting }, (id) => away.has(id));
        for (const { id } of put) expect(list.map((one) => one.id)).not.toContain(id);
      },
    ),
  );
});
