import type { CropRow } from '@unity-acre/core/crops';

/** The rows of the catalogue that ship. In what is built they are a file of data beside the program: see `web/cropsAsData.ts`. */
export const fetchShippedCrops = async (): Promise<readonly CropRow[]> =>
  (await import('@unity-acre/core/crops')).shippedRows;
