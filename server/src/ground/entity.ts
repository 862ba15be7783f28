import type { BedInput, LandmarkInput, TenureInput, UnderlayInput } from '@unity-acre/contract/ground';
import { EntitySchema } from 'typeorm';
import { gardenRow, json, key, longText, maybe, real, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export type BedEntity = GardenRow & BedInput;
export type TenureEntity = GardenRow & TenureInput & { bedId: string; year: number };
export type LandmarkEntity = GardenRow & LandmarkInput;
export type UnderlayEntity = GardenRow & UnderlayInput & { pictureId: string; width: number; height: number };

const shape = () => ({
  x: real(),
  y: real(),
  width: real(),
  length: real(),
  form: { ...text(), default: 'rectangle' },
  angle: { ...real(), default: 0 },
  points: maybe(json()),
  height: { ...real(), default: 0 },
});

export const beds = new EntitySchema<BedEntity>({
  name: 'bed',
  foreignKeys: refersTo('bed', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    name: text(),
    ...shape(),
    kind: { ...text(), default: 'ground' },
    soilDepth: maybe(real()),
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
    { name: 'tenure_person', columns: ['personId'] },
  ],
});

export const landmarks = new EntitySchema<LandmarkEntity>({
  name: 'landmark',
  foreignKeys: refersTo('landmark', { gardenId: 'garden' }),
  columns: { ...gardenRow(), kind: text(), name: { ...text(), default: '' }, ...shape() },
  indices: [{ name: 'landmark_garden', columns: ['gardenId'] }],
});

/** How a picture lies under the plan. The picture itself stands in a row of its own, which is never changed. */
export const underlays = new EntitySchema<UnderlayEntity>({
  name: 'underlay',
  foreignKeys: refersTo('underlay', { gardenId: 'garden', pictureId: 'picture' }),
  columns: {
    ...gardenRow(),
    pictureId: text(),
    width: whole(),
    height: whole(),
    x: real(),
    y: real(),
    metresPerPixel: real(),
    angle: real(),
    strength: real(),
  },
  indices: [
    { name: 'underlay_garden', columns: ['gardenId'] },
    { name: 'underlay_picture', columns: ['pictureId'] },
  ],
});

export interface PictureEntity {
  id: string;
  gardenId: string;
  kind: string;
  /** base64 */
  content: string;
}

export const pictures = new EntitySchema<PictureEntity>({
  name: 'picture',
  columns: { id: key(), gardenId: text(), kind: text(), content: longText() },
  indices: [{ name: 'picture_garden', columns: ['gardenId'] }],
});
