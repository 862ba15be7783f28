import { dayNumber, dayOfNumber, yearDay } from '../../calendar/index.ts';
import { fitHarmonics, type Harmonics } from '../../maths/index.ts';
import { FEWEST_YEARS, type StationRecord } from '../record/index.ts';
import { YEAR } from '../seasonYear.ts';
import { fitWeather, type WeatherModel } from '../weather/index.ts';
import type { SpreadTable } from './dateSpread.ts';
import { spreadTables } from './yearlyDates.ts';
import type { YearSoFar } from './yearSoFar.ts';

/** A garden's climate, reduced once from what is known of it. Plain data of a few kilobytes. */
export interface Climate {
  latitude: number;
  longitude: number;
  /**
   * what it rests on: a station's days, monthly means with the median frosts, the warmest and the coldest month with them, or
   * the median frosts alone
   */
  basis: 'record' | 'normals' | 'extremes' | 'frosts';
  /** season years of the record */
  years: number[];
  /** mean daily minimum and maximum over the calendar year, °C */
  low: Harmonics;
  high: Harmonics;
  /** standard deviation of a day's mean temperature about the season's, °C */
  spreadC: number;
  /** last day in spring and first in autumn at or below a threshold */
  lastFreeze: SpreadTable;
  firstFreeze: SpreadTable;
  /** first day from which, and last up to which, nights stay at or above a threshold */
  nightsFrom: SpreadTable;
  nightsUntil: SpreadTable;
  /** how days follow one another, for the simulated station and for rehearsing seasons */
  weather: WeatherModel;
  /** the season year that is going on, where days of it are known */
  thisYear?: YearSoFar;
}

/**
 * The climate of a station's record.
 * @throws RangeError for a record with fewer than three whole season years
 */
export function climateOfRecord(record: StationRecord, latitude: number, longitude: number): Climate {
  const { years, ...tables } = spreadTables(record, latitude);
  if (years.length < FEWEST_YEARS) throw new RangeError(`a climate needs ${FEWEST_YEARS} whole years`);
  const low = fitHarmonics(dailyMeans(record, record.low), 3);
  const high = fitHarmonics(dailyMeans(record, record.high), 3);
  const { model, spreadC } = fitWeather(record, low, high);
  return roundedClimate({
    latitude,
    longitude,
    basis: 'record',
    years,
    low,
    high,
    spreadC,
    ...tables,
    weather: model,
  });
}

/** Thousandths are finer than any of it is known, and make it half as long to send. */
export const roundedClimate = (climate: Climate): Climate =>
  JSON.parse(
    JSON.stringify(climate, (name, value) =>
      typeof value === 'number' && name !== 'latitude' && name !== 'longitude'
        ? Math.round(value * 1000) / 1000
        : value,
    ),
  );

/** Mean of each calendar day over the years; days without a value are left out. */
function dailyMeans(record: StationRecord, values: Float32Array): { day: number; value: number }[] {
  const sums = new Float64Array(YEAR);
  const counts = new Uint16Array(YEAR);
  const first = dayNumber(record.first);
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!;
    if (Number.isNaN(value)) continue;
    const seasonDay = yearDay(dayOfNumber(first + i));
    sums[seasonDay]! += value;
    counts[seasonDay]! += 1;
  }
  return Array.from(sums, (sum, day) => ({ day, value: sum / counts[day]! })).filter(
    ({ value }) => !Number.isNaN(value),
  );
}
