import { seeded } from '@unity-acre/core/maths';
import { attendanceModel, choicesOf, makeRota, type RotaProblem, type RotaTask } from '@unity-acre/core/work';
import { randomGarden } from '@unity-acre/core/work/rota/testing';
import { solve } from '@unity-acre/server';
import { isSmall } from './size.ts';

/*
 * Making a rota: 40 people × 30 sessions × 150 tasks, to the end of every goal; and 300 × 120 × 1,000, as far as
 * the goals come. Beside the time of the solver stands that of our own building, which should be a quarter of it at most.
 */

/** Seconds it takes to build the models of a rota again, with the days it has given the work. */
function buildingOf(problem: RotaProblem, placed: readonly { taskId: string; sessionId: string }[]): number {
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const tasksOf = new Map<string, RotaTask[]>();
  for (const { taskId, sessionId } of placed)
    tasksOf.set(sessionId, [...(tasksOf.get(sessionId) ?? []), tasks.get(taskId)!]);
  const from = performance.now();
  attendanceModel(problem, choicesOf(problem).seats, tasksOf);
  return performance.now() - from;
}

const whole = [
  { people: 40, sessions: 30, tasks: 150, weeks: 4, gap: 0, seconds: 20, seeds: [3, 5, 6] },
  { people: 300, sessions: 120, tasks: 1000, weeks: 12, gap: 0.01, seconds: 30, seeds: [3, 5] },
];
const little = [{ people: 6, sessions: 3, tasks: 8, weeks: 1, gap: 0, seconds: 5, seeds: [3] }];
for (const { gap, seconds, seeds, ...size } of isSmall ? little : whole) {
  for (const seed of seeds) {
    const problem = randomGarden(seeded(seed), size);
    const begun = performance.now();
    let solving = 0;
    let firstAt = 0;
    const reachedAt = new Map<string, number>();
    const made = await makeRota(
      problem,
      async (mip, first, step, exact) => {
        const from = performance.now();
        const solved = await solve(mip, { first, gap: exact ? 0 : gap, seconds, step });
        solving += performance.now() - from;
        return solved;
      },
      {
        tell: (reached) => {
          firstAt ||= performance.now() - begun;
          for (const { name } of reached)
            if (!reachedAt.has(name)) reachedAt.set(name, performance.now() - begun);
        },
      },
    );
    const whole = performance.now() - begun;
    const s = (ms: number) => `${(ms / 1000).toFixed(1)} s`;
    console.log(
      `${size.people} people, ${size.sessions} sessions, ${size.tasks} tasks (garden ${seed}): ${s(whole)}, first rota after ${s(firstAt)}, building models ${(buildingOf(problem, made.placed) / solving).toFixed(2)} and all of our own ${((whole - solving) / solving).toFixed(2)} of the solver's time`,
    );
    for (const { name, worth, bound, proved } of made.goals)
      console.log(
        `  ${name}: ${worth}, at most ${bound}${proved ? ', proved' : ''}, after ${s(reachedAt.get(name)!)}`,
      );
    if (size.people > 100) continue;

    // The fullest session is called off, and what is left repaired, with every other promise standing first.
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
}
