import { describe, expect, it } from 'vitest';
import { seeded } from '../../../maths/index.ts';
import { broken } from '../../../solving/index.ts';
import { brokenRules } from '../check.ts';
import { readRota, rotaModel, valuesOf } from '../model/index.ts';
import { randomGarden, somePerson, someProblem, someSession, someTask } from '../testing/index.ts';
import { firstRota } from './first.ts';

const small = { people: 8, sessions: 6, tasks: 14, weeks: 2 };

describe('a first rota', () => {
  it('keeps every rule, by the checker and by the model, in gardens of all kinds', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const problem = randomGarden(seeded(seed), small);
      const model = rotaModel(problem);
      const rota = firstRota(model);
      expect(brokenRules(problem, rota), `garden ${seed}`).toEqual([]);
      const values = valuesOf(model, rota);
      expect(broken(model.mip, values), `garden ${seed}`).toEqual([]);
      expect(readRota(model, values).placed).toHaveLength(rota.placed.length);
    }
  });

  it('puts what comes before a task no later than it', () => {
    const problem = someProblem({
      sessions: [someSession('early', '2026-05-05'), someSession('late', '2026-05-12')],
      tasks: [
        someTask('sow', { minutes: 40, best: '2026-05-05', after: ['prepare'] }),
        someTask('prepare', { minutes: 52, earliest: '2026-05-10' }),
      ],
      people: [somePerson('ada')],
    });
    expect(firstRota(rotaModel(problem)).placed).toEqual([
      { taskId: 'prepare', sessionId: 'late' },
      { taskId: 'sow', sessionId: 'late' },
    ]);
  });
});

describe('the best day of a task', () => {
  const sessions = ['2026-05-05', '2026-05-12', '2026-05-19'].map((on) => someSession(on, on));
  const people = [somePerson('ada')];
  const daysOf = (problem: ReturnType<typeof someProblem>) =>
    Object.fromEntries(
      firstRota(rotaModel(problem)).placed.map(({ taskId, sessionId }) => [taskId, sessionId]),
    );

  it('draws it, also where something else waits for it', () => {
    const tasks = [
      someTask('sow', { best: '2026-05-12', latest: '2026-05-30' }),
      someTask('net', { best: '2026-05-19', latest: '2026-05-30', after: ['sow'] }),
    ];
    expect(daysOf(someProblem({ sessions, tasks, people }))).toEqual({
      sow: '2026-05-12',
      net: '2026-05-19',
    });
  });

  it('gives way to the last day of what waits for it', () => {
    const tasks = [
      someTask('prepare', { minutes: 60, best: '2026-05-19', latest: '2026-05-30' }),
      someTask('sow', { minutes: 40, best: '2026-05-05', latest: '2026-05-06', after: ['prepare'] }),
    ];
    expect(daysOf(someProblem({ sessions, tasks, people }))).toEqual({
      prepare: '2026-05-05',
      sow: '2026-05-05',
    });
  });

  it('is counted in days off it, of all tasks, as the least of all goals', () => {
    const tasks = [someTask('sow', { best: '2026-05-10', latest: '2026-05-30' })];
    const { goals, places } = rotaModel(someProblem({ sessions, tasks, people }));
    const goal = goals.at(-1)!;
    expect(goal.name).toBe('timely');
    const offOf = new Map(goal.terms);
    expect(places.map(({ session, column }) => [session.on, offOf.get(column)])).toEqual([
      ['2026-05-05', -5],
      ['2026-05-12', -2],
      ['2026-05-19', -9],
    ]);
  });
});

describe('a first rota with little room', () => {
  const early = someSession('early', '2026-05-05');
  const late = someSession('late', '2026-05-12');

  // What has to come before is too little to call anybody out for, so that other work is put in first.
  const crowd = [
    someTask('prepare', { minutes: 5, latest: '2026-05-06' }),
    someTask('must', { minutes: 95, critical: true, latest: '2026-05-06', after: ['prepare'] }),
    someTask('other', { minutes: 60, best: '2026-05-05' }),
  ];
  const people = [somePerson('ada')];
  const daysOf = (sessions: (typeof early)[]) => {
    const problem = someProblem({ sessions, tasks: crowd, people });
    const rota = firstRota(rotaModel(problem));
    expect(brokenRules(problem, rota)).toEqual([]);
    return Object.fromEntries(rota.placed.map(({ taskId, sessionId }) => [taskId, sessionId]));
  };

  it('makes room for what cannot wait by doing other work on another day', () => {
    expect(daysOf([early, late])).toEqual({ prepare: 'early', must: 'early', other: 'late' });
  });

  it('then finds a place for what waited for that', () => {
    const after = someTask('after', { minutes: 40, earliest: '2026-05-10', after: ['must'] });
    const problem = someProblem({ sessions: [early, late], tasks: [...crowd, after], people });
    const rota = firstRota(rotaModel(problem));
    expect(brokenRules(problem, rota)).toEqual([]);
    expect(rota.placed.map(({ taskId }) => taskId).sort()).toEqual(['after', 'must', 'other', 'prepare']);
  });

  it('leaves out what counts for less where there is no other day', () => {
    expect(daysOf([early])).toEqual({ prepare: 'early', must: 'early' });
  });
});
