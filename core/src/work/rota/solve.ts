import { type GoalReached, inOrderOf, type Solver } from '../../solving/index.ts';
import { firstRota, valuesOf } from './first.ts';
import type { GoalName } from './goals.ts';
import { type RotaModel, readRota, rotaModel } from './model.ts';
import type { Rota, RotaProblem } from './problem.ts';
import { addWholePeople } from './settled.ts';
import { asItStands } from './standing.ts';

export interface MadeRota extends Rota {
  goals: GoalReached<GoalName>[];
  /** what was settled before the goals were reached; their bounds hold for the rest */
  settled: Settled;
}

/** Nothing, the days of the work by the goals about it, or all that still stood when it was repaired. */
export const settledKinds = ['nothing', 'days', 'standing'] as const;
export type Settled = (typeof settledKinds)[number];

type Tell = (reached: readonly GoalReached<GoalName>[], rota: Rota) => void;

/** Up to so many choices, all goals are reached in one model; beyond, the work gets its days first. */
const SMALL = 300;

const ofWork: readonly GoalName[] = ['critical', 'minutes', 'sky'];

/**
 * Makes a rota: reaches the goals in their order. In a large garden the goals of the work (what is done, when) are reached
 * first and settle its days; who comes is then chosen for those days. A repair first tries to leave all that stands as it is,
 * and does so where nothing critical is lost by it.
 * @param repairing keeps what was promised before anything but what is critical
 */
export async function makeRota(
  problem: RotaProblem,
  solver: Solver,
  options: { repairing?: boolean; tell?: Tell } = {},
): Promise<MadeRota> {
  const { repairing = false, tell } = options;
  const model = rotaModel(problem, repairing);
  if (repairing && problem.standing.length > 0) {
    const repaired = await aroundStanding(problem, model, solver, tell);
    if (repaired) return repaired;
  }
  const begun = valuesOf(model, firstRota(model));
  tell?.([], readRota(model, begun));
  const isSmall = model.seats.length + model.places.length <= SMALL;
  const goals = model.goals.filter(
    ({ name }) => isSmall || ofWork.includes(name) || (repairing && name === 'kept'),
  );
  const work = await inOrderOf(model.mip, goals, begun, solver, (reached, values) =>
    tell?.(reached, readRota(model, values)),
  );
  if (isSmall) return { ...readRota(model, work.values), goals: work.reached, settled: 'nothing' };
  return { ...(await forItsDays(problem, model, work, { repairing, solver, tell })), settled: 'days' };
}

/** Reaches the goals about people for the days that the goals about the work have given it. */
async function forItsDays(
  problem: RotaProblem,
  model: RotaModel,
  work: { values: Float64Array; reached: GoalReached<GoalName>[] },
  { repairing, solver, tell }: { repairing: boolean; solver: Solver; tell: Tell | undefined },
): Promise<Rota & { goals: GoalReached<GoalName>[] }> {
  const rota = readRota(model, work.values);
  const placed = new Map(rota.placed.map(({ taskId, sessionId }) => [taskId, sessionId]));
  const settled = rotaModel(
    {
      ...problem,
      taskLocks: problem.tasks.map(({ id }) => ({ taskId: id, sessionId: placed.get(id) ?? null })),
    },
    repairing,
  );
  const rest = settled.goals.filter(({ name }) => !work.reached.some((goal) => goal.name === name));
  // What is done stays done: the days are given, so that each task has one place.
  for (const { column } of settled.places) settled.mip.row(`stays ${column}`, [[column, 1]], 1, 1);
  const kept = settled.goals.find(({ name }) => name === 'kept');
  const promises = work.reached.find(({ name }) => name === 'kept');
  if (kept && promises) settled.mip.row('promises', kept.terms, promises.worth, Number.POSITIVE_INFINITY);
  addWholePeople(settled);
  const people = await inOrderOf(settled.mip, rest, valuesOf(settled, rota), solver, (reached, values) =>
    tell?.([...work.reached, ...reached], readRota(settled, values)),
  );
  return { ...readRota(settled, people.values), goals: [...work.reached, ...people.reached] };
}

/** Repairs around what stands. @returns null where more of what is critical is done when that moves */
async function aroundStanding(
  problem: RotaProblem,
  free: RotaModel,
  solver: Solver,
  tell: Tell | undefined,
): Promise<MadeRota | null> {
  const held = rotaModel(asItStands(problem), true);
  const critical = (model: RotaModel) => model.goals.filter(({ name }) => name === 'critical');
  const begun = valuesOf(held, firstRota(held));
  const first = await inOrderOf(held.mip, critical(held), begun, solver);
  const worth = first.reached[0]!.worth;
  if (worth < critical(free)[0]!.most) {
    const best = await inOrderOf(free.mip, critical(free), valuesOf(free, firstRota(free)), solver);
    if (best.reached[0]!.worth > worth) return null;
  }
  const goals = held.goals.filter(({ name }) => ofWork.includes(name) || name === 'kept');
  const work = await inOrderOf(held.mip, goals, first.values, solver, (reached, values) =>
    tell?.(reached, readRota(held, values)),
  );
  return {
    ...(await forItsDays(held.problem, held, work, { repairing: true, solver, tell })),
    settled: 'standing',
  };
}
