import file from './catalogue.json' with { type: 'json' };
import { type Crop, cropFrom, type Variety } from './crop.ts';
import type { CropRow } from './row.ts';

/**
 * The crops that ship with the program, in catalogue order. The file is checked by `checkCatalogue`, when the server
 * starts and in the tests; here it is taken as it is, so that a browser need not check it again.
 */
export const crops: readonly Crop[] = (file.crops as unknown as CropRow[]).map(cropFrom);

const byId = new Map(crops.map((crop) => [crop.id, crop]));

export const cropById = (id: string): Crop | undefined => byId.get(id);

export const varietyOf = (crop: Crop, id: string): Variety | undefined =>
  crop.varieties.find((variety) => variety.id === id);
