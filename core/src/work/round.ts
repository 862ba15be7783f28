import { addDays, type Day, daysBetween } from '../calendar/index.ts';
import { type RoundKind, roundRows } from './roundKinds.ts';

/** Work of one kind in some beds, once or again and again. */
export interface Round {
  id: string;
  kind: RoundKind;
  /** days between two turns; null for once */
  every: number | null;
  first: Day;
  /** no turn begins after it; null for no end */
  until: Day | null;
  /** days there are for a turn, from the first one */
  span: number;
}

/** One turn of a round, as a task: its id stays whatever else is changed in the round. */
export interface Turn {
  id: string;
  on: Day;
  latest: Day;
}

/** The id of a turn: that of the round, its kind, and the day it begins. */
export const turnId = ({ id, kind }: Pick<Round, 'id' | 'kind'>, on: Day): string =>
  `${id}.${kind}.${on.replaceAll('-', '')}`;

/** The parts of a turn's id, or null for text that is not one. */
export function turnParts(id: string): { roundId: string; kind: RoundKind; on: Day } | null {
  const [roundId, kind, day, ...rest] = id.split('.');
  const read = /^(\d{4})(\d{2})(\d{2})$/.exec(day ?? '');
  if (!roundId || rest.length > 0 || !read || !Object.hasOwn(roundRows, kind ?? '')) return null;
  return { roundId, kind: kind as RoundKind, on: `${read[1]}-${read[2]}-${read[3]}` };
}

/** The turns of a round that begin between two days, both included. */
export function turnsOf(round: Round, from: Day, until: Day): Turn[] {
  const { first, every, span } = round;
  const last = round.until !== null && round.until < until ? round.until : until;
  const turns: Turn[] = [];
  const skipped = every === null ? 0 : Math.max(0, Math.ceil(daysBetween(first, from) / every));
  for (let on = every === null ? first : addDays(first, skipped * every); on <= last; ) {
    if (on >= from) turns.push({ id: turnId(round, on), on, latest: addDays(on, Math.max(0, span - 1)) });
    if (every === null) break;
    on = addDays(on, every);
  }
  return turns;
}
