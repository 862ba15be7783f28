import { type Crop, FRESH_SHARE, seedsPerHole } from '../../crops/index.ts';

/** What is sown for a number of places where a plant is to stand. */
export interface SeedCount {
  /** holes or cells that are sown, the spare ones among them */
  holes: number;
  perHole: number;
  seeds: number;
}

/** From this share on seed counts as good, and is sown as its crop is. Common practice, no source. */
const GOOD_SHARE = 0.8;
/** The chance that something comes up in a hole beyond which nobody sows thicker. Common practice, no source. */
export const HOLE_CHANCE = 0.95;

/**
 * Seeds in a hole for seed of which a share comes up: as many as the crop is sown with where the seed is good; of weaker seed
 * as many as it takes to fill a hole as surely as good seed does.
 * @param germination above 0, to 1
 */
export function perHoleOf(crop: Pick<Crop, 'seedsPerHole'>, germination: number): number {
  if (germination >= GOOD_SHARE) return crop.seedsPerHole;
  const ofGoodSeed = 1 - (1 - FRESH_SHARE) ** crop.seedsPerHole;
  return Math.max(crop.seedsPerHole, seedsPerHole(germination, Math.min(HOLE_CHANCE, ofGoodSeed)));
}

/**
 * The seeds that a card asks for, an order counts, trays are filled with and a lot gives: whole holes, with the spare ones of
 * the crop.
 * @param places where a plant is to stand
 */
export function seedCount(
  crop: Pick<Crop, 'seedsPerHole' | 'spareShare'>,
  places: number,
  perHole: number = crop.seedsPerHole,
): SeedCount {
  const holes = Math.max(0, Math.ceil(places * (1 + crop.spareShare) - 1e-9));
  return { holes, perHole, seeds: holes * perHole };
}
