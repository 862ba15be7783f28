import { Mip } from './mip.ts';

/** An end, as a sum of columns that shall be as great as it can be. */
export interface LinearGoal<Name extends string = string> {
  name: Name;
  terms: (readonly [column: number, times: number])[];
  /** what it cannot exceed in any choice that keeps the rules */
  most: number;
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
 */
export type Solver = (mip: Mip, first: Float64Array, step: number) => Promise<GoalSolved>;

export interface GoalReached<Name extends string = string> {
  name: Name;
  worth: number;
  bound: number;
  proved: boolean;
}

/**
 * Reaches one goal after another, each as far as it can without giving up any of those before it.
 * @param mip its columns' own worths are not looked at
 * @param first values that keep all its rules
 * @param tell hears of each goal as it is reached, with the values of all columns
 */
export async function inOrderOf<Name extends string>(
  mip: Mip,
  goals: readonly LinearGoal<Name>[],
  first: Float64Array,
  solver: Solver,
  tell?: (reached: readonly GoalReached<Name>[], values: Float64Array) => void,
): Promise<{ values: Float64Array; reached: GoalReached<Name>[] }> {
  let values = first;
  const reached: GoalReached<Name>[] = [];
  const rows = [...mip.rows];
  for (const goal of goals) {
    const { whole, name, terms, most } = goal;
    const isBest = goalWorth(goal, values) >= most - 1e-6;
    const solved = isBest
      ? { values, bound: most, proved: true }
      : await solver(posedFor(mip, rows, goal), values, whole ? 1 : 0);
    values = solved.values;
    const worth = whole ? Math.round(goalWorth(goal, values)) || 0 : goalWorth(goal, values);
    const bound = Math.min(most, whole ? Math.floor(solved.bound + 1e-6) || 0 : solved.bound);
    reached.push({ name, worth, bound: Math.max(worth, bound), proved: solved.proved });
    const slack = whole ? 0.01 : 1e-7 * Math.max(1, Math.abs(worth));
    rows.push({ name: `keeps ${name}`, terms, least: worth - slack, most: Number.POSITIVE_INFINITY });
    tell?.(reached, values);
  }
  return { values, reached };
}

/** A model whose columns are worth what a goal says. */
function posedFor(mip: Mip, rows: Mip['rows'], { terms }: LinearGoal): Mip {
  const worths = new Float64Array(mip.columns.length);
  for (const [column, times] of terms) worths[column]! += times;
  const posed = new Mip();
  for (const [c, { name, upper, whole }] of mip.columns.entries()) {
    posed.column(name, worths[c]!, { upper, whole });
  }
  for (const row of rows) posed.rows.push(row);
  return posed;
}
