import { describe, expect, it } from 'vitest';
import { inOrderOf, type LinearGoal, Mip, type Solver, worthOf } from './index.ts';

/** Every choice of a model of yes and no, one after another. */
const byTrying: Solver = async (mip, first) => {
  let best = first;
  for (let n = 0; n < 2 ** mip.columns.length; n++) {
    const values = Float64Array.from(mip.columns, (_, c) => (n >> c) & 1);
    const keeps = mip.rows.every(({ terms, least, most }) => {
      const sum = terms.reduce((total, [column, times]) => total + times * values[column]!, 0);
      return least - 1e-6 <= sum && sum <= most + 1e-6;
    });
    if (keeps && worthOf(mip, values) > worthOf(mip, best) + 1e-9) best = values;
  }
  return { values: best, bound: worthOf(mip, best), proved: true };
};

const columns = 7;

/** The same numbers for the same seed (Lehmer, Park & Miller 1988). */
function numbers(seed: number): (below: number) => number {
  let state = seed * 7919;
  return (below) => {
    state = (state * 48_271) % 2_147_483_647;
    return state % below;
  };
}

/** A model of yes and no with three goals in whole numbers, some of them at odds. */
function someModel(seed: number): { mip: Mip; goals: LinearGoal[] } {
  const below = numbers(seed);
  const mip = new Mip();
  for (let c = 0; c < columns; c++) mip.column(`c${c}`, 0);
  for (let r = 0; r < 3; r++) {
    const terms = Array.from({ length: columns }, (_, c): [number, number] => [c, below(4)]);
    mip.row(`r${r}`, terms, 0, 4 + below(4));
  }
  const goals = ['first', 'second', 'third'].map((name): LinearGoal => {
    const terms = Array.from({ length: columns }, (_, c): [number, number] => [c, below(5) - 2]);
    const sum = (of: (times: number) => number) => terms.reduce((total, [, times]) => total + of(times), 0);
    return {
      name,
      terms,
      most: sum((times) => Math.max(0, times)),
      least: sum((times) => Math.min(0, times)),
      whole: true,
    };
  });
  return { mip, goals };
}

describe('goals in their order', () => {
  it('come as far in one sum as one after another', async () => {
    for (let seed = 1; seed <= 30; seed++) {
      const { mip, goals } = someModel(seed);
      const none = new Float64Array(columns);
      const one = await inOrderOf(mip, goals, none, byTrying);
      const sum = await inOrderOf(mip, [goals], none, byTrying);
      expect(sum.reached, `model ${seed}`).toEqual(one.reached);
      expect(sum.reached.every(({ worth, bound, proved }) => proved && worth === bound)).toBe(true);
    }
  });

  it('are no sum where a least is not known or a goal is not whole', async () => {
    const { mip, goals } = someModel(3);
    for (const other of [{ least: Number.NEGATIVE_INFINITY }, { whole: false }]) {
      let solves = 0;
      const counting: Solver = (...asked) => {
        solves += 1;
        return byTrying(...asked);
      };
      await inOrderOf(mip, [[goals[0]!, { ...goals[1]!, ...other }]], new Float64Array(columns), counting);
      expect(solves).toBe(2);
    }
  });

  it('are bounded by what is proved of the sum: the first at least, and the later ones only if the first is sure', async () => {
    const { mip, goals } = someModel(5);
    const none = new Float64Array(columns);
    const best = (await inOrderOf(mip, [goals], none, byTrying)).reached;
    for (const beyond of [0, 1, 40]) {
      // A solver that stays where it begins, and knows only a bound that is too high.
      const shy: Solver = async (posed, first, step, exact) => {
        const { bound } = await byTrying(posed, first, step, exact);
        return { values: first, bound: bound + beyond, proved: false };
      };
      const { reached } = await inOrderOf(mip, [goals], none, shy);
      for (const [i, goal] of reached.entries()) {
        expect(goal.worth).toBe(0);
        expect(goal.proved).toBe(goal.bound === 0);
        if (i === 0) expect(goal.bound).toBeGreaterThanOrEqual(best[0]!.worth);
      }
    }
  });
});
