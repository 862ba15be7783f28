import {
  canDo,
  hasSkill,
  headCount,
  type RotaPerson,
  type RotaSession,
  type RotaTask,
  workedMinutes,
} from '../problem/index.ts';
import { ableAmong, type Part, partsOf } from './parts.ts';

/** Who works at a task, and for how long; nobody for 0 minutes but to lend a hand where it takes more than one. */
export interface Crew {
  taskId: string;
  members: { personId: string; minutes: number }[];
}

/** Nobody is put to a task for less than this unless there is no other way, minutes. */
const SHORTEST = 5;

/**
 * Divides a session's work among those who come: each task first to one crew, spread over those with the most time left, and
 * where that leaves work over, by passing work on along chains of people until it is all given out or cannot be.
 * @param tasks in the order in which they are done
 * @returns the crews, and minutes of practised work nobody has time for (0 where the rota's own rules hold)
 */
export function divideWork(
  session: RotaSession,
  tasks: readonly RotaTask[],
  people: readonly RotaPerson[],
): { crews: Crew[]; left: number } {
  const { parts, given, owing, room } = divideParts(session, tasks, people);
  const crews = tasks.map((task): Crew => {
    const minutes = new Map<number, number>();
    for (const [i, part] of parts.entries()) {
      if (part.task !== task) continue;
      for (const [person, amount] of given[i]!) minutes.set(person, (minutes.get(person) ?? 0) + amount);
    }
    for (const [person, amount] of minutes) if (amount <= 1e-6) minutes.delete(person);
    lendHands(task, people, room, minutes);
    return {
      taskId: task.id,
      members: [...minutes].map(([i, amount]) => ({
        personId: people[i]!.id,
        minutes: Math.round(amount / people[i]!.pace),
      })),
    };
  });
  return { crews, left: owing.reduce((sum, minutes) => sum + Math.max(0, minutes), 0) };
}

/** Work as parts, with the practised minutes each person gives to each; what stays owing nobody has time for. */
export interface Divided {
  parts: Part[];
  given: Map<number, number>[];
  owing: number[];
  room: number[];
}

export function divideParts(
  session: RotaSession,
  tasks: readonly RotaTask[],
  people: readonly RotaPerson[],
): Divided {
  const able = ableAmong(people);
  const parts = tasks.flatMap((task) => partsOf(task, session, people, able));
  const room = people.map(({ pace }) => pace * workedMinutes(session));
  const given: Map<number, number>[] = parts.map(() => new Map());
  const owing = parts.map(({ minutes }) => minutes);
  const give = (part: number, person: number, amount: number) => {
    given[part]!.set(person, (given[part]!.get(person) ?? 0) + amount);
    room[person]! -= amount;
    owing[part]! -= amount;
  };

  const scarceFirst = parts
    .map((_, i) => i)
    .sort(
      (a, b) => parts[a]!.by.length - parts[b]!.by.length || parts[b]!.minutes - parts[a]!.minutes || a - b,
    );
  for (const i of scarceFirst)
    firstCrew(parts[i]!, people, room, (person, amount) => give(i, person, amount), owing[i]!);
  for (const [i, owed] of owing.entries()) {
    let left = owed;
    while (left > 1e-6) {
      const moved = passOn(i, parts, given, room, left);
      if (moved <= 1e-9) break;
      owing[i]! -= moved;
      left = owing[i]!;
    }
  }

  return { parts, given, owing, room };
}

/**
 * Parts of the work that together ask for more than all who may do any of them can give; none where all is given out.
 * Source: the cut of a flow that cannot grow any more (Ford & Fulkerson 1956).
 */
export function beyondThem({ parts, given, owing }: Divided): number[] {
  const found = new Set(owing.flatMap((minutes, i) => (minutes > 1e-6 ? [i] : [])));
  for (const part of found) {
    for (const person of parts[part]!.by) {
      for (const [other, list] of given.entries()) if ((list.get(person) ?? 0) > 1e-9) found.add(other);
    }
  }
  return [...found];
}

/** As few as can finish it, those with the most time left first, and those who would rather not last. */
function firstCrew(
  { task, by }: Part,
  people: readonly RotaPerson[],
  room: readonly number[],
  give: (person: number, amount: number) => void,
  minutes: number,
): void {
  const unwilling = (i: number) => task.strains.some((strain) => people[i]!.ratherNot.includes(strain));
  const willing = by
    .filter((i) => room[i]! > SHORTEST)
    .sort((a, b) => Number(unwilling(a)) - Number(unwilling(b)) || room[b]! - room[a]! || a - b);
  let crew = willing.slice(0, Math.min(task.fewest, willing.length));
  while (crew.length < Math.min(task.most, willing.length)) {
    if (crew.every((i) => room[i]! >= minutes / crew.length)) break;
    crew = willing.slice(0, crew.length + 1);
  }
  // Equal shares, but none beyond what somebody has left: what they leave falls to the others.
  let left = minutes;
  const order = [...crew].sort((a, b) => room[a]! - room[b]!);
  for (const [n, i] of order.entries()) {
    const amount = Math.min(room[i]!, left / (order.length - n));
    if (amount <= 0) continue;
    left -= amount;
    give(i, amount);
  }
}

/**
 * Finds somebody with time left for a part, directly or by handing work of theirs on to another.
 * Source: augmenting paths by breadth (Edmonds & Karp 1972).
 * @returns minutes moved
 */
function passOn(
  start: number,
  parts: readonly Part[],
  given: Map<number, number>[],
  room: number[],
  most: number,
): number {
  const cameToPerson = new Map<number, number>();
  const cameToPart = new Map<number, number>([[start, -1]]);
  const queue = [start];
  for (let head = 0; head < queue.length; head++) {
    const part = queue[head]!;
    for (const person of parts[part]!.by) {
      if (cameToPerson.has(person)) continue;
      cameToPerson.set(person, part);
      if (room[person]! > 1e-9) return moveAlong(person, cameToPerson, cameToPart, given, room, most);
      for (const [other, list] of given.entries()) {
        if ((list.get(person) ?? 0) <= 1e-9 || cameToPart.has(other)) continue;
        cameToPart.set(other, person);
        queue.push(other);
      }
    }
  }
  return 0;
}

function moveAlong(
  last: number,
  cameToPerson: Map<number, number>,
  cameToPart: Map<number, number>,
  given: Map<number, number>[],
  room: number[],
  most: number,
): number {
  let amount = Math.min(most, room[last]!);
  const steps: [part: number, person: number, from: number][] = [];
  for (let person = last; ; ) {
    const part = cameToPerson.get(person)!;
    const from = cameToPart.get(part)!;
    steps.push([part, person, from]);
    if (from < 0) break;
    amount = Math.min(amount, given[part]!.get(from)!);
    person = from;
  }
  room[last]! -= amount;
  for (const [part, person, from] of steps) {
    given[part]!.set(person, (given[part]!.get(person) ?? 0) + amount);
    if (from >= 0) given[part]!.set(from, given[part]!.get(from)! - amount);
  }
  return amount;
}

/** Where a task takes more people than there is work for, others who can lend a hand, those with the most time left first. */
function lendHands(
  task: RotaTask,
  people: readonly RotaPerson[],
  room: readonly number[],
  minutes: Map<number, number>,
): void {
  const heads = () => headCount(...[...minutes.keys()].map((i) => people[i]!));
  const others = people
    .map((_, i) => i)
    .filter((i) => !minutes.has(i) && people[i]!.pace > 0 && canDo(people[i]!, task))
    .sort(
      (a, b) =>
        Number(hasSkill(people[b]!, task)) - Number(hasSkill(people[a]!, task)) || room[b]! - room[a]!,
    );
  for (const i of others) {
    if (heads() >= task.fewest) return;
    minutes.set(i, 0);
  }
}
