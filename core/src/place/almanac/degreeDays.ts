import { type Day, daysBetween } from '../../calendar/index.ts';
import { normalCdf } from '../../maths/index.ts';
import { placeIn, type StationRecord } from '../record/index.ts';

/**
 * Degree days of one day by the simple average method: (low + high) ÷ 2 − base, never below zero.
 * @param cap mean temperature above which growth gains nothing more, °C
 * Source: common practice; the method of U.S. growing-degree-day tables.
 */
export const degreeDaysOf = (
  low: number,
  high: number,
  base: number,
  cap = Number.POSITIVE_INFINITY,
): number => Math.max(0, Math.min(cap, (low + high) / 2) - base);

/**
 * Degree days accumulated in a record.
 * @param from,to both days counted
 * @returns the sum over the days that have both temperatures, and how many days lack one
 */
export function degreeDays(
  record: StationRecord,
  from: Day,
  to: Day,
  base: number,
): { sum: number; missing: number } {
  const first = placeIn(record, from);
  let sum = 0;
  let missing = 0;
  for (let i = first; i <= first + daysBetween(from, to); i++) {
    const low = record.low[i] ?? Number.NaN;
    const high = record.high[i] ?? Number.NaN;
    if (Number.isNaN(low) || Number.isNaN(high)) missing += 1;
    else sum += degreeDaysOf(low, high, base);
  }
  return { sum, missing };
}

/**
 * Degree days to be expected of a day whose mean temperature varies normally about `mean`: the expected value of
 * min(cap, T) − base above zero. A mean below the base still has its warm days.
 */
export function expectedDegreeDays(mean: number, sd: number, base: number, cap: number): number {
  // E[max(0, X − k)] of a normal X.
  const above = (k: number): number => {
    if (k === Number.POSITIVE_INFINITY) return 0;
    const z = (mean - k) / sd;
    return (mean - k) * normalCdf(z) + (sd * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI);
  };
  return Math.max(0, above(base) - above(cap));
}
