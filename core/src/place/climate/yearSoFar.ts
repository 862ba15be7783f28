import type { Day } from '../../calendar/index.ts';
import { placeIn, type StationRecord } from '../record/index.ts';
import { dayInSeason, type SeasonDay, seasonDayOf, seasonYearOf, YEAR } from '../seasonYear.ts';
import type { WeatherDay } from '../weather/index.ts';

/** A soil temperature that somebody read in a bed, at the depth of seed, °C. */
export interface SoilReading {
  bedId: string;
  seasonDay: SeasonDay;
  soilC: number;
}

/** The season year that is going on, as far as it is known. Plain data. */
export interface YearSoFar {
  year: number;
  /** the first season day that has not been measured */
  until: number;
  /** daily minima and maxima by season day, °C: measured before `until`, foretold from there on; null where missing */
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
  const at = (day: Day) => seasonDayOf(latitude, year, day);
  const measured = seen.filter(({ on }) => on < today && at(on) >= 0);
  const until = measured.reduce((last, { on }) => Math.max(last, at(on) + 1), 0);
  // A forecast says nothing of days that it does not follow on.
  const follows = foretold.filter(({ on }, i) => at(on) === until + i && at(on) < YEAR);
  const low: (number | null)[] = new Array(until + follows.length).fill(null);
  const high = [...low];
  for (const day of [...measured, ...follows]) {
    low[at(day.on)] = tenth(day.low);
    high[at(day.on)] = tenth(day.high);
  }
  const readings = soil
    .map(({ bedId, on, soilC }) => ({ bedId, seasonDay: at(on), soilC }))
    .filter(({ seasonDay }) => seasonDay >= 0 && seasonDay < YEAR)
    .sort((a, b) => a.seasonDay - b.seasonDay);
  return { year, until, low, high, soil: readings };
}

/** The days of a record in the season year of `today`, before it; days that lack a temperature are left out. */
export function daysOfSeason(record: StationRecord, latitude: number, today: Day): Temperatures[] {
  const year = seasonYearOf(latitude, today);
  const count = seasonDayOf(latitude, year, today);
  return Array.from({ length: count }, (_, seasonDay) => dayInSeason(latitude, year, seasonDay)).flatMap(
    (on) => {
      const at = placeIn(record, on);
      const low = record.low[at] ?? Number.NaN;
      const high = record.high[at] ?? Number.NaN;
      return Number.isNaN(low) || Number.isNaN(high) ? [] : [{ on, low, high }];
    },
  );
}

const tenth = (value: number): number => Math.round(value * 10) / 10;
