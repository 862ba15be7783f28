import { type Model, solve } from 'yalps';
import type { Mip, Solver } from '../index.ts';

/** A model as yalps takes it, its columns and rows named by their numbers. */
function modelFor(mip: Mip): Model {
  const variables: Record<string, Record<string, number>> = {};
  const constraints: Record<string, { min?: number; max?: number }> = {};
  for (const [c, { worth, upper }] of mip.columns.entries()) {
    variables[c] = { worth };
    if (Number.isFinite(upper)) {
      variables[c][`upper ${c}`] = 1;
      constraints[`upper ${c}`] = { max: upper };
    }
  }
  for (const [r, { terms, least, most }] of mip.rows.entries()) {
    constraints[r] = {
      ...(Number.isFinite(least) ? { min: least } : {}),
      ...(Number.isFinite(most) ? { max: most } : {}),
    };
    for (const [c, times] of terms) variables[c]![r] = times;
  }
  const integers = mip.columns.flatMap(({ whole }, c) => (whole ? [String(c)] : []));
  return { direction: 'maximize', objective: 'worth', constraints, variables, integers };
}

/**
 * A solver that shares nothing with the one the program uses: yalps, from the package registry. For small models.
 * @throws Error where it does not come to the best
 */
export const byYalps: Solver = async (mip, first) => {
  const { status, result, variables } = solve(modelFor(mip), {
    ...{ timeout: 60_000, maxIterations: 10_000_000, tolerance: 0 },
  });
  if (status !== 'optimal') throw new Error(`yalps says ${status}`);
  const values = new Float64Array(first.length);
  for (const [name, value] of variables) values[Number(name)] = value;
  return { values, bound: result, proved: true };
};
