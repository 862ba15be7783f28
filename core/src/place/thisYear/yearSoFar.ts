import type { Day } from '../../calendar/index.ts';
import { placeIn, type StationRecord } from '../record.ts';
import { dayInSeason, placeInSeason, seasonYearOf, YEAR } from '../seasonYear.ts';
import type { WeatherDay } from '../weatherModel.ts';

/** A soil temperature that somebody read in a bed, at the depth of seed, °C. */
export interface SoilReading {
  bedId: string;
  /** place in the season year */
  place: number;
  soilC: number;
}

/** The season year that is going on, as far as it is known. Plain data; places count its days from 0. */
export interface YearSoFar {
  year: number;
  /** the first place that has not been measured */
  until: number;
  /** daily minima and maxima by place, °C: measured before `until`, foretold from there on; null where missing */
  low: (number | null)[];
  high: (number | null)[];
  /** in the order of their days */
  soil: SoilReading[];
}

type Temperatures = Pick<WeatherDay, 'on' | 'low' | 'high'>;

/**
 * The season year of `today` from the station's days.
 * @param seen days that were measured, of this season year or not, in any order; today and later ones do not count
 * @param foretold days from today on, in their order
 */
export function yearSoFar(
  latitude: number,
  today: Day,
  seen: readonly Temperatures[],
  foretold: readonly Temperatures[] = [],
  soil: readonly { bedId: string; on: Day; soilC: number }[] = [],
): YearSoFar {
  const year = seasonYearOf(latitude, today);
  const placeOf = (day: Day) => placeInSeason(latitude, year, day);
  const measured = seen.filter(({ on }) => on < today && placeOf(on) >= 0);
  const until = measured.reduce((last, { on }) => Math.max(last, placeOf(on) + 1), 0);
  // A forecast says nothing of days that it does not follow on.
  const follows = foretold.filter(({ on }, i) => placeOf(on) === until + i && placeOf(on) < YEAR);
  const low: (number | null)[] = new Array(until + follows.length).fill(null);
  const high = [...low];
  for (const day of [...measured, ...follows]) {
    low[placeOf(day.on)] = tenth(day.low);
    high[placeOf(day.on)] = tenth(day.high);
  }
  const readings = soil
    .map(({ bedId, on, soilC }) => ({ bedId, place: placeOf(on), soilC }))
    .filter(({ place }) => place >= 0 && place < YEAR)
    .sort((a, b) => a.place - b.place);
  return { year, until, low, high, soil: readings };
}

/** The days of a record in the season year of `today`, before it; days that lack a temperature are left out. */
export function daysOfSeason(record: StationRecord, latitude: number, today: Day): Temperatures[] {
  const year = seasonYearOf(latitude, today);
  const count = placeInSeason(latitude, year, today);
  return Array.from({ length: count }, (_, place) => dayInSeason(latitude, year, place)).flatMap((on) => {
    const at = placeIn(record, on);
    const low = record.low[at] ?? Number.NaN;
    const high = record.high[at] ?? Number.NaN;
    return Number.isNaN(low) || Number.isNaN(high) ? [] : [{ on, low, high }];
  });
}

const tenth = (value: number): number => Math.round(value * 10) / 10;
