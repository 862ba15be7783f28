import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';

/** The time scale of the board: one for all its lanes, in per cent of their width. */
export interface BoardScale {
  days: readonly Day[];
  from: Day;
  until: Day;
  /** where a day begins; days before and after the board are at its edges */
  at(day: Day): number;
  /** the width of a day */
  day: number;
}

/** @param count days on the board, from its first */
export function boardScale(from: Day, count: number): BoardScale {
  const day = 100 / count;
  return {
    days: Array.from({ length: count }, (_, n) => addDays(from, n)),
    from,
    until: addDays(from, count - 1),
    day,
    at: (on) => Math.min(100, Math.max(0, daysBetween(from, on) * day)),
  };
}
