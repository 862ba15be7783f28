import { groupedBy } from '../../../maths/index.ts';
import { type LinearGoal, Mip } from '../../../solving/index.ts';
import {
  canDo,
  costOf,
  crewSuffices,
  headCount,
  hindranceOf,
  isFixed,
  isInWindow,
  LEAST_WORK_SHARE,
  lengthOf,
  missingTool,
  overlap,
  type Rota,
  type RotaPerson,
  type RotaProblem,
  type RotaSession,
  type RotaTask,
  toolMinutes,
  weekOf,
  workedMinutes,
} from '../problem/index.ts';
import {
  ableAmong,
  byWhoMay,
  chainRows,
  comesBefore,
  orderRows,
  type Part,
  partsOf,
} from '../sessionWork/index.ts';
import { type GoalName, goalOrder, peopleGoalsOf, timelyGoalOf, workGoalsOf } from './goals.ts';

/** What there is to choose in a rota: the columns of its model, before anything is said of how they go together. */
export interface Choices {
  problem: RotaProblem;
  mip: Mip;
  /** the columns of who may come when */
  seats: { person: RotaPerson; session: RotaSession; column: number; fixed: boolean }[];
  /** the columns of what may be done when */
  places: { task: RotaTask; session: RotaSession; column: number }[];
  /** by session, those who may come, and which of them may do a task */
  mayCome: ReadonlyMap<string, MayCome>;
}

interface MayCome {
  people: readonly RotaPerson[];
  able: (task: RotaTask) => number[];
}

/** A rota's problem as a mixed-integer model with its goals. */
export interface RotaModel extends Choices {
  goals: LinearGoal<GoalName>[];
  /** the columns of minutes given, by session: who gives them, and to which parts of the work */
  flows: Map<string, { givers: Set<string>; parts: Set<Part>; column: number }[]>;
  /** the work of each session's tasks in parts, as the flows know them */
  parts: Map<string, Part[]>;
  /** columns that follow from who comes */
  followers: {
    shortfall: number;
    owing: { person: RotaPerson; under: number; over: number }[];
    together: { of: [number, number]; both: number }[];
  };
}

type Term = [column: number, times: number];
const none = Number.NEGATIVE_INFINITY;
const any = Number.POSITIVE_INFINITY;

/** Who may come when and what may be done when, as far as that can be said of each alone. */
export function choicesOf(problem: RotaProblem): Choices {
  const mip = new Mip();
  const seats = seatColumns(problem, mip);
  const seatsOf = groupedBy(seats, ({ session }) => session.id);
  const mayCome = new Map(
    problem.sessions.map(({ id }) => {
      const people = (seatsOf.get(id) ?? []).map(({ person }) => person);
      return [id, { people, able: ableAmong(people) }] as const;
    }),
  );
  return { problem, mip, seats, places: placeColumns(problem, mip, mayCome), mayCome };
}

/**
 * Builds the model. In each session the work of its tasks must be divisible among those who come and may do it: a flow from
 * what is asked (parts that the same people may do) to who can give it (people who may do the same), which is exact and stays
 * small however many people there are.
 */
export function rotaModel(
  problem: RotaProblem,
  repairing = false,
  choices: Choices = choicesOf(problem),
): RotaModel {
  const { seats, places, mayCome } = choices;
  const mip = choices.mip.copy();
  const seatsOf = groupedBy(seats, ({ session }) => session.id);
  const seatsBy = groupedBy(seats, ({ person }) => person.id);
  const placesOf = groupedBy(places, ({ session }) => session.id);
  const placesBy = groupedBy(places, ({ task }) => task.id);
  const flows: RotaModel['flows'] = new Map();
  const parts: RotaModel['parts'] = new Map();
  for (const session of problem.sessions) {
    const here = seatsOf.get(session.id) ?? [];
    const work = placesOf.get(session.id) ?? [];
    roomRows(problem, mip, session, here);
    const { people, able } = mayCome.get(session.id)!;
    const own = work.flatMap(({ task }) => partsOf(task, session, people, able));
    parts.set(session.id, own);
    flows.set(session.id, divisible(mip, session, here, work, own));
    crewRows(mip, here, work);
    toolRows(problem, mip, session, work);
    chainRows(mip, session, work);
    enoughToDo(problem, mip, session, here, work);
  }
  for (const [taskId, own] of placesBy) {
    mip.row(
      `once ${taskId}`,
      own.map(({ column }): Term => [column, 1]),
      0,
      1,
    );
  }
  orderRows(problem, mip, placesBy);
  for (const own of seatsBy.values()) personRows(mip, own);
  guardianRows(mip, seats);
  const { goals: ofPeople, followers } = peopleGoalsOf(problem, mip, seats, seatsBy);
  const goals = [...workGoalsOf(places), ...ofPeople, timelyGoalOf(places)];
  return {
    ...choices,
    mip,
    flows,
    parts,
    followers,
    goals: goalOrder(repairing).map((name) => goals.find((goal) => goal.name === name)!),
  };
}

function seatColumns(problem: RotaProblem, mip: Mip): RotaModel['seats'] {
  const seats: RotaModel['seats'] = [];
  for (const person of problem.people) {
    for (const session of problem.sessions) {
      if (hindranceOf(problem, person, session) !== null) continue;
      const fixed = isFixed(problem, person, session);
      const column = mip.column(`comes ${person.id} ${session.id}`, 0);
      if (fixed) mip.row(`fixed ${person.id} ${session.id}`, [[column, 1]], 1, 1);
      seats.push({ person, session, column, fixed });
    }
  }
  return seats;
}

function placeColumns(
  problem: RotaProblem,
  mip: Mip,
  mayCome: ReadonlyMap<string, MayCome>,
): RotaModel['places'] {
  const locks = new Map(problem.taskLocks.map(({ taskId, sessionId }) => [taskId, sessionId]));
  const candidates: Place[] = [];
  for (const task of problem.tasks) {
    const lock = locks.get(task.id);
    if (lock === null) continue;
    for (const session of problem.sessions) {
      // What was put somewhere by hand stays there, its window or not.
      if (lock !== undefined ? lock !== session.id : !isInWindow(task, session)) continue;
      if (missingTool(problem, task)) continue;
      if (!couldBeDone(task, session, mayCome.get(session.id)!)) continue;
      candidates.push({ task, session });
    }
  }
  return reachable(problem, candidates).map(({ task, session }) => ({
    task,
    session,
    column: mip.column(`does ${task.id} ${session.id}`, 0),
  }));
}

/** Whether a task could be done in a session by all who might come. */
function couldBeDone(task: RotaTask, session: RotaSession, { people, able }: MayCome): boolean {
  const room = (by: readonly number[]) =>
    by.reduce((sum, i) => sum + people[i]!.pace, 0) * workedMinutes(session);
  const parts = partsOf(task, session, people, able);
  return crewSuffices(task, people) && parts.every(({ minutes, by }) => minutes <= room(by) + 1e-6);
}

type Place = Pick<RotaModel['places'][number], 'task' | 'session'>;

/** Places of what can be done after what comes before it; what waits in vain has none. */
function reachable(problem: RotaProblem, candidates: Place[]): Place[] {
  const waiting = new Set(problem.tasks.map(({ id }) => id));
  for (let places = candidates; ; ) {
    const byTask = groupedBy(places, ({ task }) => task.id);
    const left = places.filter(({ task, session }) =>
      task.after.every(
        (id) =>
          !waiting.has(id) || (byTask.get(id) ?? []).some((before) => comesBefore(before.session, session)),
      ),
    );
    if (left.length === places.length) return left;
    places = left;
  }
}

/** Heads, and children for those who look after them. What is fixed by hand may overfill a session; then nobody else comes. */
export function roomRows(
  problem: RotaProblem,
  mip: Mip,
  session: RotaSession,
  here: RotaModel['seats'],
): void {
  const fixedHeads = here
    .filter(({ fixed }) => fixed)
    .reduce((sum, { person }) => sum + headCount(person), 0);
  mip.row(
    `room ${session.id}`,
    here.map(({ column, person }): Term => [column, headCount(person)]),
    0,
    Math.max(session.capacity, fixedHeads),
  );
  const free = here.filter(({ person, fixed }) => person.children > 0 && !fixed);
  if (free.length === 0) return;
  // Each child who is not fixed by hand needs somebody to look after them; those fixed count first.
  const terms = here.map(
    ({ column, person }): Term => [column, person.children - problem.childRatio * person.adults],
  );
  const fixedExcess = here
    .filter(({ fixed }) => fixed)
    .reduce((sum, { person }) => sum + person.children - problem.childRatio * person.adults, 0);
  mip.row(`looked after ${session.id}`, terms, none, Math.max(0, fixedExcess));
}

function divisible(
  mip: Mip,
  session: RotaSession,
  here: RotaModel['seats'],
  work: RotaModel['places'],
  parts: readonly Part[],
) {
  const people = here.map(({ person }) => person);
  const column = new Map(work.map((place) => [place.task, place.column]));
  const flows: { givers: Set<string>; parts: Set<Part>; column: number }[] = [];
  const kinds = [...byWhoMay(parts).values()];
  // People who may do the same kinds of work are one supply.
  const supplies = groupedBy(
    people.map((_, i) => i),
    (i) => kinds.map((kind) => (kind[0]!.by.includes(i) ? '1' : '0')).join(''),
  );
  // Both parts of a task may be of one kind, where all who can have learnt it.
  const asked: Term[][] = kinds.map((kind) =>
    [...groupedBy(kind, ({ task }) => task)].map(
      ([task, own]): Term => [column.get(task)!, -own.reduce((sum, { minutes }) => sum + minutes, 0)],
    ),
  );
  for (const [n, [mask, members]] of [...supplies].entries()) {
    const given: Term[] = [];
    for (const [k, terms] of asked.entries()) {
      if (mask[k] !== '1') continue;
      const flow = mip.column(`flow ${session.id} ${n} ${k}`, 0, { upper: any, whole: false });
      flows.push({
        givers: new Set(members.map((i) => people[i]!.id)),
        parts: new Set(kinds[k]!),
        column: flow,
      });
      given.push([flow, 1]);
      terms.push([flow, 1]);
    }
    if (given.length === 0) continue;
    for (const i of members) given.push([here[i]!.column, -people[i]!.pace * workedMinutes(session)]);
    mip.row(`gives ${session.id} ${n}`, given, none, 0);
  }
  for (const [k, terms] of asked.entries()) mip.row(`asked ${session.id} ${k}`, terms, 0, any);
  return flows;
}

/** As many who can as a task takes at the least. */
function crewRows(mip: Mip, here: RotaModel['seats'], work: RotaModel['places']): void {
  for (const { task, session, column } of work) {
    const able = here.filter(({ person }) => person.pace > 0 && canDo(person, task));
    const terms = able.map(({ column: seat, person }): Term => [seat, headCount(person)]);
    mip.row(`crew ${task.id} ${session.id}`, [...terms, [column, -task.fewest]], 0, any);
  }
}

function toolRows(problem: RotaProblem, mip: Mip, session: RotaSession, work: RotaModel['places']): void {
  const uses = new Map<string, Term[]>();
  for (const { task, column } of work) {
    for (const { tool, per } of task.tools) {
      if (problem.tools[tool] === undefined) continue;
      const known = uses.get(tool) ?? [];
      known.push([column, toolMinutes(task, session, per)]);
      uses.set(tool, known);
    }
  }
  for (const [tool, terms] of uses) {
    mip.row(`tool ${tool} ${session.id}`, terms, 0, problem.tools[tool]! * workedMinutes(session));
  }
}

/** Nobody is called out for nothing: who is not expected already comes only where there is work for them. */
function enoughToDo(
  problem: RotaProblem,
  mip: Mip,
  session: RotaSession,
  here: RotaModel['seats'],
  work: RotaModel['places'],
): void {
  const expected = new Set(
    problem.promised.filter(({ sessionId }) => sessionId === session.id).map(({ personId }) => personId),
  );
  const called = here.filter(({ person, fixed }) => !fixed && !expected.has(person.id));
  if (called.length === 0) return;
  const terms = work.map(({ task, column }): Term => [column, costOf(task, session)]);
  const share = LEAST_WORK_SHARE * workedMinutes(session);
  mip.row(
    `enough ${session.id}`,
    [...terms, ...called.map(({ person, column }): Term => [column, -share * person.pace])],
    0,
    any,
  );
}

/** Nobody is in two places at once, nor works more in a week than they want to. What is fixed by hand may exceed it. */
export function personRows(mip: Mip, own: RotaModel['seats']): void {
  const person = own[0]!.person;
  for (const [i, one] of own.entries()) {
    for (const other of own.slice(i + 1)) {
      if (!overlap(one.session, other.session) || (one.fixed && other.fixed)) continue;
      mip.row(
        `not twice ${person.id} ${one.session.id} ${other.session.id}`,
        [
          [one.column, 1],
          [other.column, 1],
        ],
        0,
        1,
      );
    }
  }
  if (person.mostPerWeek === null) return;
  for (const [week, list] of groupedBy(own, ({ session }) => weekOf(session))) {
    const fixed = list.filter((seat) => seat.fixed).reduce((sum, { session }) => sum + lengthOf(session), 0);
    const most = Math.max(fixed, person.mostPerWeek - (person.givenByWeek[week] ?? 0));
    mip.row(
      `week ${person.id} ${week}`,
      list.map(({ column, session }): Term => [column, lengthOf(session)]),
      0,
      most,
    );
  }
}

export function guardianRows(mip: Mip, seats: RotaModel['seats']): void {
  const columnOf = new Map(
    seats.map(({ person, session, column }) => [`${person.id} ${session.id}`, column]),
  );
  for (const { person, session, column, fixed } of seats) {
    if (person.guardianId === null || fixed) continue;
    const guardian = columnOf.get(`${person.guardianId} ${session.id}`);
    if (guardian === undefined) continue;
    mip.row(
      `guardian ${person.id} ${session.id}`,
      [
        [guardian, 1],
        [column, -1],
      ],
      0,
      any,
    );
  }
}

/** A solver's values as a rota. */
export function readRota({ seats, places }: Choices, values: ArrayLike<number>): Rota {
  return {
    seats: seats
      .filter(({ column }) => values[column]! > 0.5)
      .map(({ person, session }) => ({ personId: person.id, sessionId: session.id })),
    placed: places
      .filter(({ column }) => values[column]! > 0.5)
      .map(({ task, session }) => ({ taskId: task.id, sessionId: session.id })),
  };
}
