import {
  type Climate,
  climateOfExtremes,
  climateOfFrosts,
  climateOfNormals,
  climateOfRecord,
  hasFrosts,
  packRecord,
  type StationRecord,
  unpackRecord,
} from '@unity-acre/core/place';
import type { EntityManager } from 'typeorm';
import { Remembered } from '../database/remember.ts';
import { heavy } from '../heavy/pool.ts';
import { type GardenEntity, type StationRecordEntity, stationRecords } from './entity.ts';

const climates = new Remembered<Climate>();

/** What a garden's usual year is computed from: its station's record, else monthly means, else the warmest
 * and the coldest month, else the median frosts. */
export function usualClimateOf(manager: EntityManager, garden: GardenEntity): Promise<Climate> {
  const { latitude, longitude, lastFrost, firstFrost, normals, extremes, recordId } = garden;
  const stamp = JSON.stringify([latitude, longitude, lastFrost, firstFrost, normals, extremes, recordId]);
  return climates.of(garden.id, stamp, async () => {
    if (recordId !== null) {
      const row = await manager.findOneByOrFail(stationRecords, { id: recordId });
      const isSamePlace = row.climate.latitude === latitude && row.climate.longitude === longitude;
      if (isSamePlace) return row.climate;
      const { first, days, tenths } = row;
      return heavy('reduceRecord', { stored: { first, days, tenths }, latitude, longitude });
    }
    const place = { latitude, longitude, lastFrost, firstFrost };
    if (normals) return climateOfNormals(place, normals);
    if (extremes) return climateOfExtremes(place, extremes);
    if (hasFrosts(place)) return climateOfFrosts(place);
    throw new Error(`nothing is known of the climate of garden ${garden.id}`);
  });
}

/** A record as it is stored. */
type StoredRecord = Pick<StationRecordEntity, 'first' | 'days' | 'tenths'>;

/** Reduces a record that is stored anew: a century of days takes longer than the main thread may be held. */
export const reduceRecord = (task: { stored: StoredRecord; latitude: number; longitude: number }): Climate =>
  climateOfRecord(recordOf(task.stored), task.latitude, task.longitude);

export function storedRecord(record: StationRecord): StoredRecord {
  const { first, days, tenths } = packRecord(record);
  return { first, days, tenths: Buffer.from(tenths.buffer).toString('base64') };
}

export function recordOf({ first, days, tenths }: StoredRecord): StationRecord {
  const bytes = Uint8Array.from(Buffer.from(tenths, 'base64'));
  return unpackRecord({ first, days, tenths: new Int16Array(bytes.buffer) });
}
