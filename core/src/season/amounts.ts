import type { Crop, Method } from '../crops/index.ts';
import { type Packing, type Pattern, pack } from '../ground/index.ts';

/** What a planting needs, reckoned from its ground. */
export interface Amounts {
  packing: Packing;
  plants: number;
  /** seeds to sow; 0 for bought plants and sets */
  seeds: number;
  /** how the seeds were counted: holes × seeds a hole × (1 + spare) */
  seedsPerHole: number;
  spareShare: number;
}

/**
 * Plants and seeds for a rectangle of ground.
 * @param width,length metres; rows run along `length`
 * @throws RangeError for ground without size
 */
export function amounts(
  crop: Crop,
  method: Method,
  pattern: Pattern,
  width: number,
  length: number,
): Amounts {
  // A square grid is for a bed reached from the side: there the close spacing holds both ways.
  const inRow = spacingOf(crop, pattern);
  const packing = pack(pattern, width, length, inRow, crop.betweenRows);
  const { seedsPerHole, spareShare } = crop;
  const seeds =
    method === 'setPlants' ? 0 : Math.ceil(packing.count * seedsPerHole * (1 + spareShare) - 1e-9);
  return { packing, plants: packing.count, seeds, seedsPerHole, spareShare };
}

/** The spacing in the row that a pattern goes by, metres. */
export const spacingOf = (crop: Crop, pattern: Pattern): number =>
  pattern === 'square' ? crop.intensive : crop.inRow;
