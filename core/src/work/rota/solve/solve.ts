import {
  type GoalReached,
  goalWorth,
  inOrderOf,
  type LinearGoal,
  type Solver,
} from '../../../solving/index.ts';
import { brokenRules } from '../check.ts';
import { firstRota } from '../first/index.ts';
import {
  type Choices,
  choicesOf,
  chosenValues,
  type GoalName,
  goalOrder,
  keptGoalOf,
  readRota,
  rotaModel,
  valuesOf,
  workGoalsOf,
} from '../model/index.ts';
import type { Rota, RotaProblem } from '../problem/index.ts';
import { asItStands } from './standing.ts';
import { whoComes } from './whoComes.ts';

export interface MadeRota extends Rota {
  goals: GoalReached<GoalName>[];
  /** what was settled before the goals were reached; their bounds hold for the rest */
  settled: Settled;
}

/** A rota was made that breaks a rule of rotas: a fault of the program, and nothing to be shown. */
export class RotaBroken extends Error {
  override name = 'RotaBroken';
  constructor(
    what: string,
    readonly rules: readonly string[],
  ) {
    super(`${what} breaks ${rules.length} rules: ${rules.slice(0, 10).join('; ')}`);
  }
}

/** Nothing, the days of the work by the goals about it, or all that still stood when it was repaired. */
export const settledKinds = ['nothing', 'days', 'standing'] as const;
export type Settled = (typeof settledKinds)[number];

type Tell = (reached: readonly GoalReached<GoalName>[], rota: Rota) => void;

/** Up to so many choices, all goals are reached in one model; beyond, the work gets its days first. */
const SMALL = 300;

/**
 * Makes a rota: reaches the goals in their order. In a large garden the goals of the work (what is done, when) are reached
 * first and settle its days; who comes is then chosen for those days. A repair first tries to leave all that stands as it is,
 * and does so where nothing critical is lost by it.
 * @param repairing keeps what was promised before anything but what is critical
 * @throws RotaBroken where what was made, or what it was begun with, breaks a rule
 */
export async function makeRota(
  problem: RotaProblem,
  solver: Solver,
  options: { repairing?: boolean; tell?: Tell } = {},
): Promise<MadeRota> {
  const made = await reachGoals(problem, solver, options);
  held(problem, made, 'the rota');
  return made;
}

/** @throws RotaBroken for a rota that breaks a rule, by a check that shares nothing with what made it */
function held<Held extends Rota>(problem: RotaProblem, rota: Held, what: string): Held {
  const broken = brokenRules(problem, rota);
  if (broken.length > 0) throw new RotaBroken(what, broken);
  return rota;
}

async function reachGoals(
  problem: RotaProblem,
  solver: Solver,
  { repairing = false, tell }: { repairing?: boolean; tell?: Tell },
): Promise<MadeRota> {
  const choices = choicesOf(problem);
  if (repairing && problem.standing.length > 0) {
    const repaired = await aroundStanding(problem, choices, solver, tell);
    if (repaired) return repaired;
  }
  const begun = held(problem, firstRota(choices), 'what it begins with');
  tell?.([], begun);
  if (choices.seats.length + choices.places.length <= SMALL) {
    const model = rotaModel(problem, repairing, choices);
    const all = await inOrderOf(model.mip, model.goals, valuesOf(model, begun), solver, (reached, values) =>
      tell?.(reached, readRota(model, values)),
    );
    return { ...readRota(model, all.values), goals: all.reached, settled: 'nothing' };
  }
  const { rota, reached } = await doTheWork(choices, begun, goalsBefore(choices, repairing), solver, tell);
  return { ...(await whoComes(problem, choices.seats, rota, reached, solver, tell)), settled: 'days' };
}

/** The goals that are reached before those about people: of the work, and in a repair of promises between them. */
function goalsBefore(choices: Choices, repairing: boolean): LinearGoal<GoalName>[] {
  const goals = workGoalsOf(choices.places);
  if (repairing) goals.push(keptGoalOf(choices.problem, choices.seats));
  return goalOrder(repairing).flatMap((name) => goals.find((goal) => goal.name === name) ?? []);
}

/** Reaches goals of the work. Where what it begins with has reached them all, the model is not even built. */
async function doTheWork(
  choices: Choices,
  begun: Rota,
  goals: readonly LinearGoal<GoalName>[],
  solver: Solver,
  tell: Tell | undefined,
): Promise<{ rota: Rota; reached: GoalReached<GoalName>[] }> {
  const chosen = chosenValues(choices, begun);
  if (goals.every((goal) => goalWorth(goal, chosen) >= goal.most - 1e-6)) {
    const { reached } = await inOrderOf(choices.mip, goals, chosen, solver);
    tell?.(reached, begun);
    return { rota: begun, reached };
  }
  const model = rotaModel(choices.problem, false, choices);
  const { values, reached } = await inOrderOf(model.mip, goals, valuesOf(model, begun), solver, (told, now) =>
    tell?.(told, readRota(model, now)),
  );
  return { rota: readRota(model, values), reached };
}

/** The tasks that stood somewhere and are done nowhere now. */
function goneFrom({ problem: { standing, taskLocks } }: Choices, { placed }: Rota): Set<string> {
  const done = new Set(placed.map(({ taskId }) => taskId));
  const stood = new Set(standing.map(({ taskId, sessionId }) => `${taskId} ${sessionId}`));
  const held = taskLocks.filter(({ taskId, sessionId }) => stood.has(`${taskId} ${sessionId}`));
  return new Set(held.flatMap(({ taskId }) => (done.has(taskId) ? [] : [taskId])));
}

/** Repairs around what stands. @returns null where more of what is critical is done when that moves */
async function aroundStanding(
  problem: RotaProblem,
  free: Choices,
  solver: Solver,
  tell: Tell | undefined,
): Promise<MadeRota | null> {
  let held = choicesOf(asItStands(problem));
  const critical = (choices: Choices) =>
    doTheWork(choices, firstRota(choices), workGoalsOf(choices.places).slice(0, 1), solver, undefined);
  const first = await critical(held);
  const { worth } = first.reached[0]!;
  if (worth < workGoalsOf(free.places)[0]!.most && (await critical(free)).reached[0]!.worth > worth)
    return null;
  let done = await doTheWork(held, first.rota, goalsBefore(held, true), solver, tell);
  // What had to give way where it stood may go elsewhere.
  for (let standing = problem.standing; ; ) {
    const gone = goneFrom(held, done.rota);
    if (gone.size === 0) break;
    standing = standing.filter(({ taskId }) => !gone.has(taskId));
    held = choicesOf(asItStands({ ...problem, standing }));
    done = await doTheWork(held, firstRota(held), goalsBefore(held, true), solver, tell);
  }
  return {
    ...(await whoComes(held.problem, held.seats, done.rota, done.reached, solver, tell)),
    settled: 'standing',
  };
}
