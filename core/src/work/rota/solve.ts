import { type GoalReached, inOrderOf, type Solver } from '../../solving/index.ts';
import { firstRota, valuesOf } from './first.ts';
import type { GoalName } from './goals.ts';
import { readRota, rotaModel } from './model.ts';
import type { Rota, RotaProblem } from './problem.ts';
import { addWholePeople } from './settled.ts';

export interface MadeRota extends Rota {
  goals: GoalReached<GoalName>[];
  /** true where the last goals were reached with the days of the work settled by the first ones */
  daysSettled: boolean;
}

/** Up to so many choices, all goals are reached in one model; beyond, the work gets its days first. */
const SMALL = 300;

const ofWork: readonly GoalName[] = ['critical', 'minutes', 'sky'];

/**
 * Makes a rota: reaches the goals in their order. In a large garden the goals of the work (what is done, when) are reached
 * first and settle its days; who comes is then chosen for those days.
 * @param repairing keeps what was promised before anything but what is critical
 */
export async function makeRota(
  problem: RotaProblem,
  solver: Solver,
  options: { repairing?: boolean; tell?(reached: readonly GoalReached<GoalName>[], rota: Rota): void } = {},
): Promise<MadeRota> {
  const { repairing = false, tell } = options;
  const model = rotaModel(problem, repairing);
  const begun = valuesOf(model, firstRota(model));
  tell?.([], readRota(model, begun));
  const isSmall = model.seats.length + model.places.length <= SMALL;
  const goals = model.goals.filter(
    ({ name }) => isSmall || ofWork.includes(name) || (repairing && name === 'kept'),
  );
  const work = await inOrderOf(model.mip, goals, begun, solver, (reached, values) =>
    tell?.(reached, readRota(model, values)),
  );
  const rota = readRota(model, work.values);
  if (isSmall) return { ...rota, goals: work.reached, daysSettled: false };

  const placed = new Map(rota.placed.map(({ taskId, sessionId }) => [taskId, sessionId]));
  const settled = rotaModel(
    {
      ...problem,
      taskLocks: problem.tasks.map(({ id }) => ({ taskId: id, sessionId: placed.get(id) ?? null })),
    },
    repairing,
  );
  const rest = settled.goals.filter(({ name }) => !ofWork.includes(name));
  // What is done stays done: the days are given, so that each task has one place.
  for (const { column } of settled.places) settled.mip.row(`stays ${column}`, [[column, 1]], 1, 1);
  addWholePeople(settled);
  const people = await inOrderOf(settled.mip, rest, valuesOf(settled, rota), solver, (reached, values) =>
    tell?.([...work.reached, ...reached], readRota(settled, values)),
  );
  const names = new Set(people.reached.map(({ name }) => name));
  return {
    ...readRota(settled, people.values),
    goals: [...work.reached.filter(({ name }) => !names.has(name)), ...people.reached],
    daysSettled: true,
  };
}
