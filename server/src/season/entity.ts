import type { PlantingInput } from '@unity-acre/contract/season';
import { EntitySchema } from 'typeorm';
import { gardenRow, longText, maybe, real, refersTo, text, whole } from '../database/columns.ts';
import type { GardenRow } from '../database/rows.ts';

export type PlantingEntity = GardenRow & PlantingInput;

export const plantings = new EntitySchema<PlantingEntity>({
  name: 'planting',
  foreignKeys: refersTo('planting', { bedId: 'bed' }),
  columns: {
    ...gardenRow(),
    cropId: text(),
    varietyId: text(),
    bedId: text(),
    year: whole(),
    turn: text(),
    method: text(),
    pattern: text(),
    width: real(),
    length: real(),
    startOn: maybe(text()),
    afterId: maybe(text()),
    afterDays: maybe(whole()),
    note: longText(),
  },
  indices: [
    { name: 'planting_season', columns: ['gardenId', 'year'] },
    { name: 'planting_bed', columns: ['bedId'] },
  ],
});
