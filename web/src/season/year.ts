import type { Garden } from '@unity-acre/contract/place';
import { addDays, type Day } from '@unity-acre/core/calendar';

/** First days of the months between two days. */
export function monthsBetween(from: Day, to: Day): Day[] {
  const months: Day[] = [];
  let month = `${from.slice(0, 7)}-01`;
  while (month <= to) {
    if (month >= from) months.push(month);
    month = `${addDays(month, 31).slice(0, 7)}-01`;
  }
  return months;
}

/** The season year a day's frosts are reckoned with. */
export const seasonYearOf = (garden: Garden, day: Day): number => {
  const year = Number(day.slice(0, 4));
  return garden.latitude < 0 && day.slice(5) < '07-01' ? year - 1 : year;
};
