/** A picking, as far as sums need it. `grams` is null for what was counted, not weighed. */
export interface Picking {
  grams: number | null;
}

/**
 * Sums of weight by a key, largest first. What was only counted is told apart, never guessed into weight.
 * @returns for each key the grams and how many pickings carried no weight
 */
export function totalsBy<P extends Picking, K extends string>(
  pickings: readonly P[],
  keyOf: (picking: P) => K,
): { key: K; grams: number; unweighed: number }[] {
  const sums = new Map<K, { key: K; grams: number; unweighed: number }>();
  for (const picking of pickings) {
    const key = keyOf(picking);
    const sum = sums.get(key) ?? { key, grams: 0, unweighed: 0 };
    if (picking.grams === null) sum.unweighed += 1;
    else sum.grams += picking.grams;
    sums.set(key, sum);
  }
  return [...sums.values()].sort((a, b) => b.grams - a.grams || a.key.localeCompare(b.key));
}
