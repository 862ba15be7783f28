import { seeded } from '@unity-acre/core/maths';
import type { Solver } from '@unity-acre/core/solving';
import {
  attendanceModel,
  choicesOf,
  type MadeRota,
  makeRota,
  RotaBroken,
  type RotaProblem,
  type RotaTask,
  rotaModel,
} from '@unity-acre/core/work';
import { randomGarden } from '@unity-acre/core/work/rota/testing';
import { solve } from '@unity-acre/server';
import { isSmall } from './size.ts';

/*
 * Making a rota: 40 people × 30 sessions × 150 tasks, to the end of every goal; and 300 × 120 × 1,000, as far as
 * the goals come. Beside the time of the solver stands that of our own building, which should be a quarter of it at most.
 * Each garden is made once with all rows and once without those that keep what is done one after another within a session,
 * the two taking turns at going first.
 */

interface Limits {
  gap: number;
  /** most seconds for each goal */
  seconds: number;
}

interface Timed {
  /** null where what was made breaks a rule, which is what rows are left out for here */
  made: MadeRota | null;
  broken: number;
  whole: number;
  solving: number;
  firstAt: number;
  reachedAt: ReadonlyMap<string, number>;
}

const s = (ms: number) => `${(ms / 1000).toFixed(1)} s`;

const isOfChain = ({ name }: { name: string }) => name.startsWith('one after another ');

/** A solver that leaves out the rows of chains inside a session. */
const withoutChains =
  (solver: Solver): Solver =>
  (mip, ...rest) => {
    const without = mip.copy();
    const rows = without.rows.filter((row) => !isOfChain(row));
    without.rows.splice(0, without.rows.length, ...rows);
    return solver(without, ...rest);
  };

/**
 * A garden whose work comes in chains of three, in the same days, each for one person at a time: more than there is time
 * for in one session, so that the rows of chains bind.
 */
function inChains(problem: RotaProblem): RotaProblem {
  const tasks = problem.tasks.map((task, i) => {
    const head = problem.tasks[i - (i % 3)]!;
    const { earliest, best, latest } = head;
    const after = i % 3 === 0 ? [] : [problem.tasks[i - 1]!.id];
    return { ...task, earliest, best, latest, after, fewest: 1, most: 1, minutes: 70 };
  });
  return { ...problem, tasks };
}

const chainRowsOf = (problem: RotaProblem): number => rotaModel(problem).mip.rows.filter(isOfChain).length;

async function timed(problem: RotaProblem, { gap, seconds }: Limits, hasChains: boolean): Promise<Timed> {
  const begun = performance.now();
  let solving = 0;
  let firstAt = 0;
  const reachedAt = new Map<string, number>();
  const solver: Solver = async (mip, first, step, exact) => {
    const from = performance.now();
    const solved = await solve(mip, { first, gap: exact ? 0 : gap, seconds, step });
    solving += performance.now() - from;
    return solved;
  };
  let made: MadeRota | null = null;
  let broken = 0;
  try {
    made = await makeRota(problem, hasChains ? solver : withoutChains(solver), {
      tell: (reached) => {
        firstAt ||= performance.now() - begun;
        for (const { name } of reached)
          if (!reachedAt.has(name)) reachedAt.set(name, performance.now() - begun);
      },
    });
  } catch (error) {
    if (!(error instanceof RotaBroken) || hasChains) throw error;
    broken = error.rules.length;
  }
  return { made, broken, whole: performance.now() - begun, solving, firstAt, reachedAt };
}

/** Milliseconds it takes to build the models of a rota again, with the days it has given the work. */
function buildingOf(problem: RotaProblem, placed: readonly { taskId: string; sessionId: string }[]): number {
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const tasksOf = new Map<string, RotaTask[]>();
  for (const { taskId, sessionId } of placed)
    tasksOf.set(sessionId, [...(tasksOf.get(sessionId) ?? []), tasks.get(taskId)!]);
  const from = performance.now();
  attendanceModel(problem, choicesOf(problem).seats, tasksOf);
  return performance.now() - from;
}

/** The fullest session is called off, and what is left repaired, with every other promise standing first. */
async function repair(problem: RotaProblem, made: MadeRota, { gap, seconds }: Limits): Promise<void> {
  const seats = new Map<string, number>();
  for (const { sessionId } of made.seats) seats.set(sessionId, (seats.get(sessionId) ?? 0) + 1);
  const [off] = [...seats].reduce((most, one) => (one[1] > most[1] ? one : most));
  const from = performance.now();
  const repaired = await makeRota(
    {
      ...problem,
      sessions: problem.sessions.filter(({ id }) => id !== off),
      promised: made.seats.filter(({ sessionId }) => sessionId !== off),
      standing: made.placed.filter(({ sessionId }) => sessionId !== off),
      seatLocks: problem.seatLocks.filter(({ sessionId }) => sessionId !== off),
      taskLocks: problem.taskLocks.filter(({ sessionId }) => sessionId !== off),
    },
    (mip, first, step) => solve(mip, { first, gap, seconds, step }),
    { repairing: true },
  );
  const kept = repaired.goals.find(({ name }) => name === 'kept')!;
  console.log(
    `  repaired after one fell away: ${s(performance.now() - from)}, promises kept ${kept.worth} of ${made.seats.length - seats.get(off)!}`,
  );
}

const whole = [
  { people: 40, sessions: 30, tasks: 150, weeks: 4, gap: 0, seconds: 20, seeds: [3, 5, 6] },
  { people: 300, sessions: 120, tasks: 1000, weeks: 12, gap: 0.01, seconds: 30, seeds: [3, 5] },
];
const little = [{ people: 6, sessions: 3, tasks: 8, weeks: 1, gap: 0, seconds: 5, seeds: [3] }];
// What is run first is slow for being compiled: a small garden is, before any is timed.
await timed(randomGarden(seeded(1), little[0]!), little[0]!, true);
let isFirst = true;
for (const { gap, seconds, seeds, ...size } of isSmall ? little : whole) {
  const limits = { gap, seconds };
  for (const seed of seeds) {
    const problem = inChains(randomGarden(seeded(seed), size));
    const turns: [hasChains: boolean, timed: Timed][] = [];
    for (const hasChains of isFirst ? [true, false] : [false, true])
      turns.push([hasChains, await timed(problem, limits, hasChains)]);
    isFirst = !isFirst;
    const [all, without] = [true, false].map((which) => turns.find(([has]) => has === which)![1]);
    const made = all!.made!;
    console.log(
      `${size.people} people, ${size.sessions} sessions, ${size.tasks} tasks (garden ${seed}): ${s(all!.whole)}, first rota after ${s(all!.firstAt)}, building models ${(buildingOf(problem, made.placed) / all!.solving).toFixed(2)} and all of our own ${((all!.whole - all!.solving) / all!.solving).toFixed(2)} of the solver's time`,
    );
    console.log(
      `  without the ${chainRowsOf(problem)} rows of chains in a session: ${s(without!.whole)} (with them ${(all!.whole / without!.whole).toFixed(2)} of that), and ${without!.broken} rules broken`,
    );
    for (const { name, worth, bound, proved } of made.goals)
      console.log(
        `  ${name}: ${worth}, at most ${bound}${proved ? ', proved' : ''}, after ${s(all!.reachedAt.get(name)!)}`,
      );
    if (size.people <= 100) await repair(problem, made, limits);
  }
}
