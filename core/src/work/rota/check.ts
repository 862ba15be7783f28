import { groupedBy } from '../../maths/index.ts';
import type { Rota, RotaPerson, RotaProblem, RotaSession, RotaTask } from './problem/index.ts';

/*
 * The rules of a rota once more, written from what they say and sharing nothing with what makes one: every rota is held to
 * them before it is shown.
 */

/** The share of a session that is worked, and how fast one walks, metres a minute. */
const WORKED = 0.85;
const WALK = 50;
/** People are called for work that fills this much of their time at the least. */
const WORTH_CALLING = 0.5;
/** What a skill is needed for is done by those who have it: a short task whole, a long one by one of those at it. */
const SHORT_TASK = 20;
const NEARLY = 1e-6;

const minutes = (time: string) => Number(time.split(':')[0]) * 60 + Number(time.split(':')[1]);
const length = (session: RotaSession) => minutes(session.to) - minutes(session.from);
const weekdayOf = (day: string) => ((new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7) + 1;
const mondayOf = (day: string) =>
  new Date(Date.parse(`${day}T12:00:00Z`) - (weekdayOf(day) - 1) * 86_400_000).toISOString().slice(0, 10);
const sum = (numbers: number[]) => numbers.reduce((total, one) => total + one, 0);
const heads = (person: RotaPerson) => person.adults + person.children;

/** Whether somebody's week and its exceptions let them be there throughout, minute by minute. */
export function isThere(person: RotaPerson, session: RotaSession): boolean {
  const { weekly, exceptions } = person.availability;
  const last = exceptions.filter((one) => one.first <= session.on && session.on <= one.last).at(-1);
  const hours = last ? last.hours : (weekly ?? []).filter((one) => one.weekday === weekdayOf(session.on));
  for (let minute = minutes(session.from); minute < minutes(session.to); minute++) {
    if (!hours.some(({ from, to }) => minutes(from) <= minute && minute < minutes(to))) return false;
  }
  return true;
}

const cost = (task: RotaTask, session: RotaSession) =>
  task.minutes +
  (task.place && session.place
    ? (2 * task.fewest * Math.hypot(task.place.x - session.place.x, task.place.y - session.place.y)) / WALK
    : 0);
const able = (person: RotaPerson, task: RotaTask) =>
  person.pace > 0 &&
  !(task.adultsOnly && person.children > 0) &&
  person.cannot.every((strain) => !task.strains.includes(strain));

/** Minutes from the beginning of a session until a task is done at the soonest, after all that it waits for there. */
const until = (task: RotaTask, session: RotaSession, tasks: RotaTask[], seen: RotaTask[] = []): number =>
  cost(task, session) / Math.max(1, task.most) +
  Math.max(
    0,
    ...tasks
      .filter((other) => task.after.includes(other.id) && !seen.includes(other))
      .map((other) => until(other, session, tasks, [...seen, task])),
  );

/** Work of a session that the same people can do. */
interface Part {
  by: RotaPerson[];
  minutes: number;
}

function partsOf(session: RotaSession, tasks: RotaTask[], people: RotaPerson[]): Part[] {
  const parts = new Map<string, Part>();
  const add = (by: RotaPerson[], amount: number) => {
    const key = by.map(({ id }) => id).join();
    parts.set(key, { by, minutes: (parts.get(key)?.minutes ?? 0) + amount });
  };
  for (const task of tasks) {
    const can = people.filter((person) => able(person, task));
    const whole = cost(task, session);
    const share = task.skill === null ? 0 : whole <= SHORT_TASK ? whole : whole / task.most;
    if (share > 0)
      add(
        can.filter((person) => person.skills.includes(task.skill!)),
        share,
      );
    add(can, whole - share);
  }
  return [...parts.values()].filter((part) => part.minutes > 1e-9);
}

/** How many parts are looked at set by set, by Gale's condition; more are filled along paths. */
const FEW_PARTS = 10;

/** Whether the people of a session can do all its parts in the time there is. */
function works(session: RotaSession, tasks: RotaTask[], people: RotaPerson[]): boolean {
  const parts = partsOf(session, tasks, people);
  const room = new Map(people.map((person) => [person, WORKED * length(session) * person.pace]));
  return parts.length <= FEW_PARTS
    ? noSetAsksTooMuch(parts, room)
    : sum(leftAlongPaths(parts, room)) <= NEARLY;
}

/** Gale's condition: no set of parts asks for more than those who can do any of them can give. */
export function noSetAsksTooMuch(parts: Part[], room: Map<RotaPerson, number>): boolean {
  for (let set = 1; set < 2 ** parts.length; set++) {
    const chosen = parts.filter((_, i) => set & (1 << i));
    const givers = new Set(chosen.flatMap(({ by }) => by));
    const given = sum([...givers].map((person) => room.get(person)!));
    if (sum(chosen.map((part) => part.minutes)) > given + NEARLY) return false;
  }
  return true;
}

/** What is left of each part when work is passed on along the shortest paths to whoever has time. */
export function leftAlongPaths(parts: Part[], room: Map<RotaPerson, number>): number[] {
  const left = parts.map((part) => part.minutes);
  const free = new Map(room);
  const done = parts.map(() => new Map<RotaPerson, number>());
  for (const [begin] of parts.entries()) {
    for (
      let path = pathTo(parts, begin, free, done);
      left[begin]! > 1e-9 && path;
      path = pathTo(parts, begin, free, done)
    ) {
      const last = path.at(-1)!;
      const passed = path.slice(1).map(({ part, from }) => done[part]!.get(from!)!);
      const amount = Math.min(left[begin]!, free.get(last.to)!, ...passed);
      for (const { part, from, to } of path) {
        if (from) done[part]!.set(from, done[part]!.get(from)! - amount);
        done[part]!.set(to, (done[part]!.get(to) ?? 0) + amount);
      }
      free.set(last.to, free.get(last.to)! - amount);
      left[begin]! -= amount;
    }
  }
  return left;
}

/** A step of a path: somebody takes work of a part, from whoever did it so far; from nobody at its beginning. */
interface Step {
  part: number;
  from: RotaPerson | null;
  to: RotaPerson;
}

function pathTo(
  parts: Part[],
  begin: number,
  free: Map<RotaPerson, number>,
  done: Map<RotaPerson, number>[],
): Step[] | null {
  const reached = new Set<RotaPerson>();
  let paths: Step[][] = [[]];
  for (let isFirst = true; paths.length > 0; isFirst = false) {
    const next: Step[][] = [];
    for (const path of paths) {
      const from = path.at(-1)?.to ?? null;
      const open = isFirst
        ? [begin]
        : parts.flatMap((_, i) => ((done[i]!.get(from!) ?? 0) > 1e-9 ? [i] : []));
      for (const part of open)
        for (const to of parts[part]!.by) {
          if (reached.has(to)) continue;
          reached.add(to);
          const longer = [...path, { part, from, to }];
          if (free.get(to)! > 1e-9) return longer;
          next.push(longer);
        }
    }
    paths = next;
  }
  return null;
}

/** Looks at one rota, rule by rule. */
class Check {
  readonly broken: string[] = [];
  readonly #sessions: Map<string, RotaSession>;
  readonly #people: Map<string, RotaPerson>;
  readonly #tasks: Map<string, RotaTask>;
  readonly #seats: Map<string, Rota['seats']>;
  readonly #placed: Map<string, Rota['placed']>;
  readonly #placesOf: Map<string, Rota['placed']>;
  readonly #seatsOf: Map<string, Rota['seats']>;
  readonly #said: Map<string, boolean>;
  readonly #promised: Set<string>;
  readonly #locks: Map<string, string | null>;

  constructor(
    readonly problem: RotaProblem,
    rota: Rota,
  ) {
    this.#sessions = new Map(problem.sessions.map((one) => [one.id, one]));
    this.#people = new Map(problem.people.map((one) => [one.id, one]));
    this.#tasks = new Map(problem.tasks.map((one) => [one.id, one]));
    this.#seats = groupedBy(rota.seats, ({ sessionId }) => sessionId);
    this.#seatsOf = groupedBy(rota.seats, ({ personId }) => personId);
    this.#placed = groupedBy(rota.placed, ({ sessionId }) => sessionId);
    this.#placesOf = groupedBy(rota.placed, ({ taskId }) => taskId);
    this.#said = new Map(problem.seatLocks.map((one) => [`${one.personId} ${one.sessionId}`, one.comes]));
    this.#promised = new Set(problem.promised.map((one) => `${one.personId} ${one.sessionId}`));
    this.#locks = new Map(problem.taskLocks.map(({ taskId, sessionId }) => [taskId, sessionId]));
  }

  placesOf(id: string): Rota['placed'] {
    return this.#placesOf.get(id) ?? [];
  }

  said(person: RotaPerson, session: RotaSession): boolean | undefined {
    return this.#said.get(`${person.id} ${session.id}`);
  }

  isFixed(person: RotaPerson, session: RotaSession): boolean {
    return this.said(person, session) ?? session.leadId === person.id;
  }

  peopleIn(session: RotaSession): RotaPerson[] {
    return (this.#seats.get(session.id) ?? []).flatMap(({ personId }) => this.#people.get(personId) ?? []);
  }

  tasksIn(session: RotaSession): RotaTask[] {
    return (this.#placed.get(session.id) ?? []).flatMap(({ taskId }) => this.#tasks.get(taskId) ?? []);
  }

  /** Who is there: how many, children, guardians, and everybody's own time and word. */
  seats(session: RotaSession): void {
    const people = this.peopleIn(session);
    const free = people.filter((person) => !this.isFixed(person, session));
    if (sum(people.map(heads)) > session.capacity && free.length > 0)
      this.broken.push(`${session.id} is too full`);
    const over = sum(people.map(({ children, adults }) => children - this.problem.childRatio * adults));
    if (free.some(({ children }) => children > 0) && over > NEARLY)
      this.broken.push(`${session.id} has too many children`);
    for (const person of people) {
      if (this.said(person, session) === false) this.broken.push(`${person.id} said no to ${session.id}`);
      if (this.isFixed(person, session)) continue;
      if (!isThere(person, session)) this.broken.push(`${person.id} is away from ${session.id}`);
      if (person.children > 0 && !session.children) this.broken.push(`children in ${session.id}`);
      if (person.guardianId && !people.some(({ id }) => id === person.guardianId))
        this.broken.push(`${person.id} is without a guardian`);
    }
    for (const person of this.problem.people)
      if (this.isFixed(person, session) && !people.includes(person))
        this.broken.push(`${person.id} was fixed`);
  }

  /** What is done: enough to call people for, no more than they can do, with the tools there are. */
  work(session: RotaSession): void {
    const [people, tasks] = [this.peopleIn(session), this.tasksIn(session)];
    const isPromised = ({ id }: RotaPerson) => this.#promised.has(`${id} ${session.id}`);
    const called = people.filter((person) => !this.isFixed(person, session) && !isPromised(person));
    const work = sum(tasks.map((task) => cost(task, session)));
    if (work + NEARLY < WORTH_CALLING * WORKED * length(session) * sum(called.map(({ pace }) => pace)))
      this.broken.push(`${session.id} calls people for too little`);
    if (!works(session, tasks, people))
      this.broken.push(`${session.id} has more work than its people can do`);
    if (Math.max(0, ...tasks.map((task) => until(task, session, tasks))) > WORKED * length(session) + NEARLY)
      this.broken.push(`${session.id} is too short for what is done one after another`);
    for (const [tool, owned] of Object.entries(this.problem.tools)) {
      const uses = tasks.flatMap((task) =>
        task.tools
          .filter((need) => need.tool === tool)
          .map(({ per }) => ({
            atOnce: per === 'crew' ? 1 : task.fewest,
            minutes: cost(task, session) / (per === 'crew' ? Math.max(1, task.fewest) : 1),
          })),
      );
      const inUse = sum(uses.map((use) => use.minutes));
      if (inUse > owned * WORKED * length(session) + NEARLY || uses.some(({ atOnce }) => atOnce > owned))
        this.broken.push(`${session.id} lacks ${tool}`);
    }
  }

  /** Each task: in its days, by enough people, after what comes before it. */
  task(task: RotaTask, session: RotaSession): void {
    const lock = this.#locks.get(task.id);
    if (lock !== undefined ? lock !== session.id : session.on < task.earliest || session.on > task.latest)
      this.broken.push(`${task.id} is not for ${session.id}`);
    if (
      sum(
        this.peopleIn(session)
          .filter((person) => able(person, task))
          .map(heads),
      ) < task.fewest
    )
      this.broken.push(`${task.id} has too few`);
    for (const before of task.after) {
      if (!this.#tasks.has(before)) continue;
      const at = this.placesOf(before)[0];
      const first = at && this.#sessions.get(at.sessionId);
      const isBefore =
        first &&
        (first.id === session.id ||
          first.on < session.on ||
          (first.on === session.on && first.to <= session.from));
      if (!isBefore) this.broken.push(`${task.id} comes before ${before}`);
    }
  }

  /** Each person: in one place at a time, and not too long in a week. */
  person(person: RotaPerson): void {
    const own = (this.#seatsOf.get(person.id) ?? []).map(({ sessionId }) => this.#sessions.get(sessionId)!);
    for (const one of own) {
      for (const other of own) {
        const meet = one.on === other.on && one.from < other.to && other.from < one.to;
        if (one.id < other.id && meet && !(this.isFixed(person, one) && this.isFixed(person, other)))
          this.broken.push(`${person.id} is in two places`);
      }
      const week = own.filter((other) => mondayOf(other.on) === mondayOf(one.on));
      const given = sum(week.map(length)) + (person.givenByWeek[mondayOf(one.on)] ?? 0);
      const isFixed = week.every((other) => this.isFixed(person, other));
      if (person.mostPerWeek !== null && given > person.mostPerWeek && !isFixed)
        this.broken.push(`${person.id} works too much`);
    }
  }
}

/** The rules a rota breaks, in words for those who mend the program; empty for one that keeps them all. */
export function brokenRules(problem: RotaProblem, rota: Rota): string[] {
  const check = new Check(problem, rota);
  const ids = problem.tasks.map(({ id }) => id);
  if (new Set(ids).size < ids.length) check.broken.push('a task is there twice');
  for (const session of problem.sessions) {
    check.seats(session);
    check.work(session);
    for (const task of check.tasksIn(session)) check.task(task, session);
  }
  for (const { id } of problem.tasks)
    if (check.placesOf(id).length > 1) check.broken.push(`${id} is done twice`);
  for (const person of problem.people) check.person(person);
  return check.broken;
}
