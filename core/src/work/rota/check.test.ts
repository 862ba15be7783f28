import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../../maths/index.ts';
import type { Solver } from '../../solving/index.ts';
import { brokenRules, leftAlongPaths, noSetAsksTooMuch } from './check.ts';
import { firstRota } from './first/index.ts';
import { rotaModel } from './model/index.ts';
import type { Rota, RotaProblem, RotaTask } from './problem/index.ts';
import { makeRota, RotaBroken } from './solve/index.ts';
import { randomGarden, somePerson, someProblem, someSession, someTask } from './testing/index.ts';

const session = someSession('sat', '2026-05-23');
const seats = (...ids: string[]) => ids.map((personId) => ({ personId, sessionId: 'sat' }));
const placed = (...ids: string[]) => ids.map((taskId) => ({ taskId, sessionId: 'sat' }));
const rules = (problem: Partial<RotaProblem>, rota: Rota) =>
  brokenRules(someProblem({ sessions: [session], ...problem }), rota);

describe('the check of a rota', () => {
  const ada = somePerson('ada');
  const task = someTask('weed', { minutes: 60 });
  const fine: Rota = { seats: seats('ada'), placed: placed('weed') };

  it('finds nothing in one that keeps the rules', () => {
    expect(rules({ people: [ada], tasks: [task] }, fine)).toEqual([]);
  });

  // A session of two hours has 102 minutes of work for each practised person.
  it('finds more work than there is time for, whoever has to do it', () => {
    const much = { people: [ada], tasks: [someTask('weed', { minutes: 103 })] };
    expect(rules(much, fine)).toEqual(['sat has more work than its people can do']);
    const heavy = someTask('dig', { minutes: 100, strains: ['lifting'] });
    const weak = { people: [ada, somePerson('bo', { cannot: ['lifting'] })], tasks: [task, heavy] };
    expect(rules(weak, { seats: seats('ada', 'bo'), placed: placed('weed', 'dig') })).toEqual([]);
    const both = { ...weak, tasks: [someTask('carry', { minutes: 60, strains: ['lifting'] }), heavy] };
    expect(rules(both, { seats: seats('ada', 'bo'), placed: placed('carry', 'dig') })).toEqual([
      'sat has more work than its people can do',
    ]);
  });

  // Two jobs of 100 minutes, one at each at a time, are 200 minutes one after the other; in a session 102 are worked.
  it('finds work that waits for other work and lasts longer than the session, however many are there', () => {
    const people = [ada, somePerson('bo')];
    const dig = someTask('dig', { minutes: 100, most: 1 });
    const sow = (over: Partial<RotaTask>) =>
      someTask('sow', { minutes: 100, most: 1, after: ['dig'], ...over });
    const both: Rota = { seats: seats('ada', 'bo'), placed: placed('dig', 'sow') };
    const tooShort = 'sat is too short for what is done one after another';
    expect(rules({ people, tasks: [dig, sow({})] }, both)).toEqual([tooShort]);
    expect(rules({ people, tasks: [dig, sow({ after: [] })] }, both)).toEqual([]);
    expect(rules({ people, tasks: [dig, sow({ minutes: 2 })] }, both)).toEqual([]);
    // Two at it are done in half the time, though they cannot be at two things at once.
    expect(rules({ people, tasks: [dig, sow({ minutes: 4, most: 2 })] }, both)).toEqual([]);
    expect(rules({ people, tasks: [dig, sow({ minutes: 6, most: 2 })] }, both)).toEqual([tooShort]);
  });

  it('finds children without their guardian, and more of them than the grown people may look after', () => {
    const kid = somePerson('kid', { adults: 0, children: 1, guardianId: 'ada' });
    const alone: Rota = { seats: seats('bo', 'kid'), placed: placed('weed') };
    const people = [ada, somePerson('bo'), kid];
    expect(rules({ people, tasks: [task] }, alone)).toContain('kid is without a guardian');
    const many = [ada, somePerson('class', { adults: 0, children: 9, pace: 0.1, guardianId: 'ada' })];
    expect(
      rules({ people: many, tasks: [task], childRatio: 8 }, { ...fine, seats: seats('ada', 'class') }),
    ).toContain('sat has too many children');
  });

  it('finds a task on a day that is not its own, done twice, or before what it waits for', () => {
    const later = someTask('weed', { minutes: 60, earliest: '2026-06-01' });
    expect(rules({ people: [ada], tasks: [later] }, fine)).toEqual(['weed is not for sat']);
    expect(rules({ people: [ada], tasks: [task] }, { ...fine, placed: placed('weed', 'weed') })).toContain(
      'weed is done twice',
    );
    const waiting = [someTask('weed', { minutes: 60, after: ['dig'] }), someTask('dig')];
    expect(rules({ people: [ada], tasks: waiting }, fine)).toEqual(['weed comes before dig']);
  });

  it('finds a task that is there twice in what is asked', () => {
    expect(rules({ people: [ada], tasks: [task, task] }, { seats: [], placed: [] })).toEqual([
      'a task is there twice',
    ]);
  });
});

it('says the same of a session set by set and along paths, whoever can do what', () => {
  const people = Array.from({ length: 5 }, (_, i) => somePerson(`p${i}`));
  const part = fc.record({
    by: fc.subarray(people, { minLength: 1 }),
    minutes: fc.integer({ min: 1, max: 90 }),
  });
  const outcomes = new Set<boolean>();
  fc.assert(
    fc.property(
      fc.array(part, { minLength: 1, maxLength: 8 }),
      fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 5, maxLength: 5 }),
      (parts, times) => {
        const room = new Map(people.map((person, i) => [person, times[i]!]));
        const left = leftAlongPaths(parts, room).reduce((sum, one) => sum + one, 0);
        expect(left <= 1e-6).toBe(noSetAsksTooMuch(parts, room));
        outcomes.add(left <= 1e-6);
      },
    ),
    { numRuns: 400 },
  );
  expect(outcomes.size).toBe(2);
});

describe('a rota that breaks a rule', () => {
  const never: Solver = async (_, first) => ({ values: first!, isProved: true }) as never;

  it('is never given, nor begun with: a task that is there twice is a fault, and no rota proved best', async () => {
    const task = someTask('weed', { minutes: 60 });
    const problem = someProblem({ sessions: [session], tasks: [task, task], people: [somePerson('ada')] });
    await expect(makeRota(problem, never)).rejects.toThrow(RotaBroken);
    await expect(makeRota(problem, never)).rejects.toThrow(/a task is there twice/);
  });

  it('is told from one that keeps them, in gardens of all kinds: take any rule away and it is noticed', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const problem = randomGarden(seeded(seed), { people: 8, sessions: 6, tasks: 14, weeks: 2 });
      const rota = firstRota(rotaModel(problem));
      expect(brokenRules(problem, rota)).toEqual([]);
      const [first] = rota.placed;
      if (!first) continue;
      const moved = { ...rota, placed: [...rota.placed, first] };
      expect(brokenRules(problem, moved)).toContain(`${first.taskId} is done twice`);
      const unmanned = {
        ...rota,
        seats: rota.seats.filter(({ sessionId }) => sessionId !== first.sessionId),
      };
      expect(brokenRules(problem, unmanned).length).toBeGreaterThan(0);
    }
  });
});
