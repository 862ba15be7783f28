import type { CropPatch } from '@unity-acre/core/crops';
import { EntitySchema } from 'typeorm';
import { gardenRow, json, text } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export interface OwnCropEntity extends GardenRow {
  cropId: string;
  patch: CropPatch;
}

export const ownCrops = new EntitySchema<OwnCropEntity>({
  name: 'own_crop',
  columns: { ...gardenRow(), cropId: text(), patch: json() },
  indices: [{ name: 'own_crop_once', columns: ['gardenId', 'cropId'], unique: true }],
});
