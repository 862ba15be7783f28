import { addDays, type Day, daysBetween, weekday } from '../../calendar/index.ts';
import { type RoundKind, roundRows } from '../kinds/index.ts';

/** Work of one kind in some beds, once or again and again. */
export interface Round {
  id: string;
  kind: RoundKind;
  /** days between two occurrences; null for once, or for a day of each month */
  every: number | null;
  /** true where it comes every month on the weekday of the first: the second Saturday, or the last one */
  monthly: boolean;
  first: Day;
  /** no occurrence begins after it; null for no end */
  until: Day | null;
  /** days there are for an occurrence, from the first one */
  span: number;
}

/** One occurrence of a round, as a task: its id stays whatever else is changed in the round. */
export interface Occurrence {
  id: string;
  on: Day;
  latest: Day;
}

/** The id of an occurrence: that of the round, its kind, and the day it begins. */
export const occurrenceId = ({ id, kind }: Pick<Round, 'id' | 'kind'>, on: Day): string =>
  `${id}.${kind}.${on.replaceAll('-', '')}`;

/** The parts of an occurrence's id, or null for text that is not one. */
export function occurrenceParts(id: string): { roundId: string; kind: RoundKind; on: Day } | null {
  const [roundId, kind, day, ...rest] = id.split('.');
  const read = /^(\d{4})(\d{2})(\d{2})$/.exec(day ?? '');
  if (!roundId || rest.length > 0 || !read || !Object.hasOwn(roundRows, kind ?? '')) return null;
  return { roundId, kind: kind as RoundKind, on: `${read[1]}-${read[2]}-${read[3]}` };
}

/** The occurrences of a round that begin between two days, both included. */
export function occurrencesOf(round: Round, from: Day, until: Day): Occurrence[] {
  const last = round.until !== null && round.until < until ? round.until : until;
  const days = round.monthly ? monthlyDays(round.first, from, last) : everyDays(round, from, last);
  return days
    .filter((on) => on >= from && on >= round.first && on <= last)
    .map((on) => ({ id: occurrenceId(round, on), on, latest: addDays(on, Math.max(0, round.span - 1)) }));
}

function everyDays({ first, every }: Round, from: Day, last: Day): Day[] {
  if (every === null) return [first];
  const days: Day[] = [];
  const skipped = Math.max(0, Math.ceil(daysBetween(first, from) / every));
  for (let on = addDays(first, skipped * every); on <= last; on = addDays(on, every)) days.push(on);
  return days;
}

/** The week of its month that a day is in, 1 to 4; 5 for the last where a month may have no fifth. */
export const weekOfMonth = (day: Day): number => Math.ceil(Number(day.slice(8)) / 7);

/** The days of the months between two days that are the same weekday in the same week of their month as another. */
function monthlyDays(first: Day, from: Day, last: Day): Day[] {
  const week = weekOfMonth(first);
  const days: Day[] = [];
  for (
    let month = `${(from > first ? from : first).slice(0, 7)}-01`;
    month <= last;
    month = nextMonth(month)
  ) {
    const begin = addDays(month, (weekday(first) - weekday(month) + 7) % 7);
    const day = addDays(begin, 7 * (week - 1));
    days.push(day < nextMonth(month) ? day : addDays(day, -7));
  }
  return days;
}

const nextMonth = (month: Day): Day => `${addDays(month, 31).slice(0, 7)}-01`;
