import { describe, expect, it } from 'vitest';
import { firstRota } from './first/index.ts';
import { rotaModel } from './model/index.ts';
import type { RotaPerson, RotaProblem, RotaTask } from './problem/index.ts';
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
