import type { Rota, RotaPerson, RotaProblem, RotaSession, RotaTask } from '../problem.ts';

/*
 * The rules of a rota once more, written from what they say and sharing nothing with what makes one. Work in a session is
 * looked at by Gale's condition: no set of its parts may ask for more than those who can do any of them can give.
 */

const WORKED = 0.85;
const WALK = 50;
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

function works(session: RotaSession, tasks: RotaTask[], people: RotaPerson[]): boolean {
  const parts = new Map<string, { by: RotaPerson[]; minutes: number }>();
  const add = (by: RotaPerson[], amount: number) => {
    const key = by.map(({ id }) => id).join();
    parts.set(key, { by, minutes: (parts.get(key)?.minutes ?? 0) + amount });
  };
  for (const task of tasks) {
    const can = people.filter((person) => able(person, task));
    const whole = cost(task, session);
    const share = task.skill === null ? 0 : whole <= 20 ? whole : whole / task.most;
    if (share > 0)
      add(
        can.filter((person) => person.skills.includes(task.skill!)),
        share,
      );
    add(can, cost(task, session) - share);
  }
  const list = [...parts.values()].filter((part) => part.minutes > 1e-9);
  for (let set = 1; set < 2 ** list.length; set++) {
    const chosen = list.filter((_, i) => set & (1 << i));
    const givers = new Set(chosen.flatMap(({ by }) => by));
    const room = WORKED * length(session) * sum([...givers].map(({ pace }) => pace));
    if (sum(chosen.map((part) => part.minutes)) > room + 1e-6) return false;
  }
  return true;
}

/** The rules a rota breaks, in words; empty for one that keeps them all. */
export function brokenRules(problem: RotaProblem, rota: Rota): string[] {
  const broken: string[] = [];
  const sessionOf = (id: string) => problem.sessions.find((one) => one.id === id)!;
  const placedOf = (id: string) => rota.placed.filter(({ taskId }) => taskId === id);
  const locked = (person: RotaPerson, session: RotaSession) =>
    problem.seatLocks.find((one) => one.personId === person.id && one.sessionId === session.id)?.comes;
  const fixed = (person: RotaPerson, session: RotaSession) =>
    locked(person, session) ?? session.leadId === person.id;

  for (const session of problem.sessions) {
    const people = problem.people.filter(({ id }) =>
      rota.seats.some((seat) => seat.personId === id && seat.sessionId === session.id),
    );
    const tasks = problem.tasks.filter(({ id }) =>
      rota.placed.some((place) => place.taskId === id && place.sessionId === session.id),
    );
    const free = people.filter((person) => !fixed(person, session));
    if (sum(people.map(heads)) > session.capacity && free.length > 0)
      broken.push(`${session.id} is too full`);
    const over = (list: RotaPerson[]) =>
      sum(list.map(({ children, adults }) => children - problem.childRatio * adults));
    if (free.some(({ children }) => children > 0) && over(people) > 1e-6)
      broken.push(`${session.id} has too many children`);
    for (const person of people) {
      if (locked(person, session) === false) broken.push(`${person.id} said no to ${session.id}`);
      if (fixed(person, session)) continue;
      if (!isThere(person, session)) broken.push(`${person.id} is away from ${session.id}`);
      if (person.children > 0 && !session.children) broken.push(`children in ${session.id}`);
      if (person.guardianId && !people.some(({ id }) => id === person.guardianId))
        broken.push(`${person.id} is without a guardian`);
    }
    for (const person of problem.people) {
      if (fixed(person, session) === true && !people.includes(person)) broken.push(`${person.id} was fixed`);
    }
    const expected = (person: RotaPerson) =>
      problem.promised.some((one) => one.personId === person.id && one.sessionId === session.id);
    const called = free.filter((person) => !expected(person));
    const work = sum(tasks.map((task) => cost(task, session)));
    if (work + 1e-6 < 0.5 * WORKED * length(session) * sum(called.map(({ pace }) => pace)))
      broken.push(`${session.id} calls people for too little`);
    if (!works(session, tasks, people)) broken.push(`${session.id} has more work than its people can do`);
    for (const [tool, owned] of Object.entries(problem.tools)) {
      const used = sum(
        tasks.flatMap((task) =>
          task.tools
            .filter((need) => need.tool === tool)
            .map(({ per }) => cost(task, session) / (per === 'crew' ? Math.max(1, task.fewest) : 1)),
        ),
      );
      if (used > owned * WORKED * length(session) + 1e-6) broken.push(`${session.id} lacks ${tool}`);
    }
    for (const task of tasks) {
      const lock = problem.taskLocks.find(({ taskId }) => taskId === task.id);
      if (lock ? lock.sessionId !== session.id : session.on < task.earliest || session.on > task.latest)
        broken.push(`${task.id} is not for ${session.id}`);
      if (sum(people.filter((person) => able(person, task)).map(heads)) < task.fewest)
        broken.push(`${task.id} has too few`);
      for (const before of task.after) {
        if (!problem.tasks.some(({ id }) => id === before)) continue;
        const at = placedOf(before)[0];
        const first = at && sessionOf(at.sessionId);
        const isBefore =
          first &&
          (first.id === session.id ||
            first.on < session.on ||
            (first.on === session.on && first.to <= session.from));
        if (!isBefore) broken.push(`${task.id} comes before ${before}`);
      }
    }
  }
  for (const { id } of problem.tasks) if (placedOf(id).length > 1) broken.push(`${id} is done twice`);
  for (const person of problem.people) {
    const own = rota.seats
      .filter(({ personId }) => personId === person.id)
      .map(({ sessionId }) => sessionOf(sessionId));
    for (const one of own) {
      for (const other of own) {
        const meet = one.on === other.on && one.from < other.to && other.from < one.to;
        if (one.id < other.id && meet && !(fixed(person, one) && fixed(person, other)))
          broken.push(`${person.id} is in two places`);
      }
      const week = own.filter((other) => mondayOf(other.on) === mondayOf(one.on));
      const given = sum(week.map(length)) + (person.givenByWeek[mondayOf(one.on)] ?? 0);
      if (
        person.mostPerWeek !== null &&
        given > person.mostPerWeek &&
        !week.every((other) => fixed(person, other))
      )
        broken.push(`${person.id} works too much`);
    }
  }
  return broken;
}
