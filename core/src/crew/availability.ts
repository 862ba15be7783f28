import { type ClockTime, type Day, weekday } from '../calendar/index.ts';

/** A part of a day, of the garden's own clock. */
export interface Hours {
  from: ClockTime;
  to: ClockTime;
}

/** When somebody can come. */
export interface Availability {
  /** by weekday, 1 Monday to 7 Sunday; null where nobody has said yet */
  weekly: (Hours & { weekday: number })[] | null;
  /** days on which the week does not hold: what stands here takes its place, nothing at all means away; the last one wins */
  exceptions: { first: Day; last: Day; hours: Hours[] }[];
}

export const unsaid: Availability = { weekly: null, exceptions: [] };

/** Minutes since midnight. */
export const minuteOf = (time: ClockTime): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));

/** The hours of a day somebody can come, in order, those that meet made one; empty when away or where nothing was said. */
export function freeHours({ weekly, exceptions }: Availability, day: Day): Hours[] {
  const exception = exceptions.findLast(({ first, last }) => first <= day && day <= last);
  const hours = exception?.hours ?? (weekly ?? []).filter((one) => one.weekday === weekday(day));
  const free: Hours[] = [];
  for (const { from, to } of [...hours].sort((a, b) => a.from.localeCompare(b.from))) {
    const before = free.at(-1);
    if (!before || from > before.to) free.push({ from, to });
    else if (to > before.to) before.to = to;
  }
  return free;
}

/** Whether somebody can be there from beginning to end. */
export const isFree = (availability: Availability, day: Day, { from, to }: Hours): boolean =>
  freeHours(availability, day).some((free) => free.from <= from && to <= free.to);
