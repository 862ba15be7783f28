import { type Day, dayOfYearDay, yearDay, yearOf } from '../calendar/index.ts';

/** Days of the year that a place of the climate stands for; leap days share a place. */
export const YEAR = 365;
/** Spring dates lie before it, autumn dates from it on: 31 July and 1 August in the north, as in NOAA's freeze normals. */
export const MIDSUMMER = 212;
/** 1 July as a place in the calendar year: where the season year of the south begins. */
const SOUTHERN_START = 181;

const startOf = (latitude: number): number => (latitude < 0 ? SOUTHERN_START : 0);

/*
 * A season year runs from midwinter to midwinter: from 1 January in the north, from 1 July in the south, and is named
 * for the calendar year it begins in. Its days are counted from 0, without leap days, so that north and south and all
 * years are alike.
 */

/** A place of any season year as one of a single year, 0 to 364. */
export const inYear = (place: number): number => ((place % YEAR) + YEAR) % YEAR;

/** The season year that a day lies in. */
export const seasonYearOf = (latitude: number, day: Day): number =>
  latitude < 0 && yearDay(day) < SOUTHERN_START ? yearOf(day) - 1 : yearOf(day);

/** Place of a day in the season year `year`; days of other years lie before 0 or from 365 on. */
export const placeInSeason = (latitude: number, year: number, day: Day): number =>
  yearDay(day) - startOf(latitude) + (yearOf(day) - year) * YEAR;

/** The day at a place of the season year `year`. Fractions are rounded. */
export const dayInSeason = (latitude: number, year: number, place: number): Day =>
  dayOfYearDay(year, Math.round(place) + startOf(latitude));

/** A place in the calendar year, 0 for 1 January, for a place in the season year. */
export const calendarPlace = (latitude: number, place: number): number => inYear(place + startOf(latitude));
