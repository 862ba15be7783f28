import type { SeedLotInput, SeedPriceInput } from '@unity-acre/contract/crops';
import type { CropPatch } from '@unity-acre/core/crops';
import { EntitySchema } from 'typeorm';
import { flag, gardenRow, json, longText, maybe, real, refersTo, text, whole } from '../database/columns.ts';
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

export type SeedPriceEntity = GardenRow & SeedPriceInput;

export const seedPrices = new EntitySchema<SeedPriceEntity>({
  name: 'seed_price',
  foreignKeys: refersTo('seed_price', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    cropId: text(),
    varietyId: text(),
    packetSeeds: maybe(whole()),
    packet: maybe(real()),
    piece: maybe(real()),
  },
  indices: [{ name: 'seed_price_once', columns: ['gardenId', 'cropId', 'varietyId'], unique: true }],
});

export type SeedLotEntity = GardenRow &
  SeedLotInput & {
    /** the moment at which its amount was counted: what was sown since is taken off it; null for all that was sown of it */
    countedAt: string | null;
  };

export const seedLots = new EntitySchema<SeedLotEntity>({
  name: 'seed_lot',
  foreignKeys: refersTo('seed_lot', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    cropId: text(),
    varietyId: text(),
    source: text(),
    year: whole(),
    amount: real(),
    unit: text(),
    germination: maybe(real()),
    testedOn: maybe(text()),
    saved: flag(),
    note: longText(),
    countedAt: maybe(text()),
  },
  indices: [{ name: 'seed_lot_garden', columns: ['gardenId'] }],
});
