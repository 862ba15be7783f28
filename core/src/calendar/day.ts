/** A plain date of the garden's own calendar, `YYYY-MM-DD`. Days compare as text. */
export type Day = string;
/** A date without a year, `MM-DD`. */
export type MonthDay = string;
/** A wall-clock time, `HH:MM`. */
export type ClockTime = string;

const DAY_MS = 86_400_000;
const DAYS_IN_400_YEARS = 146_097;
/** Days from 1 March of the year 0 to 1 January 1970. */
const EPOCH_SHIFT = 719_468;

const monthLengths = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
const isLeapYear = (year: number): boolean => year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
const daysInMonth = (year: number, month: number): number =>
  month === 2 && isLeapYear(year) ? 29 : monthLengths[month - 1]!;

const ZERO = 48;
/** The number that digits of a text write; not a number where there are others. */
function digitsIn(text: string, from: number, to: number): number {
  let number = 0;
  for (let i = from; i < to; i++) {
    const digit = text.charCodeAt(i) - ZERO;
    if (!(digit >= 0 && digit <= 9)) return Number.NaN;
    number = number * 10 + digit;
  }
  return number;
}

/**
 * Days since 1 January 1970; plain dates have no time zone, so every day is as long as the next.
 * Counted in integers, since computation a garden asks for it hundreds of thousands of times.
 * Source: Hinnant, "chrono-Compatible Low-Level Date Algorithms", days_from_civil.
 * @throws RangeError for text that is not a date
 */
export function dayNumber(day: Day): number {
  const year = digitsIn(day, 0, 4);
  const month = digitsIn(day, 5, 7);
  const date = digitsIn(day, 8, 10);
  const isDate = month >= 1 && month <= 12 && date >= 1 && date <= daysInMonth(year, month) && year >= 0;
  if (day.length !== 10 || !isDate) throw new RangeError(`not a date: ${day}`);
  const marchYear = month > 2 ? year : year - 1;
  const era = Math.floor(marchYear / 400);
  const ofEra = marchYear - era * 400;
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + date - 1;
  const dayOfEra = ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear;
  return era * DAYS_IN_400_YEARS + dayOfEra - EPOCH_SHIFT;
}

const twoDigits = Array.from({ length: 100 }, (_, n) => String(n).padStart(2, '0'));

/** Days that were written already, by their numbers from 1970 on: the same few thousand are written again and again. */
const MOST_WRITTEN = 60_000;
const written = new Array<Day | undefined>(MOST_WRITTEN);

/** The day of a day number. Source: as `dayNumber`, civil_from_days. */
export function dayOfNumber(number: number): Day {
  if (!(number >= 0 && number < MOST_WRITTEN)) return writtenOut(number);
  const known = written[number];
  if (known !== undefined) return known;
  const day = writtenOut(number);
  written[number] = day;
  return day;
}

function writtenOut(number: number): Day {
  const shifted = number + EPOCH_SHIFT;
  const era = Math.floor(shifted / DAYS_IN_400_YEARS);
  const dayOfEra = shifted - era * DAYS_IN_400_YEARS;
  const ofEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / (DAYS_IN_400_YEARS - 1))) /
      365,
  );
  const ofYear = dayOfEra - (365 * ofEra + Math.floor(ofEra / 4) - Math.floor(ofEra / 100));
  const marchMonth = Math.floor((5 * ofYear + 2) / 153);
  const date = ofYear - Math.floor((153 * marchMonth + 2) / 5) + 1;
  const month = marchMonth < 10 ? marchMonth + 3 : marchMonth - 9;
  const year = ofEra + era * 400 + (month <= 2 ? 1 : 0);
  return `${twoDigits[Math.floor(year / 100)]}${twoDigits[year % 100]}-${twoDigits[month]}-${twoDigits[date]}`;
}

/** True for a date that exists: `2026-02-29` is not one. */
export const isDay = (text: string): boolean =>
  /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(text) &&
  Number(text.slice(8)) <= daysInMonth(Number(text.slice(0, 4)), Number(text.slice(5, 7)));

/** True for a month and day that exist in every year: `02-29` is not one. */
export const isMonthDay = (text: string): boolean => /^\d{2}-\d{2}$/.test(text) && isDay(`2023-${text}`);

/** True for a wall-clock time from `00:00` to `23:59`. */
export const isClockTime = (text: string): boolean => /^([01]\d|2[0-3]):[0-5]\d$/.test(text);

/** The day `days` after `day`; negative goes back. @throws RangeError for text that is not a date */
export const addDays = (day: Day, days: number): Day => dayOfNumber(dayNumber(day) + days);

/** Days from `from` to `to`; negative where `to` is earlier. */
export const daysBetween = (from: Day, to: Day): number => dayNumber(to) - dayNumber(from);

/** 1 for Monday … 7 for Sunday (ISO 8601). */
export const weekday = (day: Day): number => ((((dayNumber(day) + 3) % 7) + 7) % 7) + 1;

/** Noon of a day at Greenwich, milliseconds since the epoch. */
export const noonAtGreenwich = (day: Day): number => (dayNumber(day) + 0.5) * DAY_MS;

/** The Monday of the week that `day` is in. */
export const weekStart = (day: Day): Day => addDays(day, 1 - weekday(day));

/** The calendar year of `day`. */
export const yearOf = (day: Day): number => Number(day.slice(0, 4));

/** `monthDay` in `year`. */
export const dayIn = (year: number, monthDay: MonthDay): Day =>
  `${String(year).padStart(4, '0')}-${monthDay}`;

/** First days of the months of a year without a leap day, counted from 0. */
const monthStarts = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];

/** Place of a date in a year of 365 days, 0 for 1 January; 29 February shares the place of the 28th. */
export function yearDay(day: Day): number {
  const month = digitsIn(day, 5, 7);
  const date = digitsIn(day, 8, 10);
  return monthStarts[month - 1]! + (month === 2 && date === 29 ? 27 : date - 1);
}

/** The dates of a year of 365 days, in order. */
const monthDays: readonly MonthDay[] = monthLengths.flatMap((length, month) =>
  Array.from({ length }, (_, date) => `${twoDigits[month + 1]}-${twoDigits[date + 1]}`),
);

/** The date at a place in a year of 365 days; places beyond either end lie in the years around it. */
export function dayOfYearDay(year: number, place: number): Day {
  const whole = Math.round(place);
  return dayIn(year + Math.floor(whole / 365), monthDays[((whole % 365) + 365) % 365]!);
}

export const earlierOf = (a: Day, b: Day): Day => (a < b ? a : b);
export const laterOf = (a: Day, b: Day): Day => (a > b ? a : b);
