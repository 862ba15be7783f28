import { groupedBy } from '../../../maths/index.ts';
import { type LinearGoal, Mip, type Row } from '../../../solving/index.ts';
import {
  type GoalName,
  guardianRows,
  peopleGoalsOf,
  personRows,
  type RotaModel,
  roomRows,
} from '../model/index.ts';
import {
  costOf,
  headCount,
  LEAST_WORK_SHARE,
  type RotaProblem,
  type RotaSession,
  type RotaTask,
  workedMinutes,
} from '../problem/index.ts';
import { ableAmong, beyondThem, byWhoMay, divideParts, type Part, partsOf } from '../sessionWork/index.ts';

type Seats = RotaModel['seats'];
type Term = [column: number, times: number];

/** Sets of people looked at for each session; more of them say little that these do not. */
const MOST_SETS = 80;
/** Paces that are multiples of this are counted in whole numbers. */
const FINEST_PACE = 1 / 12;
const any = Number.POSITIVE_INFINITY;

/** Who comes, as a model of its own, where the day of all work is given. */
export interface Attendance {
  mip: Mip;
  seats: Seats;
  goals: LinearGoal<GoalName>[];
  followers: RotaModel['followers'];
  /** who may come to each session with work, and its tasks */
  sessions: { session: RotaSession; here: Seats; tasks: readonly RotaTask[] }[];
}

/**
 * Builds the model of who comes for work whose days are given. What work asks of people is said in whole people: where a set
 * of them alone can do work of 110 minutes in sessions of 100, two have to come, not 1.1. No choice of whole people is lost by
 * it, nothing has to be said of how the work is divided, and a solver comes near to the best before it has to try.
 * Not all sets are looked at: `missed` says which were wanted for what is found.
 * Source: Gomory rounding of Gale's condition for a feasible flow.
 */
export function attendanceModel(
  problem: RotaProblem,
  mayCome: Seats,
  tasksOf: ReadonlyMap<string, readonly RotaTask[]>,
): Attendance {
  const mip = new Mip();
  const seats = mayCome.map((seat) => {
    const column = mip.column(`comes ${seat.person.id} ${seat.session.id}`, 0);
    if (seat.fixed) mip.row(`fixed ${column}`, [[column, 1]], 1, 1);
    return { ...seat, column };
  });
  const seatsIn = groupedBy(seats, ({ session }) => session);
  const sessions: Attendance['sessions'] = [];
  for (const [session, here] of seatsIn) {
    const tasks = tasksOf.get(session.id) ?? [];
    roomRows(problem, mip, session, here);
    coverRows(mip, session, here, tasks);
    calledRow(problem, mip, session, here, tasks);
    if (tasks.length > 0) sessions.push({ session, here, tasks });
  }
  const seatsBy = groupedBy(seats, ({ person }) => person.id);
  for (const own of seatsBy.values()) personRows(mip, own);
  guardianRows(mip, seats);
  return { mip, seats, sessions, ...peopleGoalsOf(problem, mip, seats, seatsBy) };
}

/** What the work of a session asks for and those who come cannot give: rows that were not in the model. */
export function missed({ sessions }: Attendance, values: ArrayLike<number>): Row[] {
  const rows: Row[] = [];
  for (const { session, here, tasks } of sessions) {
    const coming = here.filter(({ column }) => values[column]! > 0.5).map(({ person }) => person);
    const beyond = beyondThem(divideParts(session, tasks, coming));
    if (beyond.length === 0) continue;
    // The parts of a task come in the same order whoever is there.
    const people = here.map(({ person }) => person);
    const able = ableAmong(people);
    const all = tasks.flatMap((task) => partsOf(task, session, people, able));
    const parts = beyond.map((i) => all[i]!);
    const { worth, asked } = countingOf(here);
    const minutes = parts.reduce((sum, part) => sum + part.minutes, 0);
    const least = asked(minutes, session);
    const by = new Set(parts.flatMap((part) => part.by));
    rows.push({ name: `missed ${session.id}`, terms: termsOf({ by, least }, here, worth), least, most: any });
  }
  return rows;
}

/** So much of a set of people has to come. */
interface Cover {
  by: ReadonlySet<number>;
  least: number;
}

/** Nobody counts for more than is asked. */
const termsOf = ({ by, least }: Cover, here: Seats, worth: (i: number) => number): Term[] =>
  [...by].map((i) => [here[i]!.column, Math.min(least, worth(i))]);

function coverRows(mip: Mip, session: RotaSession, here: Seats, tasks: readonly RotaTask[]): void {
  const people = here.map(({ person }) => person);
  const { worth, asked } = countingOf(here);
  const able = ableAmong(people);
  const parts = tasks.flatMap((task) => partsOf(task, session, people, able));
  const work = unions(parts).map(({ by, minutes }) => ({ by, least: asked(minutes, session) }));
  addCovers(mip, `whole ${session.id}`, here, work, worth);
  const crews = tasks.map((task) => ({ by: new Set(able(task)), least: task.fewest }));
  addCovers(mip, `crew ${session.id}`, here, crews, (i) => headCount(people[i]!));
}

/** Adds rows for covers that do not follow from one another. */
function addCovers(
  mip: Mip,
  name: string,
  here: Seats,
  covers: readonly Cover[],
  worth: (i: number) => number,
): void {
  const kept: Cover[] = [];
  for (const cover of [...covers].sort((a, b) => a.by.size - b.by.size || b.least - a.least)) {
    if (cover.least <= 0) continue;
    const follows = kept.some(
      ({ by, least }) => least >= cover.least && [...by].every((i) => cover.by.has(i)),
    );
    if (!follows) kept.push(cover);
  }
  for (const [n, cover] of kept.entries())
    mip.row(`${name} ${n}`, termsOf(cover, here, worth), cover.least, any);
}

/** Nobody is called out for nothing: who is not expected already comes only where there is work for them. */
function calledRow(
  problem: RotaProblem,
  mip: Mip,
  session: RotaSession,
  here: Seats,
  tasks: readonly RotaTask[],
): void {
  const expected = new Set(
    problem.promised.filter(({ sessionId }) => sessionId === session.id).map(({ personId }) => personId),
  );
  const called = here.filter(({ person, fixed }) => !fixed && !expected.has(person.id));
  if (called.length === 0) return;
  const { worth, given } = countingOf(called);
  const work = tasks.reduce((sum, task) => sum + costOf(task, session), 0);
  const most = given(work / LEAST_WORK_SHARE, session);
  mip.row(
    `called ${session.id}`,
    called.map(({ column }, i): Term => [column, worth(i)]),
    0,
    most,
  );
}

/** How paces are counted: what each of those here is worth, and how much of that so much work asks for. */
interface Counting {
  worth: (i: number) => number;
  asked: (minutes: number, session: RotaSession) => number;
  given: (minutes: number, session: RotaSession) => number;
}

/** In whole numbers of the greatest pace of which all are multiples, where there is one; else as they are, and unrounded. */
function countingOf(here: Seats): Counting {
  const paces = here.map(({ person }) => person.pace);
  const inFinest = paces.map((pace) => Math.round(pace / FINEST_PACE));
  if (paces.some((pace, i) => Math.abs(pace - inFinest[i]! * FINEST_PACE) > 1e-9)) {
    const plain = (minutes: number, session: RotaSession) => minutes / workedMinutes(session);
    return { worth: (i) => paces[i]!, asked: plain, given: plain };
  }
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  const finest = inFinest.reduce(gcd, 0) || 1;
  const units = (minutes: number, session: RotaSession) =>
    minutes / (workedMinutes(session) * finest * FINEST_PACE);
  return {
    worth: (i) => inFinest[i]! / finest,
    asked: (minutes, session) => Math.ceil(units(minutes, session) - 1e-9),
    given: (minutes, session) => Math.floor(units(minutes, session) + 1e-9),
  };
}

/** Sets of people, with the minutes of work that none but they may do. */
function unions(parts: readonly Part[]): { by: Set<number>; minutes: number }[] {
  const kinds = [...byWhoMay(parts).values()].map((kind) => ({
    by: new Set(kind[0]!.by),
    minutes: kind.reduce((sum, { minutes }) => sum + minutes, 0),
  }));
  const keyOf = (by: Set<number>) => [...by].sort((a, b) => a - b).join(' ');
  const sets = new Map(kinds.map(({ by }) => [keyOf(by), by]));
  for (const one of [...sets.values()]) {
    for (const other of [...sets.values()]) {
      if (sets.size >= MOST_SETS) break;
      const both = new Set([...one, ...other]);
      sets.set(keyOf(both), both);
    }
  }
  return [...sets.values()].map((by) => ({
    by,
    minutes: kinds
      .filter((kind) => [...kind.by].every((i) => by.has(i)))
      .reduce((sum, { minutes }) => sum + minutes, 0),
  }));
}
