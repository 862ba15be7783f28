import fc from 'fast-check';
import computeMunkres from 'munkres-js';
import { describe, expect, it } from 'vitest';
import { assign } from './assignment.ts';

const matrix = fc
  .tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 4 }))
  .chain(([rows, more]) =>
    fc.array(fc.array(fc.integer({ min: 0, max: 40 }), { minLength: rows + more, maxLength: rows + more }), {
      minLength: rows,
      maxLength: rows,
    }),
  );
const sumOf = (costs: number[][], columns: number[]) =>
  costs.reduce((sum, row, i) => sum + row[columns[i]!]!, 0);

describe('an assignment', () => {
  it('costs as little as munkres-js finds', () => {
    fc.assert(
      fc.property(matrix, (costs) => {
        const mine = assign(costs);
        expect(new Set(mine).size).toBe(costs.length);
        const theirs = computeMunkres(costs.map((row) => [...row])) as [number, number][];
        const known = theirs.reduce((sum, [i, j]) => sum + (costs[i]?.[j] ?? 0), 0);
        expect(sumOf(costs, mine)).toBe(known);
      }),
    );
  });

  it('leaves a row without a column where all it could have are forbidden', () => {
    const never = Number.POSITIVE_INFINITY;
    expect(
      assign([
        [never, never],
        [1, 2],
      ]),
    ).toEqual([-1, 0]);
    expect(assign([])).toEqual([]);
    expect(() => assign([[1], [2]])).toThrow(RangeError);
  });
});
