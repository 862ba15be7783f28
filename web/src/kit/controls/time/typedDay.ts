import type { Dates } from '@unity-acre/contract/wording';
import { type Day, isDay, isMonthDay, type MonthDay } from '@unity-acre/core/calendar';

const two = (number: number): string => String(number).padStart(2, '0');
const dayOf = (year: number, month: number, day: number): Day | null => {
  const text = `${year}-${two(month)}-${two(day)}`;
  return isDay(text) ? text : null;
};

/** How dates are written where one is typed. */
type Written = Pick<Dates, 'months' | 'isMonthFirst'>;

/**
 * Reads a day as people type it: 2026-05-23, May 23, 23 May 2026, 5/23 or, where the day stands first, 23/5. Without a
 * year it is the one nearest to a day.
 * @param near the day in whose neighbourhood it is meant
 * @returns null where it cannot be read
 */
export function typedDay(text: string, { months, isMonthFirst }: Written, near: Day): Day | null {
  const typed = text.trim().toLowerCase();
  if (isDay(typed)) return typed;
  const words = typed.split(/[^\p{L}\d]+/u).filter(Boolean);
  const word = words.find((one) => /\p{L}{3}/u.test(one) && monthOf(one, months) > 0);
  const numbers = words.filter((one) => /^\d+$/.test(one)).map(Number);
  const long = numbers.find((number) => number >= 1000);
  const short = numbers.filter((number) => number < 1000);
  const [first, second, third] = short;
  if (first === undefined) return null;
  const year = long ?? (word ? second : third);
  let month = word ? monthOf(word, months) : isMonthFirst ? first : second;
  let day = word ? first : isMonthFirst ? second : first;
  if (month === undefined || day === undefined) return null;
  // 23/5 can only be meant one way.
  if (!word && month > 12) [month, day] = [day, month];
  if (year !== undefined) return dayOf(year < 100 ? 2000 + year : year, month, day);
  return nearest(month, day, near);
}

/** A year without a leap day, which dates of every year are read in. */
const ANY_YEAR = '2023-07-01';

/** Reads a date of every year as people type it: May 10, 10 de mayo, 5/10 or 05-10. @returns null where it cannot be read */
export function typedMonthDay(text: string, written: Written): MonthDay | null {
  const typed = text.trim();
  if (isMonthDay(typed)) return typed;
  if (/\d{4}/.test(typed)) return null;
  const monthDay = typedDay(typed, written, ANY_YEAR)?.slice(5) ?? '';
  return isMonthDay(monthDay) ? monthDay : null;
}

/** @returns 1 to 12; 0 for no month's name */
const monthOf = (word: string, months: readonly string[]): number =>
  months.findIndex((month) => month.toLowerCase().startsWith(word)) + 1;

function nearest(month: number, day: number, near: Day): Day | null {
  const here = Number(near.slice(0, 4));
  const away = (one: Day) => Math.abs(Date.parse(one) - Date.parse(near));
  const days = [here - 1, here, here + 1].flatMap((year) => dayOf(year, month, day) ?? []);
  return days.sort((a, b) => away(a) - away(b))[0] ?? null;
}
