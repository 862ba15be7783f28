import { daysBetween } from '../../../calendar/index.ts';
import type { LinearGoal, Mip } from '../../../solving/index.ts';
import type { RotaProblem } from '../problem/index.ts';
import type { RotaModel } from './model.ts';

type Term = [column: number, times: number];
const any = Number.POSITIVE_INFINITY;

/** The ends of a rota, the greatest first; none gives way to those after it. */
export const goalNames = [
  'critical',
  'minutes',
  'sky',
  'shortfall',
  'spread',
  'together',
  'kept',
  'timely',
] as const;
export type GoalName = (typeof goalNames)[number];

/** What is repaired keeps promises before it does more work. */
const repairOrder: readonly GoalName[] = [
  'critical',
  'kept',
  'minutes',
  'sky',
  'shortfall',
  'spread',
  'together',
  'timely',
];

/** The goals in the order in which they are reached. */
export const goalOrder = (repairing: boolean): readonly GoalName[] => (repairing ? repairOrder : goalNames);

/** The goals about the work: that nothing critical is missed, how much is done, and under which sky. */
export function workGoalsOf(places: RotaModel['places']): LinearGoal<GoalName>[] {
  const tasks = [...new Set(places.map(({ task }) => task))];
  const critical = places.filter(({ task }) => task.critical);
  const poor = places.filter(({ task, session }) => task.poorSky.includes(session.on));
  return [
    {
      name: 'critical',
      terms: critical.map(({ column }) => [column, 1]),
      most: tasks.filter((task) => task.critical).length,
      least: 0,
      whole: true,
    },
    {
      name: 'minutes',
      terms: places.map(({ task, column }) => [column, task.minutes]),
      most: tasks.reduce((sum, { minutes }) => sum + minutes, 0),
      least: 0,
      whole: tasks.every(({ minutes }) => Number.isInteger(minutes)),
    },
    {
      name: 'sky',
      terms: poor.map(({ column }) => [column, -1]),
      most: 0,
      least: -tasks.length,
      whole: true,
    },
  ];
}

/** The goal of doing work near its best day: days off it, of all tasks together. */
export function timelyGoalOf(places: RotaModel['places']): LinearGoal<GoalName> {
  const offs = places.map(({ task, session, column }): Term => {
    return [column, -Math.abs(daysBetween(task.best, session.on))];
  });
  const terms = offs.filter(([, off]) => off !== 0);
  return { name: 'timely', terms, most: 0, least: terms.reduce((sum, [, off]) => sum + off, 0), whole: true };
}

/** The goal of leaving what was promised as it is. */
export function keptGoalOf(problem: RotaProblem, seats: RotaModel['seats']): LinearGoal<GoalName> {
  const promised = new Set(problem.promised.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const terms = seats
    .filter(({ person, session }) => promised.has(`${person.id} ${session.id}`))
    .map(({ column }): Term => [column, 1]);
  return { name: 'kept', terms, most: terms.length, least: 0, whole: true };
}

/** Adds the columns that say what people owe and who is together, and makes the goals about people. */
export function peopleGoalsOf(
  problem: RotaProblem,
  mip: Mip,
  seats: RotaModel['seats'],
  seatsBy: Map<string, RotaModel['seats']>,
): { goals: LinearGoal<GoalName>[]; followers: RotaModel['followers'] } {
  const { shortfall, spread, owing } = owingColumns(mip, seatsBy);
  const wishes = togetherTerms(mip, seats);
  const open = new Map([...seatsBy].map(([id, own]) => [id, turnsOpen(own)]));
  const short = owing.map(({ person }) => Math.max(0, person.owed - open.get(person.id)!));
  const whole = [
    ...seats.map(({ session }) => session.shifts),
    ...owing.map(({ person }) => person.owed),
  ].every(Number.isInteger);
  const goals: LinearGoal<GoalName>[] = [
    {
      name: 'shortfall',
      terms: [[shortfall, -1]],
      most: -Math.max(0, ...short),
      least: -Math.max(0, ...owing.map(({ person }) => person.owed)),
      whole,
    },
    {
      name: 'spread',
      terms: spread,
      most: -short.reduce((sum, one) => sum + one, 0),
      least: -owing.reduce((sum, { person }) => sum + Math.max(person.owed, open.get(person.id)!), 0),
      whole,
    },
    { name: 'together', terms: wishes.terms, most: wishes.terms.length, least: 0, whole: true },
    keptGoalOf(problem, seats),
  ];
  return { goals, followers: { shortfall, owing, together: wishes.together } };
}

/** What each person gives less or more than they owe, and the largest shortfall of all. */
function owingColumns(mip: Mip, seatsBy: Map<string, RotaModel['seats']>) {
  const shortfall = mip.column('largest shortfall', 0, { upper: any, whole: false });
  const spread: Term[] = [];
  const owing: RotaModel['followers']['owing'] = [];
  for (const own of seatsBy.values()) {
    const { person } = own[0]!;
    const { id, owed } = person;
    const under = mip.column(`under ${id}`, 0, { upper: any, whole: false });
    const over = mip.column(`over ${id}`, 0, { upper: any, whole: false });
    const given = own.map(({ column, session }): Term => [column, session.shifts]);
    mip.row(`owes ${id}`, [...given, [under, 1], [over, -1]], owed, owed);
    if (owed > 0) {
      mip.row(
        `shortest ${id}`,
        [
          [shortfall, 1],
          [under, -1],
        ],
        0,
        any,
      );
    }
    spread.push([under, -1], [over, -1]);
    owing.push({ person, under, over });
  }
  return { shortfall, spread, owing };
}

const turnsOpen = (seats: RotaModel['seats']): number =>
  seats.reduce((sum, { session }) => sum + session.shifts, 0);

/** Two who want to work together, in a session: worth one. */
function togetherTerms(mip: Mip, seats: RotaModel['seats']) {
  const columnOf = new Map(
    seats.map(({ person, session, column }) => [`${person.id} ${session.id}`, column]),
  );
  const terms: Term[] = [];
  const together: RotaModel['followers']['together'] = [];
  const seen = new Set<string>();
  for (const { person, session, column } of seats) {
    for (const other of person.together) {
      const key = [person.id, other].sort().join(' ') + session.id;
      const with_ = columnOf.get(`${other} ${session.id}`);
      if (with_ === undefined || seen.has(key)) continue;
      seen.add(key);
      const both = mip.column(`together ${person.id} ${other} ${session.id}`, 0, { whole: false });
      for (const one of [column, with_])
        mip.row(
          `both ${one} ${both}`,
          [
            [one, 1],
            [both, -1],
          ],
          0,
          any,
        );
      terms.push([both, 1]);
      together.push({ of: [column, with_], both });
    }
  }
  return { terms, together };
}
