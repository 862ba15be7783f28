import { type Day, dayOfYearDay, yearDay, yearOf } from '../calendar/index.ts';

/** Days of a year that are told apart: a leap day shares its number with the day before. */
export const YEAR = 365;
/** Spring dates lie before it, autumn dates from it on: 31 July and 1 August in the north, as in NOAA's freeze normals. */
export const MIDSUMMER = 212;
/** 1 July as a day of the calendar year: where the season year of the south begins. */
const SOUTHERN_START = 181;

/**
 * A day of a season year, counted from its first: 0 to 364. A season year runs from midwinter to midwinter: from 1 January in the
 * north, from 1 July in the south, and is named for the calendar year it begins in. Without leap days, so that north and south and all
 * years are alike. Days before 0 and from 365 on lie in the season years before and after; a fraction is a time of day.
 */
export type SeasonDay = number;

const startOf = (latitude: number): number => (latitude < 0 ? SOUTHERN_START : 0);

/** A day of any season year as one of a single year, 0 to 364. */
export const inYear = (seasonDay: SeasonDay): number => ((seasonDay % YEAR) + YEAR) % YEAR;

/** The season year that a day lies in. */
export const seasonYearOf = (latitude: number, day: Day): number =>
  latitude < 0 && yearDay(day) < SOUTHERN_START ? yearOf(day) - 1 : yearOf(day);

/** Season day of a day in the season year `year`; days of other years lie before 0 or from 365 on. */
export const seasonDayOf = (latitude: number, year: number, day: Day): number =>
  yearDay(day) - startOf(latitude) + (yearOf(day) - year) * YEAR;

/** The date of a day of the season year `year`. Fractions are rounded. */
export const dayInSeason = (latitude: number, year: number, seasonDay: SeasonDay): Day =>
  dayOfYearDay(year, Math.round(seasonDay) + startOf(latitude));

/** Day of the calendar year, 0 for 1 January, of a season day. */
export const calendarDay = (latitude: number, seasonDay: SeasonDay): number =>
  inYear(seasonDay + startOf(latitude));
