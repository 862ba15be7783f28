import type { Day } from '../../../calendar/index.ts';
import type { Availability, Hours, Skill, Strain } from '../../../crew/index.ts';
import type { Point } from '../../../ground/index.ts';
import type { Needs } from '../../kinds/index.ts';

/** A meeting that people and tasks are put into. */
export interface RotaSession extends Hours {
  id: string;
  on: Day;
  /** most heads */
  capacity: number;
  /** whether children may come */
  children: boolean;
  leadId: string | null;
  /** shifts it counts for: 1 for one of the usual length, more for a long day */
  shifts: number;
  /** where it meets, metres; null where it is not said */
  place: Point | null;
}

/** Work to be put into a session, with what it asks of those who do it. */
export interface RotaTask extends Omit<Needs, 'sky'> {
  id: string;
  /** minutes of work for one practised person */
  minutes: number;
  earliest: Day;
  latest: Day;
  best: Day;
  /** tasks that come before it, in an earlier session or earlier in the same one */
  after: readonly string[];
  place: Point | null;
  /** days on which the sky is not what it wants; the session is put there only where there is no other */
  poorSky: readonly Day[];
}

export interface RotaPerson {
  id: string;
  adults: number;
  children: number;
  /** minutes of a practised person's work they do in a minute, all heads together */
  pace: number;
  skills: readonly Skill[];
  cannot: readonly Strain[];
  ratherNot: readonly Strain[];
  availability: Availability;
  /** shifts they owe by the end of this rota; 0 where nothing was promised */
  owed: number;
  /** most minutes in a week, Monday to Sunday */
  mostPerWeek: number | null;
  /** minutes already given or fixed in weeks of the rota, by Monday */
  givenByWeek: Readonly<Record<Day, number>>;
  /** one of them has to come as well */
  guardianId: string | null;
  /** with whom they would like to work */
  together: readonly string[];
}

/** Somebody in a session. */
export interface Seat {
  personId: string;
  sessionId: string;
}

/** What a person has said by hand, which the rota keeps. */
export interface SeatLock extends Seat {
  comes: boolean;
}

export interface RotaProblem {
  sessions: readonly RotaSession[];
  tasks: readonly RotaTask[];
  people: readonly RotaPerson[];
  /** how many of each tool the garden owns; a tool not named is one everybody brings */
  tools: Readonly<Record<string, number>>;
  /** most children for each grown person present */
  childRatio: number;
  /** who was told that they are expected, which is kept where nothing greater is lost */
  promised: readonly Seat[];
  /** where an earlier rota put tasks; a repair leaves them there where nothing greater is lost */
  standing: readonly { taskId: string; sessionId: string }[];
  seatLocks: readonly SeatLock[];
  /** a task put into a session by hand, or kept out of all (null) */
  taskLocks: readonly { taskId: string; sessionId: string | null }[];
}

/** A rota: who comes when, and what is done when. */
export interface Rota {
  seats: Seat[];
  placed: { taskId: string; sessionId: string }[];
}
