/** A picking, or several added up already, as far as sums need them. */
export interface Picking {
  /** null where nothing was weighed */
  grams: number | null;
  /** how many of several were counted, not weighed; one picking without grams is one */
  unweighed?: number;
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
    sum.unweighed += picking.unweighed ?? (picking.grams === null ? 1 : 0);
    sum.grams += picking.grams ?? 0;
    sums.set(key, sum);
  }
  return [...sums.values()].sort((a, b) => b.grams - a.grams || a.key.localeCompare(b.key));
}
