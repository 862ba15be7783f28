import { Mip } from './mip.ts';

/** An end, as a sum of columns that shall be as great as it can be. */
export interface LinearGoal<Name extends string = string> {
  name: Name;
  /** times is what one of the column counts */
  terms: (readonly [column: number, times: number])[];
  /** what it cannot exceed in any choice that keeps the rules */
  most: number;
  /** what it cannot fall below; infinite where that is not known */
  least: number;
  /** true where every choice is worth a whole number */
  whole: boolean;
}

export const goalWorth = ({ terms }: LinearGoal, values: ArrayLike<number>): number =>
  terms.reduce((sum, [column, times]) => sum + times * values[column]!, 0);

/** What a solver says of one goal. */
export interface GoalSolved {
  values: Float64Array;
  bound: number;
  proved: boolean;
}

/**
 * Solves a model for what its columns are worth, beginning with values that keep its rules.
 * @param step the least by which two worths differ; 0 where it is not known
 * @param exact true where no share of the worth may be given up, however small
 */
export type Solver = (mip: Mip, first: Float64Array, step: number, exact: boolean) => Promise<GoalSolved>;

export interface GoalReached<Name extends string = string> {
  name: Name;
  worth: number;
  bound: number;
  proved: boolean;
}

/** Goals that are reached in one step, the first of them still before the others. */
type Step<Name extends string> = LinearGoal<Name> | readonly LinearGoal<Name>[];

/**
 * Reaches one goal after another, each as far as it can without giving up any of those before it. Goals of one step are posed
 * as one sum, in which one more of an earlier goal outweighs all of the later ones: the same end, for one solve instead of
 * several. It needs whole goals whose least is known; others are reached one by one all the same.
 * @param mip its columns' own worths are not looked at
 * @param first values that keep all its rules
 * @param tell hears of each goal as it is reached, with the values of all columns
 */
export async function inOrderOf<Name extends string>(
  mip: Mip,
  steps: readonly Step<Name>[],
  first: Float64Array,
  solver: Solver,
  tell?: (reached: readonly GoalReached<Name>[], values: Float64Array) => void,
): Promise<{ values: Float64Array; reached: GoalReached<Name>[] }> {
  let values = first;
  const reached: GoalReached<Name>[] = [];
  const rows = [...mip.rows];
  for (const goals of steps.flatMap(asOneSum)) {
    const weights = weightsOf(goals);
    const isBest = goals.every((goal) => goalWorth(goal, values) >= goal.most - 1e-6);
    const isWhole = goals.every(({ whole }) => whole);
    let bound = goals.reduce((sum, { most }, i) => sum + weights[i]! * most, 0);
    let isProved = isBest;
    if (!isBest) {
      const posed = posedFor(mip, rows, goals, weights);
      const solved = await solver(posed, values, isWhole ? 1 : 0, goals.length > 1);
      values = solved.values;
      isProved = solved.proved;
      bound = Math.min(bound, isWhole ? Math.floor(solved.bound + 1e-6) || 0 : solved.bound);
    }
    for (const told of readGoals(goals, weights, values, bound, isProved)) {
      reached.push(told);
      const { whole, terms } = goals.find(({ name }) => name === told.name)!;
      const slack = whole ? 0.01 : 1e-7 * Math.max(1, Math.abs(told.worth));
      rows.push({
        name: `keeps ${told.name}`,
        terms,
        least: told.worth - slack,
        most: Number.POSITIVE_INFINITY,
      });
    }
    tell?.(reached, values);
  }
  return { values, reached };
}

const worthOfGoal = (goal: LinearGoal, values: ArrayLike<number>): number =>
  goal.whole ? Math.round(goalWorth(goal, values)) || 0 : goalWorth(goal, values);

/** The goals of a step that can be one sum, or each for itself. */
function asOneSum<Name extends string>(step: Step<Name>): (readonly LinearGoal<Name>[])[] {
  const goals = 'name' in step ? [step] : step;
  return goals.every(({ whole, least }) => whole && Number.isFinite(least))
    ? [goals]
    : goals.map((goal) => [goal]);
}

/** What one of each goal counts, so that it outweighs all that those after it can be worth. */
function weightsOf(goals: readonly LinearGoal[]): number[] {
  const weights: number[] = [];
  let weight = 1;
  for (const { most, least } of [...goals].reverse()) {
    weights.unshift(weight);
    weight *= most - least + 1;
  }
  return weights;
}

/** How far each goal of a sum came, and how far it could come, from a bound of the sum. */
function readGoals<Name extends string>(
  goals: readonly LinearGoal<Name>[],
  weights: readonly number[],
  values: Float64Array,
  bound: number,
  isProved: boolean,
): GoalReached<Name>[] {
  let left = bound;
  let isSure = true;
  return goals.map((goal, i) => {
    const worth = worthOfGoal(goal, values);
    // The later goals may be at their least in the choice that has the most of this one.
    const later = goals.slice(i + 1).reduce((sum, { least }, n) => sum + weights[i + 1 + n]! * least, 0);
    const most = isSure ? Math.min(goal.most, (left - later) / weights[i]!) : goal.most;
    const known = Math.max(worth, goal.whole ? Math.floor(most + 1e-6) || 0 : most);
    const proved = goals.length === 1 ? isProved : isSure && known <= worth;
    isSure = proved;
    left -= weights[i]! * worth;
    return { name: goal.name, worth, bound: known, proved };
  });
}

/** A model whose columns are worth what goals say, so much of each. */
function posedFor(
  mip: Mip,
  rows: Mip['rows'],
  goals: readonly LinearGoal[],
  weights: readonly number[],
): Mip {
  const worths = new Float64Array(mip.columns.length);
  for (const [i, { terms }] of goals.entries()) {
    for (const [column, times] of terms) worths[column]! += weights[i]! * times;
  }
  const posed = new Mip();
  for (const [c, { name, upper, whole }] of mip.columns.entries()) {
    posed.column(name, worths[c]!, { upper, whole });
  }
  for (const row of rows) posed.rows.push(row);
  return posed;
}
