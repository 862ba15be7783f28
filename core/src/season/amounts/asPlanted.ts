import { type Crop, ofVariety } from '../../crops/index.ts';

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

/**
 * A crop as one planting has it: as its variety is, and what was chosen for the planting stands in the place of the
 * catalogue's.
 */
export function asPlanted(
  crop: Crop,
  { varietyId, inRow, betweenRows, seedsPerHole }: OwnSpacing & { varietyId: string },
): Crop {
  const usual = ofVariety(crop, varietyId);
  if (inRow === null && betweenRows === null && seedsPerHole === null) return usual;
  return {
    ...usual,
    inRow: inRow ?? usual.inRow,
    intensive: inRow ?? usual.intensive,
    betweenRows: betweenRows ?? usual.betweenRows,
    seedsPerHole: seedsPerHole ?? usual.seedsPerHole,
  };
}
