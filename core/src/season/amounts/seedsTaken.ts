import type { SeedSource } from './seedOrder.ts';

/** Seeds that a sowing took out of a lot. */
export interface SeedsTaken {
  lotId: string;
  seeds: number;
}

/**
 * What a sowing has taken out of the seed box when a share of it is done.
 * @param before what is logged of it so far, if anything
 * @param toCome where the seed of what is not sown yet comes from; nothing where all is sown
 * @param share of the whole sowing, 0 to 1
 */
export function seedsTaken(
  before: { share: number; taken: readonly SeedsTaken[] } | null,
  toCome: readonly SeedSource[],
  share: number,
): SeedsTaken[] {
  const sown = before?.share ?? 0;
  const more = sown < 1 ? Math.max(0, (share - sown) / (1 - sown)) : 0;
  const kept = sown > share ? share / sown : 1;
  const seeds = new Map<string, number>();
  for (const one of before?.taken ?? []) seeds.set(one.lotId, one.seeds * kept);
  for (const { lotId, seeds: all } of toCome) {
    if (lotId !== null) seeds.set(lotId, (seeds.get(lotId) ?? 0) + all * more);
  }
  return [...seeds].flatMap(([lotId, n]) => (n >= 0.5 ? [{ lotId, seeds: Math.round(n) }] : []));
}

/** What is left in a lot. @param taken seeds that were taken out since it was counted @returns in the lot's unit */
export function leftInLot(
  { amount, unit }: { amount: number; unit: 'seeds' | 'g' },
  taken: number,
  seedsPerGram: number | undefined,
): number {
  if (unit === 'seeds') return Math.max(0, amount - taken);
  return seedsPerGram ? Math.max(0, Math.round((amount - taken / seedsPerGram) * 100) / 100) : amount;
}
