import { broken, worthOf } from '../../../solving/index.ts';
import type { Posed } from '../index.ts';

/** The worth of the best choice, by trying every way to place every part. */
export function bestByTrying({ mip, candidates, demands }: Posed): number {
  let best = 0;
  const byDemand = demands.map((_, d) => candidates.flatMap(({ demand }, i) => (demand === d ? [i] : [])));
  const values = new Float64Array(mip.columns.length);
  const more = mip.columns.map((_, i) => i).slice(candidates.length);
  const tryFrom = (d: number) => {
    if (d === demands.length) {
      settle();
      return;
    }
    tryFrom(d + 1);
    for (const i of byDemand[d]!) {
      values[i] = 1;
      if (fitsSoFar()) tryFrom(d + 1);
      values[i] = 0;
    }
  };
  const isFull = (terms: (typeof mip.rows)[number]['terms']) =>
    terms.every(([column, times]) => times > 0 && column < candidates.length);
  const hard = mip.rows.filter(({ terms }) => isFull(terms));
  const fitsSoFar = () =>
    hard.every(({ terms, most }) => terms.reduce((sum, [c, t]) => sum + t * values[c]!, 0) <= most + 1e-6);
  /** What the other columns have to be, the cheapest way: each is named by one row that ends with it. */
  const settle = () => {
    for (const column of more) values[column] = 0;
    for (const { terms, least, most } of mip.rows) {
      const [last, times] = terms.at(-1)!;
      if (last < candidates.length || times >= 0) continue;
      const sum = terms.slice(0, -1).reduce((total, [c, t]) => total + t * values[c]!, 0);
      const { worth, whole, upper } = mip.columns[last]!;
      if (worth > 0) continue;
      const need = (sum - most) / -times;
      values[last] = Math.min(upper, Math.max(values[last]!, whole ? Math.ceil(need - 1e-9) : need, 0));
      void least;
    }
    for (const [c, { worth }] of mip.columns.entries()) {
      if (worth <= 0 || c < candidates.length) continue;
      const rows = mip.rows.filter(({ terms }) => terms.some(([column]) => column === c));
      values[c] = 1;
      const holds = rows.every(
        ({ terms, least }) =>
          terms.reduce((sum, [column, t]) => sum + t * values[column]!, 0) >= least - 1e-6,
      );
      if (!holds) values[c] = 0;
    }
    if (broken(mip, values).length === 0) best = Math.max(best, worthOf(mip, values));
  };
  tryFrom(0);
  return best;
}
