import { addDays, type Day, daysBetween } from '../calendar/index.ts';
import { type RoundKind, roundRows } from './roundKinds.ts';

/** Work of one kind in some beds, once or again and again. */
export interface Round {
  id: string;
  kind: RoundKind;
  /** days between two occurrences; null for once */
  every: number | null;
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
  const { first, every, span } = round;
  const last = round.until !== null && round.until < until ? round.until : until;
  const occurrences: Occurrence[] = [];
  const skipped = every === null ? 0 : Math.max(0, Math.ceil(daysBetween(first, from) / every));
  for (let on = every === null ? first : addDays(first, skipped * every); on <= last; ) {
    if (on >= from)
      occurrences.push({ id: occurrenceId(round, on), on, latest: addDays(on, Math.max(0, span - 1)) });
    if (every === null) break;
    on = addDays(on, every);
  }
  return occurrences;
}
