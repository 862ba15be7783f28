import { addDays, type Day, weekStart } from '../calendar/index.ts';
import { type Hours, minuteOf } from './availability.ts';

/** Time somebody gave to the garden. */
export interface Given {
  personId: string;
  on: Day;
  minutes: number;
}

/** What somebody promised a season, and what of it is done. */
export interface Pledge {
  /** minutes promised for the season; null for none */
  pledged: number | null;
  done: number;
  /** minutes still owed; none where nothing was promised */
  short: number;
  /** minutes given by week, from the Monday of the first to that of the last */
  weeks: { monday: Day; minutes: number }[];
}

/** Computes what a person gave from a day to a day against what they promised. Minutes that stand twice count twice. */
export function pledgeOf(
  given: readonly Given[],
  personId: string,
  pledged: number | null,
  from: Day,
  until: Day,
): Pledge {
  const mine = given.filter((one) => one.personId === personId && from <= one.on && one.on <= until);
  const byWeek = new Map<Day, number>();
  for (const { on, minutes } of mine) byWeek.set(weekStart(on), (byWeek.get(weekStart(on)) ?? 0) + minutes);
  const mondays = [...byWeek.keys()].sort();
  const weeks: Pledge['weeks'] = [];
  for (let monday = mondays[0]; monday && monday <= mondays.at(-1)!; monday = addDays(monday, 7))
    weeks.push({ monday, minutes: byWeek.get(monday) ?? 0 });
  const done = mine.reduce((sum, { minutes }) => sum + minutes, 0);
  return { pledged, done, short: Math.max(0, (pledged ?? 0) - done), weeks };
}

/** When somebody came to a session and left it, "HH:MM"; null where that was not looked at. */
export interface Presence {
  arrived: string | null;
  left: string | null;
}

/**
 * Minutes somebody was at a session. Where a roll was called, who was not there gave none and who did not say when they
 * left stayed to the end; where none was called, the session's length stands for it.
 */
export function minutesThere(session: Hours, { arrived, left }: Presence, wasCalled: boolean): number {
  if (!wasCalled) return minuteOf(session.to) - minuteOf(session.from);
  if (arrived === null) return 0;
  return Math.max(0, minuteOf(left ?? session.to) - minuteOf(arrived));
}
