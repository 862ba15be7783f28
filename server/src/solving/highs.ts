import { type Mip, worthOf } from '@unity-acre/core/solving';
import loadHighs, { type Highs } from 'highs';

/** What is known while a model is being solved. */
interface SolveProgress {
  /** the best choice so far, by column; only where it is a new one */
  values?: Float64Array;
  worth: number;
  /** no choice is worth more than this; infinite before anything is proved */
  bound: number;
}

export interface Solved {
  values: Float64Array;
  worth: number;
  bound: number;
  /** true where the bound is within the wanted gap */
  proved: boolean;
}

export interface SolveOptions {
  /** a choice that keeps the rules, to begin with */
  first: Float64Array;
  /** share of its worth by which the answer may fall short of the best */
  gap: number;
  seconds: number;
  /** the least by which two worths differ, where that is known: what lies nearer is proved */
  step?: number;
  tell?(progress: SolveProgress): void;
}

/** Distance between a choice and the bound as a share of the choice. */
export const gapOf = (worth: number, bound: number): number =>
  Number.isFinite(bound)
    ? Math.max(0, bound - worth) / Math.max(1e-9, Math.abs(worth))
    : Number.POSITIVE_INFINITY;

let loaded: Promise<Highs> | undefined;

/** Solves a model with HiGHS. It blocks the thread it runs on: call it in a worker. */
export async function solve(
  mip: Mip,
  { first, gap, seconds, step = 0, tell }: SolveOptions,
): Promise<Solved> {
  loaded ??= loadHighs();
  const highs = await loaded;
  const { columns, rows } = mip;
  let best = { values: first, worth: worthOf(mip, first) };
  if (columns.length === 0 || rows.length === 0) return { ...best, bound: best.worth, proved: true };
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of rows) {
    for (const [column, times] of terms) {
      indices.push(column);
      values.push(times);
    }
    starts.push(indices.length);
  }
  const bounded = (value: number) => (Number.isFinite(value) ? value : Math.sign(value) * highs.infinity);
  return highs.withModel(
    {
      numCols: columns.length,
      numRows: rows.length,
      sense: highs.constants.objectiveSense.maximize,
      colCost: columns.map(({ worth }) => worth),
      colLower: columns.map(() => 0),
      colUpper: columns.map(({ upper }) => upper),
      rowLower: rows.map(({ least }) => bounded(least)),
      rowUpper: rows.map(({ most }) => bounded(most)),
      matrix: {
        format: 'csr',
        numRows: rows.length,
        numCols: columns.length,
        starts: Int32Array.from(starts),
        indices: Int32Array.from(indices),
        values: Float64Array.from(values),
      },
      integrality: Int32Array.from(columns, ({ whole }) => (whole ? 1 : 0)),
    },
    (model) => {
      model.options.set({
        output_flag: false,
        time_limit: seconds,
        mip_rel_gap: gap,
        mip_abs_gap: Math.max(1e-6, step * 0.99),
      });
      model.setSolution({ colValue: first });
      let bound = Number.POSITIVE_INFINITY;
      const { mipInterrupt, mipImprovingSolution } = highs.constants.callbackType;
      model.run({
        [mipInterrupt]({ data }) {
          const known = data.mip_dual_bound ?? bound;
          if (known >= bound) return;
          bound = known;
          tell?.({ worth: best.worth, bound });
        },
        [mipImprovingSolution]({ data }) {
          const found = data.mip_solution;
          if (!found || worthOf(mip, found) <= best.worth + 1e-9) return;
          best = { values: found, worth: worthOf(mip, found) };
          tell?.({ values: found, worth: best.worth, bound });
        },
      });
      const found = Float64Array.from(model.getSolution().colValue ?? []);
      if (found.length === columns.length && worthOf(mip, found) > best.worth) {
        best = { values: found, worth: worthOf(mip, found) };
      }
      const known = Number(model.info.get('mip_dual_bound'));
      bound = Number.isFinite(known) && Math.abs(known) < 1e20 ? known : bound;
      const proved = gapOf(best.worth, bound) <= gap + 1e-9 || bound - best.worth < Math.max(1e-6, step);
      return { ...best, bound, proved };
    },
  );
}
