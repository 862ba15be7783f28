import type { Crop } from '../../crops/index.ts';

/** How one planting is spaced and sown where that is not as its crop is; null follows the crop. */
export interface OwnSpacing {
  /** metres between plants in the row, whatever the pattern */
  inRow: number | null;
  /** metres between rows */
  betweenRows: number | null;
  seedsPerHole: number | null;
}

/** Spaced and sown as the crop is. */
export const usualSpacing: OwnSpacing = { inRow: null, betweenRows: null, seedsPerHole: null };

/** A crop as one planting has it: what was chosen for the planting stands in the place of the catalogue's. */
export function asPlanted(crop: Crop, { inRow, betweenRows, seedsPerHole }: OwnSpacing): Crop {
  if (inRow === null && betweenRows === null && seedsPerHole === null) return crop;
  return {
    ...crop,
    inRow: inRow ?? crop.inRow,
    intensive: inRow ?? crop.intensive,
    betweenRows: betweenRows ?? crop.betweenRows,
    seedsPerHole: seedsPerHole ?? crop.seedsPerHole,
  };
}
