import type { BedInput, LandmarkInput, TenureInput } from '@unity-acre/contract/ground';
import { EntitySchema } from 'typeorm';
import { gardenRow, longText, maybe, real, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export type BedEntity = GardenRow & BedInput;
export type TenureEntity = GardenRow & TenureInput & { bedId: string; year: number };
export type LandmarkEntity = GardenRow & LandmarkInput;

const rectangle = () => ({ x: real(), y: real(), width: real(), length: real() });

export const beds = new EntitySchema<BedEntity>({
  name: 'bed',
  foreignKeys: refersTo('bed', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    name: text(),
    ...rectangle(),
    offsetC: { ...real(), default: 0 },
    note: longText(),
  },
  indices: [{ name: 'bed_name', columns: ['gardenId', 'name'], unique: true }],
});

export const tenures = new EntitySchema<TenureEntity>({
  name: 'tenure',
  foreignKeys: refersTo('tenure', { bedId: 'bed', personId: 'person' }),
  columns: { ...gardenRow(), bedId: text(), year: whole(), kind: text(), personId: maybe(text()) },
  indices: [
    { name: 'tenure_season', columns: ['bedId', 'year'], unique: true },
    { name: 'tenure_garden', columns: ['gardenId', 'year'] },
  ],
});

export const landmarks = new EntitySchema<LandmarkEntity>({
  name: 'landmark',
  foreignKeys: refersTo('landmark', { gardenId: 'garden' }),
  columns: { ...gardenRow(), kind: text(), ...rectangle() },
  indices: [{ name: 'landmark_garden', columns: ['gardenId'] }],
});
