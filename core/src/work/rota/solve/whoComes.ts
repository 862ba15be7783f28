import { type GoalReached, inOrderOf, type Row, type Solver } from '../../../solving/index.ts';
import { followingColumns, type GoalName, type RotaModel } from '../model/index.ts';
import type { Rota, RotaProblem, RotaTask } from '../problem/index.ts';
import { type Attendance, attendanceModel, missed } from './attendance.ts';
import { tradeForWishes } from './trade.ts';

/** How often rows that a solver's choice shows to be wanting are put into a model before it is left as it was. */
const MOST_ROUNDS = 5;

/** Goals about people that are reached as one sum: how fair the load is, then what people wish and were promised. */
const steps: readonly (readonly GoalName[])[] = [
  ['shortfall', 'spread'],
  ['together', 'kept'],
];

type Tell = (reached: readonly GoalReached<GoalName>[], rota: Rota) => void;

/**
 * Reaches the goals about people for work whose days are given.
 * @param mayCome who may come when
 * @param rota the days of all work, and who comes so far
 * @param reached the goals that were reached before; none of their promises is given up
 */
export async function whoComes(
  problem: RotaProblem,
  mayCome: RotaModel['seats'],
  rota: Rota,
  reached: readonly GoalReached<GoalName>[],
  solver: Solver,
  tell?: Tell,
): Promise<Rota & { goals: GoalReached<GoalName>[] }> {
  const tasks = new Map(problem.tasks.map((task) => [task.id, task]));
  const tasksOf = new Map<string, RotaTask[]>();
  for (const { taskId, sessionId } of rota.placed)
    tasksOf.set(sessionId, [...(tasksOf.get(sessionId) ?? []), tasks.get(taskId)!]);
  const attendance = attendanceModel(problem, mayCome, tasksOf);
  const { mip, goals, seats } = attendance;
  const goalOf = (name: GoalName) => goals.find((goal) => goal.name === name)!;
  const promises = reached.find(({ name }) => name === 'kept');
  if (promises) mip.row('promises', goalOf('kept').terms, promises.worth, Number.POSITIVE_INFINITY);
  const comes = new Set(rota.seats.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const begun = new Float64Array(mip.columns.length);
  for (const { person, session, column } of seats)
    begun[column] = comes.has(`${person.id} ${session.id}`) ? 1 : 0;
  followingColumns(attendance, begun);
  const rotaOf = (values: ArrayLike<number>): Rota => ({
    placed: rota.placed,
    seats: seats
      .filter(({ column }) => values[column]! > 0.5)
      .map(({ person, session }) => ({ personId: person.id, sessionId: session.id })),
  });
  const done = await inOrderOf(
    mip,
    steps.map((names) => names.filter((name) => !reached.some((goal) => goal.name === name)).map(goalOf)),
    begun,
    divisibleBy(attendance, solver),
    (more, values) => tell?.([...reached, ...more], rotaOf(values)),
  );
  return { ...rotaOf(done.values), goals: [...reached, ...done.reached] };
}

/** A solver of attendances whose work can be divided among those who come: what it missed becomes rows of all that follows. */
function divisibleBy(attendance: Attendance, solver: Solver): Solver {
  const more: Row[] = [];
  return async (posed, first, step, exact) => {
    const begun = tradeForWishes(attendance, posed, first);
    let bound = Number.POSITIVE_INFINITY;
    for (let round = 0; round < MOST_ROUNDS; round++) {
      const now = posed.copy();
      now.rows.push(...more);
      const solved = await solver(now, begun, step, exact);
      const wanting = missed(attendance, solved.values);
      if (wanting.length === 0) return { ...solved, bound: Math.min(bound, solved.bound) };
      bound = Math.min(bound, solved.bound);
      more.push(...wanting);
    }
    return { values: begun, bound, proved: false };
  };
}
