import type { Day } from '@unity-acre/core/calendar';
import { soilCOf } from '@unity-acre/core/log';
import {
  type Climate,
  dayInSeason,
  daysOfSeason,
  seasonYearOf,
  stationForecast,
  stationWeather,
  type WeatherDay,
  yearSoFar,
} from '@unity-acre/core/place';
import type { TemperatureUnit } from '@unity-acre/core/units';
import { type EntityManager, MoreThanOrEqual } from 'typeorm';
import { identityOf, Remembered } from '../database/remember.ts';
import { entries } from '../log/entity.ts';
import { recordOf, usualClimateOf } from './climate.ts';
import { type GardenEntity, stationRecords } from './entity.ts';

type Temperatures = Pick<WeatherDay, 'on' | 'low' | 'high'>;

const climates = new Remembered<Climate>();

/** What a garden's dates are computed from: its usual year, with this year's own days and soil as far as they are known. */
export async function climateOf(manager: EntityManager, garden: GardenEntity, today: Day): Promise<Climate> {
  const usual = await usualClimateOf(manager, garden);
  const soil = await soilReadings(manager, garden, today);
  const stamp = JSON.stringify([identityOf(usual), today, garden.setToday !== null, soil]);
  return climates.of(garden.id, stamp, async () => {
    const { seen, foretold } = await daysOfYear(manager, garden, usual, today);
    if (seen.length === 0 && soil.length === 0) return usual;
    return { ...usual, thisYear: yearSoFar(garden.latitude, today, seen, foretold, soil) };
  });
}

/**
 * The days of the season year that are known: of the station's record, where it reaches into the year. A garden whose clock is
 * set by hand lives in simulated weather; a real one is never moved by days that nobody measured.
 */
async function daysOfYear(
  manager: EntityManager,
  garden: GardenEntity,
  climate: Climate,
  today: Day,
): Promise<{ seen: Temperatures[]; foretold: Temperatures[] }> {
  if (garden.recordId !== null) {
    const { first, days, tenths } = await manager.findOneOrFail(stationRecords, {
      where: { id: garden.recordId },
      select: { first: true, days: true, tenths: true },
    });
    const seen = daysOfSeason(recordOf({ first, days, tenths }), garden.latitude, today);
    if (seen.length > 0) return { seen, foretold: [] };
  }
  if (garden.setToday === null) return { seen: [], foretold: [] };
  const seen = stationWeather(climate, garden.id, firstOfSeason(garden, today), today);
  return { seen, foretold: [seen.at(-1)!, ...stationForecast(climate, garden.id, today)] };
}

const firstOfSeason = ({ latitude }: GardenEntity, today: Day): Day =>
  dayInSeason(latitude, seasonYearOf(latitude, today), 0);

/** What was read in the soil of beds this season year, the latest of a bed and day. */
async function soilReadings(
  manager: EntityManager,
  garden: GardenEntity,
  today: Day,
): Promise<{ bedId: string; on: Day; soilC: number }[]> {
  const rows = await manager.find(entries, {
    where: { gardenId: garden.id, kind: 'soilReading', on: MoreThanOrEqual(firstOfSeason(garden, today)) },
    order: { on: 'ASC', loggedAt: 'ASC', id: 'ASC' },
  });
  const latest = new Map<string, { bedId: string; on: Day; soilC: number }>();
  for (const { bedId, on, amountValue, amountUnit } of rows) {
    if (bedId === null || amountValue === null || on > today) continue;
    const soilC = soilCOf({ value: amountValue, unit: amountUnit as TemperatureUnit });
    latest.set(`${bedId} ${on}`, { bedId, on, soilC });
  }
  return [...latest.values()];
}
