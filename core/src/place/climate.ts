import { dayNumber, dayOfNumber, yearDay } from '../calendar/index.ts';
import type { DateSpread, SpreadTable } from './dateSpread.ts';
import { curveOfMonths, fitHarmonics, type Harmonics, harmonicAt } from './harmonics.ts';
import type { MonthlyNormals, Place } from './place.ts';
import type { StationRecord } from './record.ts';
import { calendarPlace, placeInSeason, YEAR } from './seasonYear.ts';
import { fitWeather, type WeatherModel, weatherOfNormals } from './weatherModel.ts';
import { freezeThresholds, nightThresholds, spreadTables } from './yearlyDates.ts';

/** A garden's climate, reduced once from what is known of it. Plain data of a few kilobytes. */
export interface Climate {
  latitude: number;
  longitude: number;
  /** what it rests on: a station's days, monthly means with the median frosts, or the median frosts alone */
  basis: 'record' | 'normals' | 'frosts';
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
}

/** Years a record must have for its own frost dates. Fewer years than this say too little about one year in ten. */
export const FEWEST_YEARS = 3;

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
  return rounded({
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
const rounded = (climate: Climate): Climate =>
  JSON.parse(
    JSON.stringify(climate, (name, value) =>
      typeof value === 'number' && name !== 'latitude' && name !== 'longitude'
        ? Math.round(value * 1000) / 1000
        : value,
    ),
  );

/** Mean of each calendar day over the years; days without a value are left out. */
function dailyMeans(record: StationRecord, values: Float32Array): { place: number; value: number }[] {
  const sums = new Float64Array(YEAR);
  const counts = new Uint16Array(YEAR);
  const first = dayNumber(record.first);
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!;
    if (Number.isNaN(value)) continue;
    const place = yearDay(dayOfNumber(first + i));
    sums[place]! += value;
    counts[place]! += 1;
  }
  return Array.from(sums, (sum, place) => ({ place, value: sum / counts[place]! })).filter(
    ({ value }) => !Number.isNaN(value),
  );
}

/** Spread of dates where no record tells it, days: wider than most stations have, to be honest. From memory. */
const UNKNOWN_FROST_DAYS = 13;
const UNKNOWN_NIGHTS_DAYS = 10;
/** The mean minimum about the median last frost where nothing better is known, °C. From memory: mid-latitude normals. */
const LOW_AT_FROST_C = 5.5;
/** Half the yearly range of mean minima per degree of latitude, and the mean daily range, °C. Rough, from memory. */
const RANGE_PER_DEGREE = 0.29;
const DAILY_RANGE_C = 12;
/** Standard deviation of a day's mean temperature, °C. From memory: mid-latitude stations have 3 to 5. */
const UNKNOWN_SPREAD_C = 4;

/** The climate of monthly means and the median frost dates, with wide spreads. */
export function climateOfNormals(place: Place, normals: MonthlyNormals): Climate {
  const low = curveOfMonths(normals.low);
  const high = curveOfMonths(normals.high);
  return supposed(place, low, high, 'normals', normals.rain);
}

/**
 * The climate of the median frost dates alone: mean minima follow a cosine that passes 5.5 °C on both dates, with a range
 * that grows with latitude. A stand-in until monthly means or a record are known.
 */
export function climateOfFrosts(place: Place): Climate {
  const { lastFrost, firstFrost } = frostPlaces(place);
  const half = (firstFrost - lastFrost) / 2;
  const warmest = calendarPlace(place.latitude, (lastFrost + firstFrost) / 2);
  const range = Math.max(3, RANGE_PER_DEGREE * Math.abs(place.latitude));
  const mean = LOW_AT_FROST_C - range * Math.cos((2 * Math.PI * half) / YEAR);
  const angle = (2 * Math.PI * (warmest + 0.5)) / YEAR;
  const low = [mean, range * Math.cos(angle), range * Math.sin(angle)];
  const high = [mean + DAILY_RANGE_C, ...low.slice(1)];
  return supposed(place, low, high, 'frosts', new Array<number>(12).fill(70));
}

function frostPlaces(place: Place): { lastFrost: number; firstFrost: number } {
  // The year is one without a leap day; the season year of the south ends in the year after.
  const lastFrost = placeInSeason(place.latitude, 2023, `2023-${place.lastFrost}`);
  const firstYear = place.firstFrost < place.lastFrost ? 2024 : 2023;
  return {
    lastFrost,
    firstFrost: placeInSeason(place.latitude, 2023, `${firstYear}-${place.firstFrost}`),
  };
}

function supposed(
  place: Place,
  low: Harmonics,
  high: Harmonics,
  basis: Climate['basis'],
  rain: readonly number[],
): Climate {
  const { latitude, longitude } = place;
  const { lastFrost, firstFrost } = frostPlaces(place);
  const warmest = Math.round((lastFrost + firstFrost) / 2);
  const lowAt = (p: number) => harmonicAt(low, calendarPlace(latitude, p));
  const spreadAbout = (mean: number | null, sd = UNKNOWN_FROST_DAYS): DateSpread =>
    mean === null ? { mean: 0, sd: 1, share: 0 } : { mean, sd, share: 1 };

  /** Where, going from midsummer towards `end`, mean minima first fall below `least`; the end where they never do. */
  const falls = (end: number, least: number): number | null => {
    const step = Math.sign(end - warmest);
    for (let p = warmest; p !== end; p += step) if (lowAt(p) < least) return p;
    return null;
  };
  const winterBefore = warmest - 182;
  const winterAfter = warmest + 182;
  // The typed medians are anchors: other thresholds stand where mean minima differ from there by as much.
  const table = (anchor: number, end: number): SpreadTable => ({
    from: freezeThresholds.from,
    step: freezeThresholds.step,
    spreads: Array.from({ length: freezeThresholds.count }, (_, i) => {
      const threshold = freezeThresholds.from + i * freezeThresholds.step;
      if (threshold === 0) return spreadAbout(anchor);
      return spreadAbout(falls(end, lowAt(anchor) + threshold));
    }),
  });
  const nights = (end: number): SpreadTable => ({
    from: nightThresholds.from,
    step: nightThresholds.step,
    spreads: Array.from({ length: nightThresholds.count }, (_, i) => {
      const least = nightThresholds.from + i * nightThresholds.step;
      if (lowAt(warmest) < least) return spreadAbout(null);
      // Where no night of the year falls short, nights stay from its first day on.
      return spreadAbout(falls(end, least) ?? (end < warmest ? 0 : YEAR - 1), UNKNOWN_NIGHTS_DAYS);
    }),
  });
  return rounded({
    latitude,
    longitude,
    basis,
    years: [],
    low,
    high,
    spreadC: UNKNOWN_SPREAD_C,
    lastFreeze: table(lastFrost, winterBefore),
    firstFreeze: table(firstFrost, winterAfter),
    nightsFrom: nights(winterBefore),
    nightsUntil: nights(winterAfter),
    weather: weatherOfNormals(rain, UNKNOWN_SPREAD_C),
  });
}
