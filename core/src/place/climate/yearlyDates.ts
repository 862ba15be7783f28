import { type Day, yearOf } from '../../calendar/index.ts';
import { lastOf, placeIn, type StationRecord } from '../record/index.ts';
import { dayInSeason, MIDSUMMER, type SeasonDay, YEAR } from '../seasonYear.ts';
import { type SpreadTable, spreadOf } from './dateSpread.ts';

/** How far before midwinter the last freeze of a mild winter may lie. */
const WINTER_BEFORE = MIDSUMMER - YEAR;
/** A half year with fewer of its days than this says nothing about its dates. */
const ENOUGH_DAYS = 0.9;

/** Daily minima of one season year and the winters around it, by season day from `WINTER_BEFORE`; NaN is missing. */
interface SeasonYear {
  year: number;
  low: Float32Array;
  springKnown: boolean;
  autumnKnown: boolean;
  /** whether the winters before and after are in the record too, where a mild year has its frosts */
  beforeKnown: boolean;
  afterKnown: boolean;
}

/** Cuts a record into season years, each with the winters on both sides of it. */
function seasonYears(record: StationRecord, latitude: number): SeasonYear[] {
  const years: SeasonYear[] = [];
  for (let year = yearOf(record.first) - 1; year <= yearOf(lastOf(record)); year++) {
    const low = new Float32Array(2 * YEAR).fill(Number.NaN);
    // Leap days share a number with the day before; leaving them out keeps all years alike.
    for (let i = 0; i < low.length; i++) {
      const at = placeIn(record, dayInSeason(latitude, year, WINTER_BEFORE + i));
      if (at >= 0 && at < record.low.length) low[i] = record.low[at]!;
    }
    const known = (from: number, to: number) => {
      let days = 0;
      for (let i = from - WINTER_BEFORE; i < to - WINTER_BEFORE; i++) if (!Number.isNaN(low[i]!)) days += 1;
      return days >= (to - from) * ENOUGH_DAYS;
    };
    const springKnown = known(0, MIDSUMMER);
    const autumnKnown = known(MIDSUMMER, YEAR);
    if (!springKnown && !autumnKnown) continue;
    const beforeKnown = known(WINTER_BEFORE, 0);
    const afterKnown = known(YEAR, YEAR + MIDSUMMER);
    years.push({ year, low, springKnown, autumnKnown, beforeKnown, afterKnown });
  }
  return years;
}

/** The last season day before midsummer whose minimum is at or below the threshold; null for a year without. */
function lastFreeze({ low }: SeasonYear, threshold: number): number | null {
  for (let i = MIDSUMMER - 1 - WINTER_BEFORE; i >= 0; i--) if (low[i]! <= threshold) return i + WINTER_BEFORE;
  return null;
}

/** The first season day from midsummer on whose minimum is at or below the threshold; null for a year without. */
function firstFreeze({ low }: SeasonYear, threshold: number): number | null {
  for (let i = MIDSUMMER - WINTER_BEFORE; i < low.length; i++)
    if (low[i]! <= threshold) return i + WINTER_BEFORE;
  return null;
}

/** Days of a dated freeze: `null` where the year has none. */
interface FreezeYear {
  year: number;
  last: Day | null;
  first: Day | null;
}

/**
 * Last spring and first autumn day at or below a threshold, year by year.
 * Definition as in NOAA's freeze normals: a day counts when its minimum is at or below the threshold; the spring ends
 * on 31 July and the autumn begins on 1 August (half a year later in the south). A year whose half lacks more than a
 * tenth of its days has no entry.
 */
export function freezeYears(record: StationRecord, latitude: number, threshold: number): FreezeYear[] {
  return seasonYears(record, latitude).flatMap((season) => {
    if (!season.springKnown || !season.autumnKnown) return [];
    const dayAt = (seasonDay: SeasonDay | null) =>
      seasonDay === null ? null : dayInSeason(latitude, season.year, seasonDay);
    const last = lastFreeze(season, threshold);
    const first = firstFreeze(season, threshold);
    if ((last === null && !season.beforeKnown) || (first === null && !season.afterKnown)) return [];
    return [{ year: season.year, last: dayAt(last), first: dayAt(first) }];
  });
}

/** Nights in a row whose mean minimum must reach a threshold for nights to "stay" there. */
export const STEADY_NIGHTS = 7;
/** How far a single one of them may fall below it, °C. */
export const STEADY_DIP_C = 3;

/** True where the seven nights from index `i` on are steady at the threshold. */
export function isSteadyAt(low: Float32Array, i: number, threshold: number): boolean {
  let sum = 0;
  for (let n = 0; n < STEADY_NIGHTS; n++) {
    const night = low[i + n]!;
    if (!(night >= threshold - STEADY_DIP_C)) return false;
    sum += night;
  }
  return sum >= threshold * STEADY_NIGHTS;
}

/**
 * The first season day of the year from which nights stay at or above a threshold: the first of seven nights whose mean
 * minimum reaches it while none of them falls more than 3 °C short. Null for a year without.
 */
function nightsFrom({ low }: SeasonYear, threshold: number): number | null {
  for (let seasonDay = 0; seasonDay < MIDSUMMER + 31; seasonDay++)
    if (isSteadyAt(low, seasonDay - WINTER_BEFORE, threshold)) return seasonDay;
  return null;
}

/** The last season day of the year up to which nights stay at or above a threshold, defined as the mirror of `nightsFrom`. */
function nightsUntil({ low }: SeasonYear, threshold: number): number | null {
  for (let seasonDay = YEAR - 1; seasonDay >= MIDSUMMER - 31; seasonDay--)
    if (isSteadyAt(low, seasonDay - WINTER_BEFORE - STEADY_NIGHTS + 1, threshold)) return seasonDay;
  return null;
}

/** Thresholds of the tables, °C. */
export const freezeThresholds = { from: -10, step: 0.5, count: 33 };
export const nightThresholds = { from: 0, step: 1, count: 23 };

const tableOf = (
  { from, step, count }: typeof freezeThresholds,
  datesAt: (threshold: number) => (number | null)[],
): SpreadTable => ({
  from,
  step,
  spreads: Array.from({ length: count }, (_, i) => spreadOf(datesAt(from + i * step))),
});

/** Dates of those years that have one, or of which the winter is known in which none was found. */
const known = (
  years: readonly SeasonYear[],
  winter: 'beforeKnown' | 'afterKnown',
  dateOf: (season: SeasonYear) => number | null,
): (number | null)[] =>
  years.flatMap((season) => {
    const seasonDay = dateOf(season);
    return seasonDay !== null || season[winter] ? [seasonDay] : [];
  });

/** The dates of all thresholds, as means and spreads over the years of a record. */
export function spreadTables(record: StationRecord, latitude: number) {
  const years = seasonYears(record, latitude);
  const springs = years.filter((season) => season.springKnown);
  const autumns = years.filter((season) => season.autumnKnown);
  return {
    lastFreeze: tableOf(freezeThresholds, (t) => known(springs, 'beforeKnown', (s) => lastFreeze(s, t))),
    firstFreeze: tableOf(freezeThresholds, (t) => known(autumns, 'afterKnown', (s) => firstFreeze(s, t))),
    nightsFrom: tableOf(nightThresholds, (t) => springs.map((season) => nightsFrom(season, t))),
    nightsUntil: tableOf(nightThresholds, (t) => autumns.map((season) => nightsUntil(season, t))),
    /** season years that say something about both halves */
    years: years.filter((season) => season.springKnown && season.autumnKnown).map((season) => season.year),
  };
}
