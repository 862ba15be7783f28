import { describe, expect, it } from 'vitest';
import { seeded } from '../../../maths/index.ts';
import type { Mip, Solver } from '../../../solving/index.ts';
import { byYalps } from '../../../solving/testing/index.ts';
import { brokenRules } from '../check.ts';
import { firstRota } from '../first/index.ts';
import { choicesOf, goalNames } from '../model/index.ts';
import type { Rota, RotaProblem, RotaTask } from '../problem/index.ts';
import {
  bestOfAll,
  randomGarden,
  somePerson,
  someProblem,
  someSession,
  someTask,
  tinyGarden,
  worthsOf,
} from '../testing/index.ts';
import { makeRota } from './solve.ts';

/** A solver that finds nothing better than what it begins with, and keeps what it was asked. */
function idle(): { solver: Solver; asked: Mip[] } {
  const asked: Mip[] = [];
  const solver: Solver = async (mip, first) => {
    asked.push(mip);
    return { values: first, bound: Number.POSITIVE_INFINITY, proved: false };
  };
  return { solver, asked };
}
const days = ({ placed }: Rota) =>
  Object.fromEntries(placed.map(({ taskId, sessionId }) => [taskId, sessionId]));
const hasWork = (mip: Mip) => mip.columns.some(({ name }) => name.startsWith('does '));

describe('a small rota', () => {
  it('is what trying every rota finds, goal by goal, whichever solver looks for it', async () => {
    for (let seed = 1; seed <= 5; seed++) {
      const problem = tinyGarden(seed);
      const made = await makeRota(problem, byYalps);
      expect(worthsOf(problem, made), `garden ${seed}`).toEqual(bestOfAll(problem));
      expect(made.goals.every(({ proved }) => proved)).toBe(true);
      expect(made.settled).toBe('nothing');
    }
  });

  it('tells what it begins with, then of each goal as it is reached', async () => {
    const problem = tinyGarden(3);
    const told: [names: string, rota: Rota][] = [];
    const made = await makeRota(problem, byYalps, {
      tell: (reached, rota) => told.push([reached.map(({ name }) => name).join(' '), rota]),
    });
    expect(told[0]).toEqual(['', firstRota(choicesOf(problem))]);
    expect(told.slice(1).map(([names]) => names)).toEqual(
      goalNames.map((_, i) => goalNames.slice(0, i + 1).join(' ')),
    );
    for (const [, rota] of told) expect(brokenRules(problem, rota)).toEqual([]);
    expect(told.at(-1)![1]).toEqual({ seats: made.seats, placed: made.placed });
  });
});

describe('a large rota', () => {
  const problem = randomGarden(seeded(9), { people: 20, sessions: 10, tasks: 160, weeks: 1 });

  it('has its work reached first, and then who comes for its days', async () => {
    const { solver, asked } = idle();
    const told: string[] = [];
    const made = await makeRota(problem, solver, {
      tell: (reached) => told.push(reached.map(({ name }) => name).join(' ')),
    });
    expect(made.settled).toBe('days');
    expect(brokenRules(problem, made)).toEqual([]);
    const first = firstRota(choicesOf(problem));
    expect(days(made)).toEqual(days(first));
    const names = made.goals.map(({ name }) => name);
    expect(names).toEqual(['critical', 'minutes', 'sky', 'shortfall', 'spread', 'together', 'kept']);
    expect(told[0]).toBe('');
    expect(told.at(-1)).toBe(names.join(' '));
    // Once it is about people, there is nothing left to be said of the work.
    const people = asked.findIndex((mip) => !hasWork(mip));
    expect(people).toBeGreaterThan(0);
    expect(asked.slice(people).some(hasWork)).toBe(false);
  });

  it('asks nothing about work that is all done to begin with', async () => {
    const sessions = Array.from({ length: 10 }, (_, i) =>
      someSession(`s${i}`, '2026-05-05', { from: `${i + 9 < 10 ? '0' : ''}${i + 9}:00`, to: `${i + 10}:00` }),
    );
    const people = Array.from({ length: 32 }, (_, i) => somePerson(`p${i}`, { owed: i % 3 }));
    const tasks = [someTask('a', { best: '2026-05-05' }), someTask('b', { critical: true })];
    const { solver, asked } = idle();
    const told: string[] = [];
    const tell = (reached: readonly { name: string }[]) =>
      told.push(reached.map(({ name }) => name).join(' '));
    const made = await makeRota(someProblem({ sessions, people, tasks }), solver, { tell });
    expect(made.placed.map(({ taskId }) => taskId).sort()).toEqual(['a', 'b']);
    expect(asked.some(hasWork)).toBe(false);
    expect(told.slice(0, 2)).toEqual(['', 'critical minutes sky']);
    expect(made.goals.slice(0, 3).every(({ proved }) => proved)).toBe(true);
  });

  it('keeps in a repair what was promised before more work, whatever people owe', async () => {
    const made = await makeRota(problem, idle().solver, { repairing: true });
    expect(made.goals.map(({ name }) => name)).toEqual([
      'critical',
      'kept',
      'minutes',
      'sky',
      'shortfall',
      'spread',
      'together',
    ]);
    const { worth } = made.goals.find(({ name }) => name === 'kept')!;
    const kept = problem.promised.filter(({ personId, sessionId }) =>
      made.seats.some((seat) => seat.personId === personId && seat.sessionId === sessionId),
    );
    expect(kept.length).toBeGreaterThanOrEqual(worth);
  });
});

describe('a repair', () => {
  const [early, late] = [someSession('early', '2026-05-05'), someSession('late', '2026-05-12')];
  const made = (tasks: RotaTask[], over: Partial<RotaProblem>) =>
    makeRota(
      someProblem({ sessions: [early, late], people: [somePerson('ada', { owed: 2 })], tasks, ...over }),
      byYalps,
      { repairing: true },
    );
  // Of 102 minutes one of them takes ninety.
  const weed = someTask('weed', { minutes: 90, best: '2026-05-05' });
  const must = someTask('must', { minutes: 90, critical: true, best: '2026-05-05' });

  it('leaves where it is what still stands, though another day would be better', async () => {
    const standing = [{ taskId: 'weed', sessionId: 'late' }];
    const promised = [{ personId: 'ada', sessionId: 'late' }];
    const rota = await made([weed], { standing, promised });
    expect(days(rota)).toEqual({ weed: 'late' });
    expect(rota.settled).toBe('standing');
    expect(rota.goals.slice(0, 2).map(({ name }) => name)).toEqual(['critical', 'kept']);
    // Where nothing stands, it is made as any other.
    const anew = await made([weed], { promised: [] });
    expect(days(anew)).toEqual({ weed: 'early' });
    expect(anew.settled).toBe('nothing');
  });

  it('puts what fell out around what stands', async () => {
    const rota = await made([weed, { ...must, critical: false }], {
      standing: [{ taskId: 'weed', sessionId: 'early' }],
    });
    expect(days(rota)).toEqual({ weed: 'early', must: 'late' });
    expect(rota.settled).toBe('standing');
  });

  it('has what stands give way to something critical, and go where there is room for it', async () => {
    const standing = [{ taskId: 'weed', sessionId: 'early' }];
    const urgent = { ...must, latest: '2026-05-06' };
    const rota = await made([weed, urgent], { standing });
    expect(days(rota)).toEqual({ weed: 'late', must: 'early' });
    expect(rota.settled).toBe('standing');
    // What was put there by hand gives way too, but goes nowhere else.
    const byHand = await made([weed, urgent], { taskLocks: standing, standing });
    expect(days(byHand)).toEqual({ must: 'early' });
    // Where there is no other day, it is left out.
    const alone = await made([{ ...weed, latest: '2026-05-06' }, urgent], { standing });
    expect(days(alone)).toEqual({ must: 'early' });
  });

  it('moves all of it where something critical would be left undone for it', async () => {
    // Both stand where only one can; what is critical waits for what stands too late.
    const standing = [{ taskId: 'weed', sessionId: 'late' }];
    const waiting = { ...must, minutes: 10, latest: '2026-05-06', after: ['weed'] };
    const rota = await made([weed, waiting], { standing });
    expect(days(rota)).toEqual({ weed: 'early', must: 'early' });
    expect(rota.settled).toBe('nothing');
  });

  it('leaves it where what is critical could not be done anyhow', async () => {
    const standing = [{ taskId: 'weed', sessionId: 'late' }];
    const never = { ...must, minutes: 300, latest: '2026-05-06' };
    const rota = await made([weed, never], { standing });
    expect(days(rota)).toEqual({ weed: 'late' });
    expect(rota.settled).toBe('standing');
  });
});
