/**
 * Gives each row one column of its own so that the sum of costs is least.
 * Source: the Hungarian method in its O(n³) form with potentials (Kuhn 1955, Munkres 1957).
 * @param costs rows × columns, at least as many columns as rows; an infinite cost forbids a pair
 * @returns the column of each row; -1 where every column left is forbidden
 */
export function assign(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  if (rows === 0) return [];
  if (columns < rows) throw new RangeError('an assignment needs at least as many columns as rows');
  const finite = costs.flat().filter(Number.isFinite);
  // A forbidden pair costs more than everything else together, so that it is taken only where there is no other.
  const forbidden = finite.reduce((sum, cost) => sum + Math.abs(cost), 1) * 2;
  const cost = (row: number, column: number) => {
    const value = costs[row - 1]![column - 1]!;
    return Number.isFinite(value) ? value : forbidden;
  };
  const u = new Float64Array(rows + 1);
  const v = new Float64Array(columns + 1);
  const rowOf = new Int32Array(columns + 1);
  const way = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row++) {
    rowOf[0] = row;
    let column = 0;
    const least = new Float64Array(columns + 1).fill(Number.POSITIVE_INFINITY);
    const used = new Uint8Array(columns + 1);
    do {
      used[column] = 1;
      const now = rowOf[column]!;
      let delta = Number.POSITIVE_INFINITY;
      let next = 0;
      for (let j = 1; j <= columns; j++) {
        if (used[j]) continue;
        const reduced = cost(now, j) - u[now]! - v[j]!;
        if (reduced < least[j]!) {
          least[j] = reduced;
          way[j] = column;
        }
        if (least[j]! < delta) {
          delta = least[j]!;
          next = j;
        }
      }
      for (let j = 0; j <= columns; j++) {
        if (used[j]) {
          u[rowOf[j]!]! += delta;
          v[j]! -= delta;
        } else least[j]! -= delta;
      }
      column = next;
    } while (rowOf[column] !== 0);
    while (column !== 0) {
      const before = way[column]!;
      rowOf[column] = rowOf[before]!;
      column = before;
    }
  }
  const chosen = new Array<number>(rows).fill(-1);
  for (let j = 1; j <= columns; j++) {
    const row = rowOf[j]! - 1;
    if (row >= 0 && Number.isFinite(costs[row]![j - 1]!)) chosen[row] = j - 1;
  }
  return chosen;
}
