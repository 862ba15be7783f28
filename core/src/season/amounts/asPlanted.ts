import { type Crop, type Method, ofVariety } from '../../crops/index.ts';

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

/** A crop with the seeds that go into one place by a method: a cell of a tray may want fewer than a hole outdoors. */
export const sownBy = (crop: Crop, method: Method): Crop =>
  method === 'startIndoors' && crop.seedsPerCell !== undefined
    ? { ...crop, seedsPerHole: crop.seedsPerCell }
    : crop;

/**
 * A crop as one planting has it: as its variety is, with as many seeds to a cell or hole as its method wants, and what was
 * chosen for the planting stands in the place of the catalogue's.
 */
export function asPlanted(
  crop: Crop,
  { varietyId, method, inRow, betweenRows, seedsPerHole }: OwnSpacing & { varietyId: string; method: Method },
): Crop {
  const usual = sownBy(ofVariety(crop, varietyId), method);
  if (inRow === null && betweenRows === null && seedsPerHole === null) return usual;
  return {
    ...usual,
    inRow: inRow ?? usual.inRow,
    intensive: inRow ?? usual.intensive,
    betweenRows: betweenRows ?? usual.betweenRows,
    seedsPerHole: seedsPerHole ?? usual.seedsPerHole,
  };
}
