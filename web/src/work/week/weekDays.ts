import { addDays, type Day, weekStart } from '@unity-acre/core/calendar';

/** Days that are looked at, from Monday. */
export const WEEK_DAYS = 14;

/** The days that the week's screen is about, both included. */
export function weekDays(today: Day): { from: Day; until: Day } {
  const from = weekStart(today);
  return { from, until: addDays(from, WEEK_DAYS - 1) };
}
