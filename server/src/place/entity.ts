import { EntitySchema } from 'typeorm';
import { key, maybe, real, text, whole } from '../database/columns.ts';

export interface GardenEntity {
  id: string;
  /** a garden belongs to itself, so that it is changed and undone like any other row */
  gardenId: string;
  version: number;
  name: string;
  latitude: number;
  longitude: number;
  timeZone: string;
  units: 'imperial' | 'metric';
  lastFrost: string;
  firstFrost: string;
  /** the day a hand-set clock shows; null for the real clock */
  setToday: string | null;
}

export const gardens = new EntitySchema<GardenEntity>({
  name: 'garden',
  columns: {
    id: key(),
    gardenId: text(),
    version: whole(),
    name: text(),
    latitude: real(),
    longitude: real(),
    timeZone: text(),
    units: text(),
    lastFrost: text(),
    firstFrost: text(),
    setToday: maybe(text()),
  },
});
