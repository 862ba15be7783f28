import { Temporal } from 'temporal-polyfill';

/** A plain date of the garden's own calendar, `YYYY-MM-DD`. Days compare as text. */
export type Day = string;
/** A date without a year, `MM-DD`. */
export type MonthDay = string;
/** A wall-clock time, `HH:MM`. */
export type ClockTime = string;

/** True for a date that exists: `2026-02-29` is not one. */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  try {
    Temporal.PlainDate.from(text, { overflow: 'reject' });
    return true;
  } catch {
    return false;
  }
}

/** True for a month and day that exist in every year: `02-29` is not one. */
export const isMonthDay = (text: string): boolean => /^\d{2}-\d{2}$/.test(text) && isDay(`2023-${text}`);

/** True for a wall-clock time from `00:00` to `23:59`. */
export const isClockTime = (text: string): boolean => /^([01]\d|2[0-3]):[0-5]\d$/.test(text);

/** The day `days` after `day`; negative goes back. @throws RangeError for a date that does not exist */
export const addDays = (day: Day, days: number): Day => Temporal.PlainDate.from(day).add({ days }).toString();

/** Days from `from` to `to`; negative where `to` is earlier. */
export const daysBetween = (from: Day, to: Day): number =>
  Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: 'days' }).days;

/** 1 for 1 January. */
export const dayOfYear = (day: Day): number => Temporal.PlainDate.from(day).dayOfYear;

/** 1 for Monday … 7 for Sunday (ISO 8601). */
export const weekday = (day: Day): number => Temporal.PlainDate.from(day).dayOfWeek;

/** The Monday of the week that `day` is in. */
export const weekStart = (day: Day): Day => addDays(day, 1 - weekday(day));

/** The calendar year of `day`. */
export const yearOf = (day: Day): number => Number(day.slice(0, 4));

/** `monthDay` in `year`. */
export const dayIn = (year: number, monthDay: MonthDay): Day =>
  `${String(year).padStart(4, '0')}-${monthDay}`;

export const earlierOf = (a: Day, b: Day): Day => (a < b ? a : b);
export const laterOf = (a: Day, b: Day): Day => (a > b ? a : b);
