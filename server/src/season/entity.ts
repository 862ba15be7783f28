import type { PlantingInput, WishInput } from '@unity-acre/contract/season';
import { EntitySchema } from 'typeorm';
import { flag, gardenRow, json, longText, maybe, real, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export type PlantingEntity = GardenRow & PlantingInput;

/** What the garden wishes to grow in a season. */
export type WishEntity = GardenRow & WishInput;

export const wishes = new EntitySchema<WishEntity>({
  name: 'wish',
  foreignKeys: refersTo('wish', { gardenId: 'garden' }),
  columns: {
    ...gardenRow(),
    year: whole(),
    cropId: text(),
    varietyId: text(),
    by: text(),
    amount: real(),
    from: maybe(text()),
    until: maybe(text()),
    tenure: maybe(text()),
    weight: whole(),
    note: longText(),
  },
  indices: [{ name: 'wish_season', columns: ['gardenId', 'year'] }],
});

export const plantings = new EntitySchema<PlantingEntity>({
  name: 'planting',
  foreignKeys: refersTo('planting', { bedId: 'bed' }),
  columns: {
    ...gardenRow(),
    cropId: text(),
    varietyId: text(),
    bedId: text(),
    year: whole(),
    cropping: text(),
    method: text(),
    pattern: text(),
    width: real(),
    length: real(),
    startOn: maybe(text()),
    afterId: maybe(text()),
    afterDays: maybe(whole()),
    betweenId: maybe(text()),
    pinned: { ...flag(), default: false },
    protection: { ...text(), default: 'none' },
    inRow: maybe(real()),
    betweenRows: maybe(real()),
    seedsPerHole: maybe(whole()),
    at: maybe(json()),
    practices: { ...json(), default: '{}' },
    note: longText(),
  },
  indices: [
    { name: 'planting_season', columns: ['gardenId', 'year'] },
    { name: 'planting_bed', columns: ['bedId'] },
  ],
});
