import { describe, expect, it } from 'vitest';
import { firstRota } from './first/index.ts';
import { rotaModel } from './model/index.ts';
import type { Rota, RotaPerson, RotaProblem, RotaTask } from './problem/index.ts';
import { leftOutPeople, leftOutTasks } from './reasons.ts';
import { somePerson, someProblem, someSession, someTask } from './testing/index.ts';

const saturday = someSession('sat', '2026-05-09');
const away = { weekly: [{ weekday: 2, from: '08:00', to: '12:00' }], exceptions: [] };

const why = (task: Partial<RotaTask>, people: RotaPerson[], over: Partial<RotaProblem> = {}) => {
  const problem = someProblem({ sessions: [saturday], tasks: [someTask('t', task)], people, ...over });
  return leftOutTasks(problem, firstRota(rotaModel(problem)))[0];
};

describe('a task in no session', () => {
  it('is told the fact that binds, and the smallest change that would help', () => {
    const ada = somePerson('ada');
    expect(why({}, [ada])).toBeUndefined();
    expect(why({ latest: '2026-05-08' }, [ada])).toMatchObject({
      why: 'noSession',
      to: '2026-05-08',
      fix: { fix: 'callSession' },
    });
    expect(why({ tools: [{ tool: 'fork', per: 'person' }] }, [ada], { tools: { fork: 0 } })).toMatchObject({
      why: 'tool',
      fix: { fix: 'getTool', tool: 'fork' },
    });
    expect(why({ strains: ['lifting'] }, [somePerson('bo', { cannot: ['lifting'] })])).toMatchObject({
      why: 'nobodyCan',
      fix: null,
    });
    expect(
      why({ skill: 'fork' }, [ada, somePerson('digger', { skills: ['fork'], availability: away })]),
    ).toMatchObject({
      why: 'skill',
      skill: 'fork',
      from: '2026-05-09',
      fix: { fix: 'askToCome', personId: 'digger', sessionId: 'sat' },
    });
    expect(why({ skill: 'fork' }, [ada])).toMatchObject({ fix: { fix: 'teach', personId: 'ada' } });
    expect(why({ fewest: 2 }, [ada])).toMatchObject({ why: 'tooFew', fewest: 2, most: 1 });
    expect(why({ minutes: 130 }, [ada])).toMatchObject({ why: 'full' });
    expect(why({}, [ada], { taskLocks: [{ taskId: 't', sessionId: null }] })).toMatchObject({
      why: 'keptOut',
    });
    const two = [someTask('t', { after: ['first'] }), someTask('first', { latest: '2026-05-04' })];
    expect(why({}, [ada], { tasks: two })).toMatchObject({ why: 'before', fix: { taskId: 'first' } });
  });
});

describe('what would help a task that is in no session', () => {
  const sunday = someSession('sun', '2026-05-10');
  const monday = someSession('mon', '2026-05-18');
  /** Why the first task is left out of a rota that is given. */
  const told = (
    task: Partial<RotaTask>,
    people: RotaPerson[],
    rota: Partial<Rota> = {},
    over: Partial<RotaProblem> = {},
  ) => {
    const problem = someProblem({
      sessions: [sunday, saturday, monday],
      tasks: [someTask('t', { latest: '2026-05-12', ...task })],
      people,
      ...over,
    });
    return leftOutTasks(problem, { seats: [], placed: [], ...rota })[0];
  };
  const there = (...seats: [personId: string, sessionId: string][]) => ({
    seats: seats.map(([personId, sessionId]) => ({ personId, sessionId })),
  });
  const weekend = { from: '2026-05-09', to: '2026-05-10' };
  const [ada, bo] = [somePerson('ada'), somePerson('bo')];

  it('is a session between its days, or the tool that is missing', () => {
    const days = { from: '2026-05-11', to: '2026-05-12' };
    expect(told({ earliest: days.from }, [ada])).toEqual({
      ...{ taskId: 't', why: 'noSession', ...days },
      fix: { fix: 'callSession', ...days },
    });
    const tools = [{ tool: 'fork', per: 'crew' as const }];
    expect(told({ tools }, [ada], {}, { tools: { fork: 0 } })).toEqual({
      ...{ taskId: 't', why: 'tool', tool: 'fork' },
      fix: { fix: 'getTool', tool: 'fork' },
    });
    expect(told({}, [ada], {}, { taskLocks: [{ taskId: 't', sessionId: null }] })).toEqual({
      ...{ taskId: 't', why: 'keptOut', fix: null },
    });
  });

  it('is somebody who can and is away: who owes the most, on the first of its days', () => {
    const lifts = { strains: ['lifting' as const] };
    const weak = somePerson('weak', { cannot: ['lifting'], owed: 9, availability: away });
    const idle = somePerson('idle', { pace: 0, owed: 9, availability: away });
    const family = somePerson('family', { children: 1, owed: 9, availability: away });
    const owing = somePerson('owing', { owed: 2, availability: away });
    const other = somePerson('other', { owed: 1, availability: { weekly: null, exceptions: [] } });
    const nobody = { taskId: 't', why: 'nobodyCan', strains: ['lifting'], ...weekend };
    expect(told(lifts, [weak, idle, family, other, owing])).toEqual({
      ...nobody,
      fix: { fix: 'askToCome', personId: 'owing', sessionId: 'sun' },
    });
    expect(told(lifts, [weak, idle, family, other])).toMatchObject({
      fix: { fix: 'askToCome', personId: 'other', sessionId: 'sun' },
    });
    // Who has said no is not asked again for that day.
    const seatLocks = [{ personId: 'owing', sessionId: 'sun', comes: false }];
    expect(told(lifts, [owing], {}, { seatLocks })).toMatchObject({
      fix: { fix: 'askToCome', personId: 'owing', sessionId: 'sat' },
    });
    expect(told(lifts, [weak, idle, family])).toEqual({ ...nobody, fix: null });
  });

  it('is who has learned it, or else somebody there who learns it', () => {
    const digs = { skill: 'fork' as const };
    const lacks = { taskId: 't', why: 'skill', skill: 'fork', ...weekend };
    const digger = somePerson('digger', { skills: ['fork'], availability: away });
    expect(told(digs, [ada, somePerson('other', { availability: away, owed: 5 }), digger])).toEqual({
      ...lacks,
      fix: { fix: 'askToCome', personId: 'digger', sessionId: 'sun' },
    });
    const family = somePerson('family', { children: 2 });
    expect(told(digs, [family, ada])).toEqual({
      ...lacks,
      fix: { fix: 'teach', personId: 'ada', skill: 'fork' },
    });
    expect(told(digs, [family])).toEqual({ ...lacks, fix: null });
  });

  it('is one more head, counted on the day that has the most of them', () => {
    const family = somePerson('family', { adults: 2, children: 1 });
    const onSunday = { weekly: [{ weekday: 7, from: '06:00', to: '22:00' }], exceptions: [] };
    const late = somePerson('late', { availability: onSunday });
    const gone = somePerson('gone', { availability: away });
    expect(told({ fewest: 5 }, [family, late, gone])).toEqual({
      ...{ taskId: 't', why: 'tooFew', fewest: 5, most: 4, ...weekend },
      fix: { fix: 'askToCome', personId: 'gone', sessionId: 'sun' },
    });
    // One more would not be enough: nobody is asked in vain.
    expect(told({ fewest: 6 }, [family, late, gone])).toMatchObject({ why: 'tooFew', fix: null });
    expect(told({ fewest: 4 }, [family, late])).toMatchObject({ why: 'full' });
  });

  it('is what comes before it, where that is done nowhere or too late', () => {
    const tasks = [someTask('t', { latest: '2026-05-12', after: ['gone', 'dig'] }), someTask('dig')];
    const before = { taskId: 't', why: 'before', beforeId: 'dig', fix: { fix: 'place', taskId: 'dig' } };
    expect(told({}, [ada], {}, { tasks })).toEqual(before);
    const on = (sessionId: string) => ({ placed: [{ taskId: 'dig', sessionId }] });
    expect(told({}, [ada], on('mon'), { tasks })).toEqual(before);
    expect(told({}, [ada], on('sun'), { tasks })).toMatchObject({ why: 'full' });
  });

  it('is one more person where there is room, who has not said no', () => {
    const long = { minutes: 130 };
    const full = { taskId: 't', why: 'full', minutes: 130 };
    const class_ = somePerson('class', { children: 9, pace: 4 });
    const rota = there(['ada', 'sat']);
    expect(told(long, [ada, class_, bo], rota)).toEqual({
      ...full,
      fix: { fix: 'askToCome', personId: 'bo', sessionId: 'sat' },
    });
    const seatLocks = [{ personId: 'bo', sessionId: 'sat', comes: false }];
    expect(told(long, [ada, class_, bo], rota, { seatLocks })).toMatchObject({ fix: { fix: 'longer' } });
    // What is there to do already takes its time too.
    const busy = { ...rota, placed: [{ taskId: 'weed', sessionId: 'sat' }] };
    const tasks = [someTask('t', { ...long, latest: '2026-05-12' }), someTask('weed', { minutes: 90 })];
    expect(told({}, [ada, bo], busy, { tasks })).toMatchObject({ fix: { fix: 'longer' } });
  });

  it('is a longer session: the one that has to grow least, for those there who can', () => {
    const one = {
      sessions: [
        { ...saturday, capacity: 1 },
        { ...sunday, capacity: 1 },
      ],
    };
    const quick = somePerson('quick', { pace: 1.2 });
    const rota = there(['ada', 'sat'], ['quick', 'sun']);
    // 130 minutes at 102 of 120 are 153 for one, and 127 for one who is a fifth quicker: to the next five.
    expect(told({ minutes: 130 }, [ada, quick], rota, one)).toEqual({
      ...{ taskId: 't', why: 'full', minutes: 130 },
      fix: { fix: 'longer', sessionId: 'sun', minutes: 130 },
    });
    expect(told({ minutes: 130 }, [ada, quick], there(['ada', 'sat']), one)).toMatchObject({
      fix: { sessionId: 'sat', minutes: 155 },
    });
    const skilled = { ...ada, skills: ['fork' as const] };
    expect(told({ minutes: 130, skill: 'fork' }, [skilled, quick], rota, one)).toMatchObject({
      fix: { sessionId: 'sat', minutes: 155 },
    });
    expect(told({ minutes: 130 }, [ada, quick], {}, one)).toMatchObject({ why: 'full', fix: null });
  });
});

describe('why somebody is in no session', () => {
  const none: Rota = { seats: [], placed: [] };
  const tasks = [someTask('t', { strains: ['kneeling'] })];
  const told = (person: Partial<RotaPerson>, over: Partial<RotaProblem> = {}) => {
    const one = somePerson('one', person);
    const problem = someProblem({ sessions: [saturday], tasks, people: [one], ...over });
    return leftOutPeople(problem, none);
  };
  const because = (why: string) => [{ personId: 'one', why }];

  it('is that there is nothing they can do, or that others do it', () => {
    expect(told({})).toEqual(because('enough'));
    expect(told({ owed: 1 })).toEqual(because('noWork'));
    expect(told({ pace: 0 })).toEqual(because('noWork'));
    expect(told({ cannot: ['kneeling'] })).toEqual(because('noWork'));
    expect(told({}, { tasks: [] })).toEqual(because('noWork'));
  });

  it('is their week, with what they have given in it already', () => {
    const week = { personId: 'one', why: 'week', minutes: 200 };
    expect(told({ mostPerWeek: 200, givenByWeek: { '2026-05-04': 81 } })).toEqual([week]);
    expect(told({ mostPerWeek: 200, givenByWeek: { '2026-05-04': 80 } })).toEqual(because('enough'));
    expect(told({ mostPerWeek: 120 })).toEqual(because('enough'));
  });

  it('is that they have not said when, are away, wait for a guardian, or are children where none may come', () => {
    const unsaid = { weekly: null, exceptions: [] };
    expect(told({ availability: unsaid })).toEqual(because('unsaid'));
    const other = someSession('other', '2026-05-12');
    const no = { seatLocks: [{ personId: 'one', sessionId: 'other', comes: false }] };
    expect(told({ availability: unsaid }, { ...no, sessions: [saturday, other] })).toEqual(because('never'));
    expect(told({ availability: away })).toEqual(because('never'));
    const grown = somePerson('grown', { availability: away });
    const people = [somePerson('one', { adults: 0, children: 1, guardianId: 'grown' }), grown];
    expect(told({}, { people })).toEqual([...because('guardian'), { personId: 'grown', why: 'never' }]);
    const sessions = [{ ...saturday, children: false }];
    expect(told({ children: 1 }, { sessions })).toEqual(because('noChildren'));
    expect(told({ availability: away }, { sessions })).toEqual(because('never'));
  });

  it('is asked of nobody who comes', () => {
    const problem = someProblem({ sessions: [saturday], tasks, people: [somePerson('one')] });
    expect(leftOutPeople(problem, { ...none, seats: [{ personId: 'one', sessionId: 'sat' }] })).toEqual([]);
  });
});

describe('somebody in no session', () => {
  it('is told why', () => {
    const problem = someProblem({
      sessions: [{ ...saturday, children: false }],
      tasks: [someTask('t', { strains: ['kneeling'] })],
      people: [
        somePerson('seated', { owed: 3 }),
        somePerson('unsaid', { availability: { weekly: null, exceptions: [] } }),
        somePerson('never', { availability: away }),
        somePerson('class', { adults: 1, children: 20 }),
        somePerson('tired', { mostPerWeek: 60 }),
        somePerson('knees', { cannot: ['kneeling'] }),
        somePerson('child', { adults: 0, children: 1, guardianId: 'never' }),
        somePerson('more'),
      ],
    });
    const reasons = leftOutPeople(problem, firstRota(rotaModel(problem)));
    expect(Object.fromEntries(reasons.map(({ personId, why: reason }) => [personId, reason]))).toEqual({
      unsaid: 'unsaid',
      never: 'never',
      class: 'noChildren',
      tired: 'week',
      knees: 'noWork',
      child: 'noChildren',
      more: 'enough',
    });
  });
});

it('comes to an end where two people name each other as guardian', () => {
  const [a, b] = [somePerson('a', { guardianId: 'b' }), somePerson('b', { guardianId: 'a' })];
  const problem = someProblem({ sessions: [saturday], tasks: [someTask('t')], people: [a, b] });
  expect(firstRota(rotaModel(problem))).toBeTruthy();
});
