import { addDays, type Day, weekStart } from '@unity-acre/core/calendar';

/** The last day on which each is left out, by its garden and id. */
export type Until = Record<string, Day>;

/** The last day of the week of a day: Sunday. */
export const weekEnds = (today: Day): Day => addDays(weekStart(today), 6);

/** Those that are still left out on a day; what is over is not kept. */
export const stillAway = (until: Until, today: Day): Until =>
  Object.fromEntries(Object.entries(until).filter(([, last]) => last >= today));
