import type { Climate, YearSoFar } from '../climate/index.ts';
import { calendarDay, YEAR } from '../seasonYear.ts';
import { curveAt, FORECAST_ERROR_C } from '../weather/index.ts';

/** By how much a season year differs from the usual one, °C by season day: measured, then foretold, then fading out. */
export interface Departures {
  low: Float64Array;
  high: Float64Array;
}

/** Days over which what has been warmer or colder than usual is meant when nothing is foretold any more. */
const RECENT_DAYS = 10;
/** What is warmer or colder than usual is half as much so many days on. From memory: weeks remember little of weeks. */
const HALVES_IN_DAYS = 3;
/** Departures smaller than this are none, °C. */
const NONE_C = 0.05;

/**
 * How far the year departs from the climate. A foretold day counts by how much surer it is than the climate: the best weight
 * of two estimates is by their variances. What lies beyond leans on the last ten days, less with every day.
 */
export function departuresOf(climate: Climate, thisYear: YearSoFar): Departures {
  return { low: departuresFrom(climate, thisYear, 'low'), high: departuresFrom(climate, thisYear, 'high') };
}

function departuresFrom(climate: Climate, thisYear: YearSoFar, which: 'low' | 'high'): Float64Array {
  const off = new Float64Array(YEAR);
  const values = thisYear[which];
  let last = 0;
  for (let seasonDay = 0; seasonDay < Math.min(YEAR, values.length); seasonDay++) {
    const value = values[seasonDay];
    // A missing day was as the day before it.
    if (value !== null && value !== undefined)
      last = value - curveAt(climate[which], calendarDay(climate.latitude, seasonDay));
    off[seasonDay] =
      seasonDay < thisYear.until ? last : last * trust(climate.spreadC, seasonDay - thisYear.until);
  }
  fade(off, values.length);
  return off;
}

/** The weight of a day foretold so many days ahead, 0 for today. */
const trust = (spreadC: number, lead: number): number => {
  const error = FORECAST_ERROR_C[Math.min(lead, FORECAST_ERROR_C.length - 1)]!;
  return spreadC ** 2 / (spreadC ** 2 + error ** 2);
};

function fade(off: Float64Array, from: number): void {
  const recent = off.subarray(Math.max(0, from - RECENT_DAYS), from);
  const mean = recent.reduce((sum, value) => sum + value, 0) / Math.max(1, recent.length);
  for (let seasonDay = from; seasonDay < YEAR; seasonDay++) {
    const left = mean * 0.5 ** ((seasonDay - from + 1) / HALVES_IN_DAYS);
    if (Math.abs(left) < NONE_C) return;
    off[seasonDay] = left;
  }
}

/** Days before and after one that make a spell with it: about as long as soil and plants remember. */
const SPELL_DAYS = 3;

/** The same with every measured day as the mean of those about it. @param until the first season day that was not measured */
export function spellsOf({ low, high }: Departures, until: number): Departures {
  const smooth = (values: Float64Array) =>
    values.map((value, seasonDay) => {
      if (seasonDay >= until) return value;
      const spell = values.subarray(
        Math.max(0, seasonDay - SPELL_DAYS),
        Math.min(until, seasonDay + SPELL_DAYS + 1),
      );
      return spell.reduce((sum, one) => sum + one, 0) / spell.length;
    });
  return { low: smooth(low), high: smooth(high) };
}
