import { describe, expect, it } from 'vitest';
import { seeded } from '../../../maths/index.ts';
import { broken, inOrderOf, worthOf } from '../../../solving/index.ts';
import { byYalps } from '../../../solving/testing/index.ts';
import { brokenRules } from '../check.ts';
import { firstRota } from '../first/index.ts';
import { choicesOf, valuesOf } from '../model/index.ts';
import {
  modelWithDays,
  randomGarden,
  somePerson,
  someProblem,
  someSession,
  someTask,
  tinyGarden,
  worthsOf,
} from '../testing/index.ts';
import { whoComes } from './whoComes.ts';

describe('who comes, where the days of the work are given', () => {
  it('is as good as in the whole model with those days, where the work is divided as a flow', async () => {
    for (let seed = 1; seed <= 6; seed++) {
      const problem = tinyGarden(seed);
      const choices = choicesOf(problem);
      const rota = firstRota(choices);
      const made = await whoComes(problem, choices.seats, rota, [], byYalps);
      expect(brokenRules(problem, made), `garden ${seed}`).toEqual([]);
      expect(made.placed).toEqual(rota.placed);
      const whole = modelWithDays(problem, rota);
      const goals = whole.goals.filter(({ name }) => made.goals.some((goal) => goal.name === name));
      const theirs = await inOrderOf(whole.mip, goals, valuesOf(whole, rota), byYalps);
      expect(made.goals, `garden ${seed}`).toEqual(theirs.reached);
    }
  });

  it('gives up no promise that was kept before, though the load would be fairer without', async () => {
    // Ada owes nothing and was promised; Bo owes one. There is work for one of them.
    const problem = someProblem({
      sessions: [someSession('s', '2026-05-05', { capacity: 1 })],
      people: [somePerson('ada'), somePerson('bo', { owed: 1 })],
      tasks: [someTask('t')],
      promised: [{ personId: 'ada', sessionId: 's' }],
    });
    const rota = {
      seats: [{ personId: 'ada', sessionId: 's' }],
      placed: [{ taskId: 't', sessionId: 's' }],
    };
    const { seats } = choicesOf(problem);
    const kept = { name: 'kept' as const, worth: 1, bound: 1, proved: true };
    const told: string[] = [];
    const held = await whoComes(problem, seats, rota, [kept], byYalps, (reached) =>
      told.push(reached.map(({ name }) => name).join(' ')),
    );
    expect(held.seats).toEqual(rota.seats);
    expect(held.goals.map(({ name }) => name)).toEqual(['kept', 'shortfall', 'spread', 'together']);
    expect(told).toEqual(['kept shortfall spread', 'kept shortfall spread together']);
    const free = await whoComes(problem, seats, rota, [], byYalps);
    expect(free.seats).toEqual([{ personId: 'bo', sessionId: 's' }]);
    expect(free.goals.at(-1)).toEqual({ name: 'kept', worth: 0, bound: 0, proved: true });
  });

  it('adds what a choice misses, and begins with trades that break no rule', async () => {
    const problem = randomGarden(seeded(9), { people: 25, sessions: 16, tasks: 60, weeks: 3 });
    const choices = choicesOf(problem);
    const rota = firstRota(choices);
    const begun: number[] = [];
    const made = await whoComes(problem, choices.seats, rota, [], async (mip, first) => {
      expect(broken(mip, first)).toEqual([]);
      begun.push(worthOf(mip, first));
      // A solver that sends everybody home but those who are fixed: nobody does the work.
      const lazy = begun.length === 1 ? new Float64Array(first.length) : first;
      if (begun.length === 2) expect(mip.rows.some(({ name }) => name.startsWith('missed'))).toBe(true);
      return { values: lazy, bound: Number.POSITIVE_INFINITY, proved: false };
    });
    expect(brokenRules(problem, made)).toEqual([]);
    const shifts = (seats: typeof rota.seats) =>
      problem.people.map(({ id }) => seats.filter(({ personId }) => personId === id).length);
    expect(shifts(made.seats)).toEqual(shifts(rota.seats));
    expect(worthsOf(problem, made)[5]).toBeGreaterThan(worthsOf(problem, rota)[5]!);
  });
});
