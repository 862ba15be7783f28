import { daysBetween, earlierOf } from '../../../calendar/index.ts';
import { groupedBy } from '../../../maths/index.ts';
import type { Choices } from '../model/index.ts';
import {
  canDo,
  hasSkill,
  type Rota,
  type RotaPerson,
  type RotaSession,
  type RotaTask,
} from '../problem/index.ts';
import { chainsTooLong, comesBefore } from '../sessionWork/index.ts';
import { balanceLoad } from './balance.ts';
import { type Filling, Seating } from './seating.ts';
import { inUrgency, type Urgency } from './urgency.ts';

/** Most people called in addition for the sake of one task. */
const MOST_CALLED = 4;
/**
 * So often it is tried to have one task done in the place of another. In a garden with far more work than hands, trying all would
 * take longer than the solver, which looks further anyway.
 */
const MOST_TRIES = 2_000;
/** A day with the wrong sky counts as so many days away. */
const POOR_SKY_DAYS = 100;
/** What it counts to call somebody: whoever owes shifts is glad of it. */
const CALL = 1;
const CALL_WHO_OWES = -0.5;

/**
 * A rota made by going through the tasks once, those that cannot wait first: each goes where those who come can do it, or where
 * the fewest have to be called. It keeps all rules and is what the solver begins with.
 */
export function firstRota(choices: Choices): Rota {
  const making = new FirstRota(choices);
  making.placeAll();
  making.leavePoorSkies();
  making.shareLoad();
  return making.rota;
}

/** A place for a task: its session, who would be called for it, and what that counts. */
interface Option {
  filling: Filling;
  more: RotaPerson[];
  burden: number;
}

/** A first rota while it is made. */
class FirstRota {
  readonly #tasks: readonly RotaTask[];
  readonly #seating: Seating;
  /** who may come to each session */
  readonly #mayCome: ReadonlyMap<RotaSession, readonly RotaPerson[]>;
  /** the sessions in which each task may be done */
  readonly #sessionsFor: ReadonlyMap<RotaTask, readonly RotaSession[]>;
  readonly #placedIn = new Map<string, RotaSession>();
  /** tasks that others wait for */
  readonly #awaited: ReadonlySet<string>;
  /** tasks whose session was chosen by hand */
  readonly #locked: ReadonlySet<string>;
  readonly #known: ReadonlySet<string>;
  readonly #order: readonly RotaTask[];
  readonly #urgency: ReadonlyMap<string, Urgency>;
  #triesLeft = MOST_TRIES;

  constructor({ problem, seats, places }: Choices) {
    const fixed = new Set(seats.flatMap((seat) => (seat.fixed ? [seatKey(seat.person, seat.session)] : [])));
    this.#tasks = problem.tasks;
    this.#seating = new Seating(problem, (person, session) => fixed.has(seatKey(person, session)));
    const bySession = groupedBy(seats, ({ session }) => session);
    this.#mayCome = new Map(
      problem.sessions.map((session) => [
        session,
        (bySession.get(session) ?? []).map(({ person }) => person),
      ]),
    );
    this.#sessionsFor = new Map(
      [...groupedBy(places, ({ task }) => task)].map(([task, own]) => [
        task,
        own.map(({ session }) => session),
      ]),
    );
    this.#awaited = new Set(problem.tasks.flatMap(({ after }) => after));
    this.#locked = new Set(problem.taskLocks.map(({ taskId }) => taskId));
    this.#known = new Set(problem.tasks.map(({ id }) => id));
    const { order, urgency } = inUrgency(problem.tasks);
    this.#order = order;
    this.#urgency = urgency;
    seatExpected({ problem, seats }, this.#seating);
  }

  get rota(): Rota {
    return {
      seats: [...this.#seating.fillings.values()].flatMap(({ session, people }) =>
        people.map(({ id }) => ({ personId: id, sessionId: session.id })),
      ),
      placed: [...this.#placedIn].map(([taskId, { id }]) => ({ taskId, sessionId: id })),
    };
  }

  /** Places all it can. What others wait for goes where it is in time for them, and elsewhere only where that cannot be. */
  placeAll(): void {
    let left = [...this.#order];
    for (const inTime of [true, false]) {
      // Where a task alone would call people out for too little, it may do so together with what comes later.
      for (let before = left.length + 1; left.length < before; ) {
        before = left.length;
        left = left.filter((task) => !this.#place(task, inTime));
      }
    }
    // What waited for something that now has room may simply fit.
    for (const task of left) if (!this.#place(task)) this.#makeRoom(task);
  }

  /** Takes what needs another sky to a day that has it, where there is one. */
  leavePoorSkies(): void {
    for (const task of this.#tasks) {
      const session = this.#placedIn.get(task.id);
      if (!session || !task.poorSky.includes(session.on) || this.#awaited.has(task.id)) continue;
      const from = this.#seating.fillings.get(session.id)!;
      from.tasks = from.tasks.filter((other) => other !== task);
      this.#placedIn.delete(task.id);
      if (this.#seating.isWorthCalling(from, from.tasks, from.people) && this.#place(task)) continue;
      this.#put(task, from);
    }
  }

  shareLoad(): void {
    balanceLoad(this.#seating, (session) => this.#mayCome.get(session)!);
  }

  /** Puts a task where it is best done. @param inTime only where it is in time for what waits for it */
  #place(task: RotaTask, inTime = false): boolean {
    const best = this.#bestOption(task, inTime);
    if (!best) return false;
    for (const person of best.more) this.#seating.seat(person, best.filling);
    this.#put(task, best.filling);
    return true;
  }

  #put(task: RotaTask, filling: Filling): void {
    filling.tasks.push(task);
    this.#placedIn.set(task.id, filling.session);
  }

  /** The place that calls the fewest, near the best day; for what others wait for the nearest there is. */
  #bestOption(task: RotaTask, inTime: boolean): Option | null {
    if (!this.#isReady(task)) return null;
    let best: Option | null = null;
    for (const session of this.#nearestFirst(task)) {
      if (!this.#isAfterItsBefore(task, session)) continue;
      if (inTime && session.on > this.#urgency.get(task.id)!.latest) continue;
      // Days with the wrong sky come last in the list: they are for what has no other.
      if (best && task.poorSky.includes(session.on)) break;
      const filling = this.#seating.fillings.get(session.id)!;
      const more = this.#callsFor(task, filling);
      if (!more) continue;
      const burden = more.reduce(
        (sum, one) => sum + (this.#seating.owedNow(one) > 0 ? CALL_WHO_OWES : CALL),
        0,
      );
      if (best && burden >= best.burden) continue;
      best = { filling, more, burden };
      if (this.#awaited.has(task.id)) break;
    }
    return best;
  }

  /** Whether all that a task waits for has its place. */
  #isReady(task: RotaTask): boolean {
    return task.after.every((id) => !this.#known.has(id) || this.#placedIn.has(id));
  }

  #isAfterItsBefore(task: RotaTask, session: RotaSession): boolean {
    return task.after.every((id) => {
      const before = this.#placedIn.get(id);
      return !before || comesBefore(before, session);
    });
  }

  /** Sessions in which a task may be done, near its best day first, but no later than what waits for it can wait. */
  #nearestFirst(task: RotaTask): RotaSession[] {
    const aim = earlierOf(task.best, this.#urgency.get(task.id)!.latest);
    const off = ({ on }: RotaSession) =>
      Math.abs(daysBetween(on, aim)) + (task.poorSky.includes(on) ? POOR_SKY_DAYS : 0);
    return [...(this.#sessionsFor.get(task) ?? [])].sort((a, b) => off(a) - off(b));
  }

  /** Those who would have to be called for a task to be done in a session; null where it cannot be. */
  #callsFor(task: RotaTask, filling: Filling): RotaPerson[] | null {
    const { session, people } = filling;
    const tasks = [...filling.tasks, task];
    if (chainsTooLong(session, tasks).length > 0) return null;
    const suffices = (more: readonly RotaPerson[]) =>
      this.#seating.suffices(filling, tasks, [...people, ...more]);
    const more: RotaPerson[] = [];
    if (!suffices(more)) {
      const most = Math.max(0, Math.min(MOST_CALLED, this.#seating.roomIn(filling)));
      const calls = this.#callable(task, filling).slice(0, most);
      const enough = calls.findIndex((_, n) => suffices(calls.slice(0, n + 1)));
      if (enough < 0) return null;
      more.push(...calls.slice(0, enough + 1));
    }
    return this.#seating.isWorthCalling(filling, tasks, [...people, ...more]) ? more : null;
  }

  /** Who may be called for a task: who has learnt it first, then who owes the most. */
  #callable(task: RotaTask, filling: Filling): RotaPerson[] {
    const owed = (person: RotaPerson) => this.#seating.owedNow(person);
    return this.#mayCome
      .get(filling.session)!
      .filter((one) => one.children === 0 && canDo(one, task) && this.#seating.maySit(one, filling))
      .sort((a, b) => Number(hasSkill(b, task)) - Number(hasSkill(a, task)) || owed(b) - owed(a));
  }

  /** Has a task done in the place of another, which goes elsewhere, or is left where it counts for less. */
  #makeRoom(task: RotaTask): boolean {
    if (!this.#isReady(task)) return false;
    for (const session of this.#sessionsFor.get(task) ?? []) {
      if (!this.#isAfterItsBefore(task, session)) continue;
      const filling = this.#seating.fillings.get(session.id)!;
      for (const other of filling.tasks.filter(({ id }) => !this.#awaited.has(id) && !this.#locked.has(id))) {
        if (this.#triesLeft === 0) return false;
        this.#triesLeft -= 1;
        if (this.#takesThePlace(task, other, filling)) return true;
      }
    }
    return false;
  }

  /** Puts a task in the place of another if the other finds a place or counts for less; else all is as it was. */
  #takesThePlace(task: RotaTask, other: RotaTask, filling: Filling): boolean {
    const { tasks, session } = filling;
    filling.tasks = tasks.filter((one) => one !== other);
    const more = this.#callsFor(task, filling);
    if (more) {
      for (const person of more) this.#seating.seat(person, filling);
      this.#put(task, filling);
      this.#placedIn.delete(other.id);
      if (this.#place(other) || countsForMore(task, other)) return true;
      this.#placedIn.delete(task.id);
      this.#placedIn.set(other.id, session);
      for (const person of more) this.#seating.unseat(person, filling);
    }
    filling.tasks = tasks;
    return false;
  }
}

const seatKey = (person: RotaPerson, session: RotaSession): string => `${person.id} ${session.id}`;

const countsForMore = (one: RotaTask, other: RotaTask): boolean =>
  one.critical === other.critical ? one.minutes > other.minutes : one.critical;

/** Seats who is fixed by hand, and of those who were promised as many as the rules allow; guardians before those they come with. */
function seatExpected({ problem, seats }: Pick<Choices, 'problem' | 'seats'>, seating: Seating): void {
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
