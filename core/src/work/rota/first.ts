import { type Day, daysBetween, earlierOf } from '../../calendar/index.ts';
import { balanceLoad } from './balance.ts';
import { divideParts } from './divide.ts';
import { canDo, hasSkill } from './eligible.ts';
import type { Choices, RotaModel } from './model.ts';
import { chainsTooLong, comesBefore } from './oneAfterAnother.ts';
import type { Part } from './parts.ts';
import type { Rota, RotaPerson, RotaSession, RotaTask } from './problem.ts';
import { type Filling, Seating } from './seating.ts';

/** Most people called in addition for the sake of one task. */
const MOST_CALLED = 4;

/**
 * So often it is tried to have one task done in the place of another. In a garden with far more work than hands, trying all would
 * take longer than the solver, which looks further anyway.
 */
const MOST_TRIES = 2_000;

/** A day with the wrong sky counts as so many days away. */
const POOR_SKY_DAYS = 100;

/** What it counts to call somebody who owes shifts, beside 1 for one who does not. */
const GLAD = -0.5;

/**
 * A rota made by going through the tasks once, those that cannot wait first: each goes where those who come can do it, or where
 * the fewest have to be called. It keeps all rules and is what the solver begins with.
 */
export function firstRota(model: Choices): Rota {
  const { problem, seats, places } = model;
  const fixed = new Set(
    seats.filter((seat) => seat.fixed).map(({ person, session }) => `${person.id} ${session.id}`),
  );
  const seating = new Seating(problem, (person, session) => fixed.has(`${person.id} ${session.id}`));
  const mayCome = new Map<RotaSession, RotaPerson[]>(problem.sessions.map((session) => [session, []]));
  for (const { person, session } of seats) mayCome.get(session)!.push(person);
  seatExpected(model, seating);

  /** Those who would have to be called for a task to be done in a session; null where it cannot be. */
  const callsFor = (task: RotaTask, filling: Filling): RotaPerson[] | null => {
    const { session, people } = filling;
    const tasks = [...filling.tasks, task];
    if (chainsTooLong(session, tasks).length > 0) return null;
    const more: RotaPerson[] = [];
    if (!seating.suffices(filling, tasks, people)) {
      const calls = mayCome
        .get(session)!
        .filter((person) => person.children === 0 && canDo(person, task) && seating.maySit(person, filling));
      // Who has learnt it first; then who owes the most.
      calls.sort(
        (a, b) =>
          Number(hasSkill(b, task)) - Number(hasSkill(a, task)) || seating.owedNow(b) - seating.owedNow(a),
      );
      const most = Math.min(MOST_CALLED, calls.length, seating.roomIn(filling));
      let isEnough = false;
      while (!isEnough && more.length < most) {
        more.push(calls[more.length]!);
        isEnough = seating.suffices(filling, tasks, [...people, ...more]);
      }
      if (!isEnough) return null;
    }
    return seating.isWorthCalling(filling, tasks, [...people, ...more]) ? more : null;
  };

  const placedIn = new Map<string, RotaSession>();
  const awaited = new Set(problem.tasks.flatMap(({ after }) => after));
  const waiting = new Set(problem.tasks.map(({ id }) => id));
  const locked = new Set(problem.taskLocks.map(({ taskId }) => taskId));
  const optionsOf = new Map<RotaTask, RotaSession[]>();
  for (const { task, session } of places) optionsOf.set(task, [...(optionsOf.get(task) ?? []), session]);
  const { order, urgency } = inUrgency(problem.tasks);
  const place = (task: RotaTask, inTime = false): boolean => {
    const before = task.after.filter((id) => waiting.has(id)).map((id) => placedIn.get(id));
    if (before.includes(undefined)) return false;
    let best: { filling: Filling; more: RotaPerson[]; burden: number } | null = null;
    // Near its best day, but no later than what waits for it can wait.
    const aim: Day = earlierOf(task.best, urgency.get(task.id)!.latest);
    const off = ({ on }: RotaSession) =>
      Math.abs(daysBetween(on, aim)) + (task.poorSky.includes(on) ? POOR_SKY_DAYS : 0);
    const options = [...(optionsOf.get(task) ?? [])].sort((a, b) => off(a) - off(b));
    for (const session of options) {
      if (before.some((other) => !comesBefore(other!, session))) continue;
      if (inTime && session.on > urgency.get(task.id)!.latest) continue;
      const filling = seating.fillings.get(session.id)!;
      const more = callsFor(task, filling);
      // Days with the wrong sky come last in the list: they are for what has no other.
      if (best && task.poorSky.includes(session.on)) break;
      if (!more) continue;
      // Whoever owes shifts is glad to be called.
      const burden = more.reduce((sum, person) => sum + (seating.owedNow(person) > 0 ? GLAD : 1), 0);
      if (best && burden >= best.burden) continue;
      best = { filling, more, burden };
      if (awaited.has(task.id)) break;
    }
    if (!best) return false;
    for (const person of best.more) seating.seat(person, best.filling);
    best.filling.tasks.push(task);
    placedIn.set(task.id, best.filling.session);
    return true;
  };
  let tries = MOST_TRIES;
  /** Has a task done in the place of another, which goes elsewhere, or is left where it counts for less. */
  const makeRoom = (task: RotaTask): boolean => {
    const before = task.after.filter((id) => waiting.has(id)).map((id) => placedIn.get(id));
    for (const session of optionsOf.get(task) ?? []) {
      if (before.some((other) => !other || !comesBefore(other, session))) continue;
      const filling = seating.fillings.get(session.id)!;
      for (const other of filling.tasks.filter(({ id }) => !awaited.has(id) && !locked.has(id))) {
        if (tries === 0) return false;
        tries -= 1;
        const tasks = filling.tasks;
        filling.tasks = tasks.filter((one) => one !== other);
        const more = callsFor(task, filling);
        if (more) {
          for (const person of more) seating.seat(person, filling);
          filling.tasks.push(task);
          placedIn.set(task.id, session);
          placedIn.delete(other.id);
          if (place(other) || countsForMore(task, other)) return true;
          placedIn.delete(task.id);
          placedIn.set(other.id, session);
          for (const person of more) seating.unseat(person, filling);
        }
        filling.tasks = tasks;
      }
    }
    return false;
  };
  // Where a task alone would call people out for too little, it may do so together with what comes later.
  // What others wait for goes where it is in time for them, and elsewhere only where that cannot be.
  let left = order;
  for (const inTime of [true, false]) {
    for (let before = left.length + 1; left.length < before; ) {
      before = left.length;
      left = left.filter((task) => !place(task, inTime));
    }
  }
  // What waited for something that now has room may simply fit.
  for (const task of left) if (!place(task)) makeRoom(task);
  for (const task of problem.tasks) {
    const session = placedIn.get(task.id);
    if (!session || !task.poorSky.includes(session.on) || awaited.has(task.id)) continue;
    const from = seating.fillings.get(session.id)!;
    from.tasks = from.tasks.filter((other) => other !== task);
    placedIn.delete(task.id);
    if (seating.isWorthCalling(from, from.tasks, from.people) && place(task)) continue;
    from.tasks.push(task);
    placedIn.set(task.id, session);
  }
  balanceLoad(seating, (session) => mayCome.get(session)!);
  return {
    seats: [...seating.fillings.values()].flatMap(({ session, people }) =>
      people.map(({ id }) => ({ personId: id, sessionId: session.id })),
    ),
    placed: [...placedIn].map(([taskId, { id }]) => ({ taskId, sessionId: id })),
  };
}

/** Seats who is fixed by hand, and of those who were promised as many as the rules allow; guardians before those they come with. */
function seatExpected({ problem, seats }: Choices, seating: Seating): void {
  const known = new Map(seats.map((seat) => [`${seat.person.id} ${seat.session.id}`, seat]));
  for (const { person, session, fixed } of seats) {
    if (fixed) seating.seat(person, seating.fillings.get(session.id)!);
  }
  const promised = problem.promised.flatMap(
    ({ personId, sessionId }) => known.get(`${personId} ${sessionId}`) ?? [],
  );
  promised.sort((a, b) => Number(a.person.guardianId !== null) - Number(b.person.guardianId !== null));
  for (const { person, session } of promised) {
    const filling = seating.fillings.get(session.id)!;
    if (seating.maySit(person, filling)) seating.seat(person, filling);
  }
}

const countsForMore = (one: RotaTask, other: RotaTask): boolean =>
  one.critical === other.critical ? one.minutes > other.minutes : one.critical;

/** What cannot wait first, and always after what comes before it; with each how long it and what waits for it can wait. */
function inUrgency(tasks: readonly RotaTask[]) {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  // What others wait for cannot wait longer than they can.
  const urgency = new Map(tasks.map((task) => [task.id, { critical: task.critical, latest: task.latest }]));
  for (let changed = true; changed; ) {
    changed = false;
    for (const task of tasks) {
      const own = urgency.get(task.id)!;
      for (const id of task.after) {
        const before = urgency.get(id);
        if (!before || (before.latest <= own.latest && before.critical >= own.critical)) continue;
        before.latest = earlierOf(before.latest, own.latest);
        before.critical ||= own.critical;
        changed = true;
      }
    }
  }
  const sorted = [...tasks].sort(
    (a, b) =>
      Number(urgency.get(b.id)!.critical) - Number(urgency.get(a.id)!.critical) ||
      urgency.get(a.id)!.latest.localeCompare(urgency.get(b.id)!.latest) ||
      b.minutes - a.minutes ||
      a.id.localeCompare(b.id),
  );
  const order = new Set<RotaTask>();
  const visit = (task: RotaTask, above: ReadonlySet<string>): void => {
    if (order.has(task) || above.has(task.id)) return;
    for (const id of task.after) {
      const before = byId.get(id);
      if (before) visit(before, new Set([...above, task.id]));
    }
    order.add(task);
  };
  for (const task of sorted) visit(task, new Set());
  return { order: [...order], urgency };
}

/** The rota of those who are fixed by hand, with no work at all. */
export const idleRota = (model: RotaModel): Float64Array =>
  valuesOf(model, {
    seats: model.seats
      .filter(({ fixed }) => fixed)
      .map(({ person, session }) => ({ personId: person.id, sessionId: session.id })),
    placed: [],
  });

/** The values of the columns that are chosen, for a rota; 0 for those that follow from them. */
export function chosenValues({ mip, seats, places }: Choices, rota: Rota): Float64Array {
  const values = new Float64Array(mip.columns.length);
  const comes = new Set(rota.seats.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const done = new Set(rota.placed.map(({ taskId, sessionId }) => `${taskId} ${sessionId}`));
  for (const { person, session, column } of seats)
    if (comes.has(`${person.id} ${session.id}`)) values[column] = 1;
  for (const { task, session, column } of places)
    if (done.has(`${task.id} ${session.id}`)) values[column] = 1;
  return values;
}

/** The values of all a model's columns that follow from a rota that keeps its rules. */
export function valuesOf(model: RotaModel, rota: Rota): Float64Array {
  const { problem } = model;
  const values = chosenValues(model, rota);
  const comes = new Set(rota.seats.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  const done = new Set(rota.placed.map(({ taskId, sessionId }) => `${taskId} ${sessionId}`));
  for (const session of problem.sessions) {
    const people = problem.people.filter(({ id }) => comes.has(`${id} ${session.id}`));
    const tasks = problem.tasks.filter(({ id }) => done.has(`${id} ${session.id}`));
    if (tasks.length > 0) setFlows(model, session, divideParts(session, tasks, people), people, values);
  }
  followingColumns(model, values);
  return values;
}

function setFlows(
  { flows, parts: known }: RotaModel,
  session: RotaSession,
  { parts, given }: ReturnType<typeof divideParts>,
  people: readonly RotaPerson[],
  values: Float64Array,
): void {
  const all = known.get(session.id) ?? [];
  const seen = new Map<RotaTask, number>();
  for (const [i, { task }] of parts.entries()) {
    // The parts of a task come in the same order wherever they are made.
    const nth = seen.get(task) ?? 0;
    seen.set(task, nth + 1);
    const part: Part | undefined = all.filter((one) => one.task === task)[nth];
    for (const [person, minutes] of given[i]!) {
      const flow = flows
        .get(session.id)!
        .find((one) => one.givers.has(people[person]!.id) && part !== undefined && one.parts.has(part));
      if (flow) values[flow.column]! += minutes;
    }
  }
}

/** What people owe and what is wished, from who comes. */
export function followingColumns(
  { seats, followers }: Pick<RotaModel, 'seats' | 'followers'>,
  values: Float64Array,
): void {
  const shifts = new Map<string, number>();
  for (const { person, session, column } of seats)
    shifts.set(person.id, (shifts.get(person.id) ?? 0) + (values[column]! > 0.5 ? session.shifts : 0));
  let largest = 0;
  for (const { person, under, over } of followers.owing) {
    const given = shifts.get(person.id) ?? 0;
    values[under] = Math.max(0, person.owed - given);
    values[over] = Math.max(0, given - person.owed);
    if (person.owed > 0) largest = Math.max(largest, values[under]!);
  }
  values[followers.shortfall] = largest;
  for (const { of, both } of followers.together)
    values[both] = Math.min(...of.map((column) => values[column]!));
}
