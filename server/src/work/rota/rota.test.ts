import { seeded } from '@unity-acre/core/maths';
import { inOrderOf, type Solver } from '@unity-acre/core/solving';
import { byYalps } from '@unity-acre/core/solving/testing';
import {
  choicesOf,
  firstRota,
  goalNames,
  idleRota,
  makeRota,
  type RotaProblem,
  type RotaSession,
  rotaModel,
  valuesOf,
  whoComes,
} from '@unity-acre/core/work';
import {
  bestOfAll,
  brokenRules,
  isThere,
  modelWithDays,
  randomGarden,
  somePerson,
  someProblem,
  someSession,
  someTask,
  tinyGarden,
  worthsOf,
} from '@unity-acre/core/work/rota/testing';
import { describe, expect, it } from 'vitest';
import { solve } from '../../solving/highs.ts';

const highs: Solver = (mip, first, step) => solve(mip, { first, gap: 0, seconds: 60, step });

describe('the best rota', () => {
  it('is what trying every rota finds, goal by goal', async () => {
    for (let seed = 1; seed <= 8; seed++) {
      const problem = tinyGarden(seed);
      const made = await makeRota(problem, highs);
      expect(brokenRules(problem, made), `garden ${seed}`).toEqual([]);
      expect(worthsOf(problem, made), `garden ${seed}`).toEqual(bestOfAll(problem));
      expect(made.goals.every(({ proved }) => proved)).toBe(true);
    }
  });

  it('is worth what yalps finds in a middling garden', async () => {
    for (const seed of [3, 8, 11]) {
      const problem = randomGarden(seeded(seed), { people: 6, sessions: 5, tasks: 8, weeks: 2 });
      const made = await makeRota(problem, highs);
      const model = rotaModel(problem);
      const theirs = await inOrderOf(model.mip, model.goals, idleRota(model), byYalps);
      expect(made.goals.map(({ name }) => name)).toEqual([...goalNames]);
      expect(made.goals.map(({ worth }) => worth)).toEqual(theirs.reached.map(({ worth }) => worth));
    }
  });

  it('keeps every rule in gardens of an ordinary size, and books nobody who is away', async () => {
    for (const seed of [21, 22]) {
      const problem = randomGarden(seeded(seed), { people: 25, sessions: 16, tasks: 60, weeks: 3 });
      const made = await makeRota(problem, highs);
      expect(made.settled).toBe('days');
      expect(brokenRules(problem, made)).toEqual([]);
      for (const { personId, sessionId } of made.seats) {
        const person = problem.people.find(({ id }) => id === personId)!;
        expect(isThere(person, problem.sessions.find(({ id }) => id === sessionId)!)).toBe(true);
      }
    }
  });

  it('is never worse for one more person who owes nothing', async () => {
    for (let seed = 1; seed <= 12; seed++) {
      const problem = tinyGarden(seed);
      const more = { ...problem, people: [...problem.people, somePerson('one more', { skills: ['fork'] })] };
      const before = (await makeRota(problem, highs)).goals.map(({ worth }) => worth);
      const after = (await makeRota(more, highs)).goals.map(({ worth }) => worth);
      const i = after.findIndex((worth, n) => worth !== before[n]);
      if (i >= 0) expect(after[i], `garden ${seed}, ${goalNames[i]}`).toBeGreaterThan(before[i]!);
    }
  });

  it('never gives a child what is forbidden to children', async () => {
    const problem = tinyGarden(2);
    const forbidden = problem.tasks.map((task) => ({ ...task, adultsOnly: true, skill: null }));
    const children = somePerson('class', { adults: 1, children: 5, pace: 3 });
    const made = await makeRota({ ...problem, tasks: forbidden, people: [children] }, highs);
    expect(made.placed).toEqual([]);
  });

  it('keeps what was promised before more work, when it is repaired', async () => {
    for (let seed = 1; seed <= 8; seed++) {
      const problem = tinyGarden(seed);
      const made = await makeRota(problem, highs);
      const [gone, ...left] = problem.sessions;
      const after: RotaProblem = {
        ...problem,
        sessions: left,
        promised: made.seats.filter(({ sessionId }) => sessionId !== gone!.id),
        standing: made.placed.filter(({ sessionId }) => sessionId !== gone!.id),
        tasks: [...problem.tasks, someTask('more', { strains: ['kneeling'] })],
      };
      const repaired = await makeRota(after, highs, { repairing: true });
      expect(brokenRules(after, repaired)).toEqual([]);
      expect(repaired.goals[1]!.name).toBe('kept');
      expect(repaired.goals[1]!.worth).toBe(after.promised.length);
    }
  });
});

it('puts no more into a session than can be done there one after another, and all of it where there is time', async () => {
  const tasks = [
    someTask('dig', { minutes: 100, most: 1 }),
    someTask('sow', { minutes: 90, most: 1, after: ['dig'] }),
    someTask('net', { minutes: 30, most: 1, after: ['sow'] }),
  ];
  const people = ['ada', 'bo', 'cy'].map((id) => somePerson(id));
  const made = async (...sessions: RotaSession[]) => {
    const problem = someProblem({ sessions, people, tasks });
    const rota = await makeRota(problem, highs);
    expect(brokenRules(problem, rota)).toEqual([]);
    return rota.placed.map(({ taskId, sessionId }) => `${taskId} ${sessionId}`).sort();
  };
  const sat = someSession('sat', '2026-05-23');
  const sun = someSession('sun', '2026-05-24');
  // Two hours are 102 minutes of work: one of the three fits, on two days two do; four and a half hours have room for all.
  expect(await made(sat)).toEqual(['dig sat']);
  expect(await made(sat, sun)).toEqual(['dig sat', 'sow sun']);
  expect(await made({ ...sat, to: '13:30' })).toEqual(['dig sat', 'net sat', 'sow sat']);
});

describe('who comes, where the days of the work are given', () => {
  it('is as good as in the whole model with those days, where the work is divided as a flow', async () => {
    for (const seed of [4, 9, 14, 23]) {
      const problem = randomGarden(seeded(seed), { people: 12, sessions: 8, tasks: 20, weeks: 2 });
      const choices = choicesOf(problem);
      const rota = firstRota(choices);
      const made = await whoComes(problem, choices.seats, rota, [], highs);
      expect(brokenRules(problem, made), `garden ${seed}`).toEqual([]);
      expect(made.placed).toEqual(rota.placed);
      const whole = modelWithDays(problem, rota);
      const goals = whole.goals.filter(({ name }) => made.goals.some((goal) => goal.name === name));
      const theirs = await inOrderOf(whole.mip, goals, valuesOf(whole, rota), highs);
      expect(made.goals, `garden ${seed}`).toEqual(theirs.reached);
    }
  });
});
