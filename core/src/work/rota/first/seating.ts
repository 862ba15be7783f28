import type { Day } from '../../../calendar/index.ts';
import {
  costOf,
  crewSuffices,
  headCount,
  LEAST_WORK_SHARE,
  lengthOf,
  overlap,
  type RotaPerson,
  type RotaProblem,
  type RotaSession,
  type RotaTask,
  toolMinutes,
  weekOf,
  workedMinutes,
} from '../problem/index.ts';
import { divideParts } from '../sessionWork/index.ts';

/** What has been put into a session so far. */
export interface Filling {
  session: RotaSession;
  people: RotaPerson[];
  tasks: RotaTask[];
}

/** Who sits in which session while a rota is made by hand-like moves; it knows the rules a move has to keep. */
export class Seating {
  readonly fillings = new Map<string, Filling>();
  readonly #shifts = new Map<RotaPerson, number>();
  readonly #sessions = new Map<RotaPerson, RotaSession[]>();
  readonly #promised: ReadonlySet<string>;

  constructor(
    readonly problem: RotaProblem,
    readonly isFixed: (person: RotaPerson, session: RotaSession) => boolean,
  ) {
    for (const session of problem.sessions) this.fillings.set(session.id, { session, people: [], tasks: [] });
    this.#promised = new Set(problem.promised.map(({ personId, sessionId }) => `${personId} ${sessionId}`));
  }

  seat(person: RotaPerson, { session, people }: Filling): void {
    people.push(person);
    this.#shifts.set(person, this.shiftsOf(person) + session.shifts);
    this.#sessions.set(person, [...(this.#sessions.get(person) ?? []), session]);
  }

  unseat(person: RotaPerson, { session, people }: Filling): void {
    people.splice(people.indexOf(person), 1);
    this.#shifts.set(person, this.shiftsOf(person) - session.shifts);
    this.#sessions.set(
      person,
      this.#sessions.get(person)!.filter((other) => other !== session),
    );
  }

  shiftsOf(person: RotaPerson): number {
    return this.#shifts.get(person) ?? 0;
  }

  /** Turns they still owe; below zero what they give beyond. */
  owedNow(person: RotaPerson): number {
    return person.owed - this.shiftsOf(person);
  }

  /** Whether somebody who can come may be seated, by room, rules and their own week. */
  maySit(person: RotaPerson, { session, people }: Filling): boolean {
    if (people.includes(person) || headCount(...people, person) > session.capacity) return false;
    if (person.children > 0 && !this.#lookedAfter([...people, person])) return false;
    if (person.guardianId !== null && !people.some(({ id }) => id === person.guardianId)) return false;
    const own = this.#sessions.get(person) ?? [];
    if (own.some((other) => overlap(other, session))) return false;
    return person.mostPerWeek === null || this.#inWeek(person, own, session) <= person.mostPerWeek;
  }

  /** Whether a session goes on without somebody: nobody fixed, nobody's guardian, nobody who looks after too many. */
  mayLeave(person: RotaPerson, { session, people }: Filling): boolean {
    if (this.isFixed(person, session)) return false;
    if (people.some((other) => other.guardianId === person.id && !this.isFixed(other, session))) return false;
    const left = people.filter((other) => other !== person);
    return person.children > 0 || this.#lookedAfter(left) || !this.#lookedAfter(people);
  }

  /** Whether those who come can do all the work of a session, with the garden's tools. */
  suffices({ session }: Filling, tasks: readonly RotaTask[], people: readonly RotaPerson[]): boolean {
    return (
      tasks.every((task) => crewSuffices(task, people)) &&
      this.#toolsSuffice(session, tasks) &&
      isDivisible(session, tasks, people)
    );
  }

  /** Whether there is work enough for those who were called beyond the ones expected already. */
  isWorthCalling({ session }: Filling, tasks: readonly RotaTask[], people: readonly RotaPerson[]): boolean {
    const called = people.filter(
      (person) => !this.isFixed(person, session) && !this.#promised.has(`${person.id} ${session.id}`),
    );
    const least = LEAST_WORK_SHARE * workedMinutes(session) * called.reduce((sum, { pace }) => sum + pace, 0);
    return tasks.reduce((sum, task) => sum + costOf(task, session), 0) + 1e-9 >= least;
  }

  /** Heads there is still room for. */
  roomIn({ session, people }: Filling): number {
    return session.capacity - headCount(...people);
  }

  #lookedAfter(people: readonly RotaPerson[]): boolean {
    return (
      people.reduce((sum, { adults, children }) => sum + children - this.problem.childRatio * adults, 0) <=
      1e-9
    );
  }

  #inWeek(person: RotaPerson, own: readonly RotaSession[], session: RotaSession): number {
    const week: Day = weekOf(session);
    return [...own.filter((other) => weekOf(other) === week), session].reduce(
      (sum, one) => sum + lengthOf(one),
      person.givenByWeek[week] ?? 0,
    );
  }

  #toolsSuffice(session: RotaSession, tasks: readonly RotaTask[]): boolean {
    const used = new Map<string, number>();
    for (const task of tasks) {
      for (const { tool, per } of task.tools)
        used.set(tool, (used.get(tool) ?? 0) + toolMinutes(task, session, per));
    }
    return [...used].every(
      ([tool, minutes]) =>
        this.problem.tools[tool] === undefined ||
        minutes <= this.problem.tools[tool] * workedMinutes(session) + 1e-6,
    );
  }
}

/** Whether those who come can do all a session's tasks in its time. */
function isDivisible(
  session: RotaSession,
  tasks: readonly RotaTask[],
  people: readonly RotaPerson[],
): boolean {
  const work = tasks.reduce((sum, task) => sum + costOf(task, session), 0);
  const room = people.reduce((sum, { pace }) => sum + pace, 0) * workedMinutes(session);
  return work <= room + 1e-6 && divideParts(session, tasks, people).owing.every((minutes) => minutes <= 1e-6);
}
