import type { Day } from '../../calendar/index.ts';
import { type Almanac, degreeDaysOf, expectedWarmth, SEED_DEPTH_MM } from '../almanac/index.ts';
import type { SoilReading } from '../climate/index.ts';
import { inYear, YEAR } from '../seasonYear.ts';
import { almanacOfYear, READING_LASTS_DAYS } from './almanacOfYear.ts';
import { departuresOf } from './departures.ts';

/** Warmth of a season year beside the usual one, as degree days above `AHEAD_BASE_C` from its first day to each season day. */
export interface YearWarmth {
  usual: Float64Array;
  /** as far as it is measured */
  own: Float64Array;
}

/** How a season year stands against the usual one. */
export interface Ahead {
  /** days that the year is ahead; behind where negative */
  days: number;
  /** degree days so far and those usual by now, above `AHEAD_BASE_C` */
  sum: number;
  usual: number;
}

/** Below this the plants of cool seasons stand still, °C (40 °F): the base on which springs are compared. Common practice. */
export const AHEAD_BASE_C = 4.4;
/** With fewer degree days to count, a day more or less says nothing. */
const FEWEST = 30;

/** The warmth of this season year so far. @param almanac of the usual year @returns null where nothing is measured of it */
export function yearWarmth(almanac: Almanac): YearWarmth | null {
  const thisYear = almanac.climate.thisYear;
  if (!thisYear || thisYear.until === 0) return null;
  const { low, high } = departuresOf(almanac.climate, thisYear);
  const own = new Float64Array(thisYear.until + 1);
  for (let p = 0; p < thisYear.until; p++)
    own[p + 1] = own[p]! + degreeDaysOf(almanac.low[p]! + low[p]!, almanac.high[p]! + high[p]!, AHEAD_BASE_C);
  return { usual: expectedWarmth(almanac, AHEAD_BASE_C), own };
}

/**
 * How far this season year is ahead of the usual, by warmth: the day on which the usual year has as much.
 * @param almanac of the usual year
 * @returns null where nothing is measured of the year, or it is not far enough to tell
 */
export function aheadOn(almanac: Almanac): Ahead | null {
  const warmth = yearWarmth(almanac);
  if (!warmth) return null;
  const until = warmth.own.length - 1;
  const sum = warmth.own[until]!;
  const usual = warmth.usual[until]!;
  if (Math.max(sum, usual) < FEWEST) return null;
  let seasonDay = 0;
  while (seasonDay < YEAR && warmth.usual[seasonDay]! < sum) seasonDay++;
  return { days: seasonDay - until, sum, usual };
}

/** Soil temperature of a spot on a day at the depth of seed, °C: by this year's weather, and by what was read there. */
export function soilOn(almanac: Almanac, day: Day): number {
  const year = almanac.seasonYear(day);
  return almanacOfYear(almanac, year).soil(SEED_DEPTH_MM)[inYear(almanac.seasonDayOf(year, day))]!;
}

/** The last soil reading of a bed by a day, if soil still goes by it. */
export function readingOn(almanac: Almanac, day: Day): (SoilReading & { on: Day }) | null {
  const { thisYear } = almanac.climate;
  if (!thisYear) return null;
  const seasonDay = almanac.seasonDayOf(thisYear.year, day);
  const last = thisYear.soil
    .filter((one) => one.bedId === almanac.spot.bedId && one.seasonDay <= seasonDay)
    .at(-1);
  return last && seasonDay - last.seasonDay < READING_LASTS_DAYS
    ? { ...last, on: almanac.day(thisYear.year, last.seasonDay) }
    : null;
}
