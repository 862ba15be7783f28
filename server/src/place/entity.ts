import type { GroundRules } from '@unity-acre/contract/place';
import type { Climate, Extremes, MonthlyNormals } from '@unity-acre/core/place';
import type { HouseRules } from '@unity-acre/core/season';
import { EntitySchema } from 'typeorm';
import { json, key, longText, maybe, real, text, whole } from '../database/columns.ts';

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
  /** m above the sea */
  height: number | null;
  /** null with the first where most years have none */
  lastFrost: string | null;
  firstFrost: string | null;
  extremes: Extremes | null;
  /** how much warmer the garden is than its station, °C */
  offsetC: number;
  rules: HouseRules;
  /** who uses the ground, and which way it lies */
  ground: GroundRules;
  normals: MonthlyNormals | null;
  /** the station's record the climate is reduced from; null where there is none */
  recordId: string | null;
  /** the day a hand-set clock shows; null for the real clock */
  setToday: string | null;
}

/** What the database gives a garden without rules; it changes with a migration only. */
const FIRST_RULES =
  '{"frostRisk":0.25,"cucurbits":"sowAtLastFrost","hardening":"sevenDays","depth":"double","shortDays":14,"thinning":"twoPasses","evidence":"tested"}';

/** As FIRST_RULES, for the ground. */
const FIRST_GROUND = '{"reach":"adult","paths":"barrow","north":0}';

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
    height: maybe(real()),
    lastFrost: maybe(text()),
    firstFrost: maybe(text()),
    extremes: maybe(json()),
    offsetC: { ...real(), default: 0 },
    rules: { ...json(), default: FIRST_RULES },
    ground: { ...json(), default: FIRST_GROUND },
    normals: maybe(json()),
    recordId: maybe(text()),
    setToday: maybe(text()),
  },
});

/** A station's days as they were imported. A row is never changed: another import makes another. */
export interface StationRecordEntity {
  id: string;
  gardenId: string;
  name: string;
  importedAt: string;
  first: string;
  days: number;
  gaps: number;
  /** tenths of °C and mm in 16 bits, base64, as `packRecord` packs them */
  tenths: string;
  /** what the record was reduced to at the latitude the garden had then */
  climate: Climate;
}

export const stationRecords = new EntitySchema<StationRecordEntity>({
  name: 'station_record',
  columns: {
    id: key(),
    gardenId: text(),
    name: text(),
    importedAt: text(),
    first: text(),
    days: whole(),
    gaps: whole(),
    tenths: longText(),
    climate: json(),
  },
  indices: [{ name: 'station_record_garden', columns: ['gardenId'] }],
});
