/** A plain date of the garden's own calendar, `YYYY-MM-DD`. Days compare as text. */
export type Day = string;
/** A date without a year, `MM-DD`. */
export type MonthDay = string;
/** A wall-clock time, `HH:MM`. */
export type ClockTime = string;

const DAY_MS = 86_400_000;

/** Days since 1 January 1970; plain dates have no time zone, so every day is as long as the next. */
function epochDay(day: Day): number {
  const instant = Date.parse(`${day}T00:00:00Z`);
  if (Number.isNaN(instant)) throw new RangeError(`not a date: ${day}`);
  return instant / DAY_MS;
}

const dayOfEpoch = (days: number): Day => new Date(days * DAY_MS).toISOString().slice(0, 10);

/** True for a date that exists: `2026-02-29` is not one. */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  // Engines take 30 February for 2 March, so only a date that comes back as it went in exists.
  const instant = Date.parse(`${text}T00:00:00Z`);
  return !Number.isNaN(instant) && dayOfEpoch(instant / DAY_MS) === text;
}

/** True for a month and day that exist in every year: `02-29` is not one. */
export const isMonthDay = (text: string): boolean => /^\d{2}-\d{2}$/.test(text) && isDay(`2023-${text}`);

/** True for a wall-clock time from `00:00` to `23:59`. */
export const isClockTime = (text: string): boolean => /^([01]\d|2[0-3]):[0-5]\d$/.test(text);

/** The day `days` after `day`; negative goes back. @throws RangeError for text that is not a date */
export const addDays = (day: Day, days: number): Day => dayOfEpoch(epochDay(day) + days);

/** Days from `from` to `to`; negative where `to` is earlier. */
export const daysBetween = (from: Day, to: Day): number => epochDay(to) - epochDay(from);

/** 1 for Monday … 7 for Sunday (ISO 8601). */
export const weekday = (day: Day): number => ((((epochDay(day) + 3) % 7) + 7) % 7) + 1;

/** Noon of a day at Greenwich, milliseconds since the epoch. */
export const noonAtGreenwich = (day: Day): number => (epochDay(day) + 0.5) * DAY_MS;

/** The Monday of the week that `day` is in. */
export const weekStart = (day: Day): Day => addDays(day, 1 - weekday(day));

/** The calendar year of `day`. */
export const yearOf = (day: Day): number => Number(day.slice(0, 4));

/** `monthDay` in `year`. */
export const dayIn = (year: number, monthDay: MonthDay): Day =>
  `${String(year).padStart(4, '0')}-${monthDay}`;

export const earlierOf = (a: Day, b: Day): Day => (a < b ? a : b);
export const laterOf = (a: Day, b: Day): Day => (a > b ? a : b);
