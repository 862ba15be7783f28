import { seeded } from '../../../maths/index.ts';
import type { Rota, RotaProblem } from '../problem/index.ts';
import { anyTime, randomGarden } from './gardens.ts';

/** A rota with one thing about it changed. */
export function changed(problem: RotaProblem, { seats, placed }: Rota, random: () => number): Rota {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const { sessions, people, tasks } = problem;
  const sessionId = pick(sessions).id;
  const kind = random();
  if (kind < 0.35) {
    const seat = { personId: pick(people).id, sessionId };
    const isThere = seats.some((one) => one.personId === seat.personId && one.sessionId === sessionId);
    return { placed, seats: isThere ? seats : [...seats, seat] };
  }
  if (kind < 0.55) {
    const gone = pick(seats);
    return { placed, seats: seats.filter((seat) => seat !== gone) };
  }
  const taskId = pick(tasks).id;
  const others = placed.filter((place) => place.taskId !== taskId);
  return { seats, placed: kind < 0.65 ? others : [...others, { taskId, sessionId }] };
}

/** A garden in which every kind of rule binds: few tools, sessions at the same time, words given by hand, work that waits. */
export function boundGarden(seed: number): RotaProblem {
  const random = seeded(seed);
  const garden = randomGarden(random, { people: 12, sessions: 6, tasks: 14, weeks: 1 });
  const { sessions, people, tasks } = garden;
  const at = (n: number) => sessions[n % sessions.length]!.id;
  return {
    ...garden,
    sessions: sessions.map((session, i) =>
      i % 2 === 1
        ? { ...session, on: sessions[i - 1]!.on, from: '10:00', to: '11:30', leadId: 'p4' }
        : { ...session, capacity: 7, children: i > 0 },
    ),
    tasks: tasks.map((task, i) => ({
      ...task,
      ...(i % 3 === 2 ? { most: 1, minutes: 70, after: [`t${i - 1}`] } : {}),
      ...(i % 3 === 1 ? { fewest: 3, most: 4, minutes: 20 } : {}),
    })),
    people: people.map((person, i) => ({
      ...person,
      ...(i % 3 === 0 ? { availability: anyTime } : {}),
      ...(i === 0 ? { adults: 1, children: 5, pace: 2 } : {}),
    })),
    childRatio: 4,
    tools: { fork: 1, barrow: 1 },
    seatLocks: [1, 6, 9].map((n) => ({ personId: `p${n}`, sessionId: at(n + seed), comes: n !== 6 })),
    taskLocks: [
      { taskId: 't3', sessionId: at(seed) },
      { taskId: 't7', sessionId: null },
    ],
  };
}

/** What kind of rule something broken is: the words of the check without whom, what and where. */
export const kindOfRule = (rule: string): string => rule.replace(/\b([spt]\d+|fork|barrow)\b/g, '·');
