import { addDays, type Day } from '../../../calendar/index.ts';
import type { Availability, Skill, Strain } from '../../../crew/index.ts';
import { seeded } from '../../../maths/index.ts';
import type { RotaPerson, RotaProblem, RotaSession, RotaTask } from '../problem/index.ts';

/* Made-up gardens to make rotas for: for tests and benchmarks. */

const MONDAY: Day = '2026-05-04';

export const anyTime: Availability = {
  weekly: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: '06:00', to: '22:00' })),
  exceptions: [],
};

export const someSession = (id: string, on: Day, over: Partial<RotaSession> = {}): RotaSession => ({
  id,
  on,
  from: '09:00',
  to: '11:00',
  capacity: 10,
  children: true,
  leadId: null,
  shifts: 1,
  place: null,
  ...over,
});

export const someTask = (id: string, over: Partial<RotaTask> = {}): RotaTask => ({
  id,
  minutes: 60,
  earliest: MONDAY,
  best: MONDAY,
  latest: addDays(MONDAY, 27),
  fewest: 1,
  most: 3,
  strains: [],
  skill: null,
  adultsOnly: false,
  tools: [],
  after: [],
  critical: false,
  place: null,
  poorSky: [],
  ...over,
});

export const somePerson = (id: string, over: Partial<RotaPerson> = {}): RotaPerson => ({
  id,
  adults: 1,
  children: 0,
  pace: 1,
  skills: [],
  cannot: [],
  ratherNot: [],
  availability: anyTime,
  owed: 0,
  mostPerWeek: null,
  givenByWeek: {},
  guardianId: null,
  together: [],
  ...over,
});

export const someProblem = (over: Partial<RotaProblem>): RotaProblem => ({
  sessions: [],
  tasks: [],
  people: [],
  tools: {},
  childRatio: 6,
  promised: [],
  standing: [],
  seatLocks: [],
  taskLocks: [],
  ...over,
});

interface Size {
  people: number;
  sessions: number;
  tasks: number;
  /** weeks the sessions are spread over */
  weeks: number;
}

/** What kinds of work ask for, as a garden's year has them. */
const asks: {
  strains: Strain[];
  skill: Skill | null;
  adultsOnly?: boolean;
  tool?: string;
  critical?: boolean;
}[] = [
  { strains: ['kneeling'], skill: null, critical: true },
  { strains: ['kneeling'], skill: 'setting out', critical: true },
  { strains: ['lifting'], skill: 'fork', tool: 'fork', adultsOnly: true },
  { strains: ['lifting'], skill: null, tool: 'barrow' },
  { strains: [], skill: null },
  { strains: ['heights'], skill: 'trellis', adultsOnly: true },
  { strains: ['heat'], skill: null },
];

/** A garden of a size, the same for the same randomness. */
export function randomGarden(random: () => number, size: Size): RotaProblem {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const below = (n: number) => Math.floor(random() * n);
  const evening = { from: '17:30', to: '19:30' };
  const morning = { from: '09:00', to: '11:30' };
  const sessions = Array.from({ length: size.sessions }, (_, i) => {
    const day = Math.floor((i * size.weeks * 7) / size.sessions);
    const on = addDays(MONDAY, day);
    return someSession(`s${i}`, on, {
      ...(random() < 0.5 ? evening : morning),
      capacity: 8 + below(8),
      children: random() < 0.5,
      place: { x: below(60), y: below(40) },
    });
  });
  const tasks = Array.from({ length: size.tasks }, (_, i) => {
    const from = below(size.weeks * 7 - 3);
    const { strains, skill, tool, critical, adultsOnly } = pick(asks);
    const fewest = random() < 0.3 ? 2 : 1;
    return someTask(`t${i}`, {
      minutes: 10 * (2 + below(10)),
      earliest: addDays(MONDAY, from),
      best: addDays(MONDAY, from + 2),
      latest: addDays(MONDAY, from + 5 + below(14)),
      fewest,
      most: fewest + 1 + below(3),
      strains,
      skill,
      adultsOnly: adultsOnly ?? false,
      critical: critical ?? false,
      tools: tool ? [{ tool, per: tool === 'fork' ? 'person' : 'crew' }] : [],
      after: i > 0 && random() < 0.1 ? [`t${below(i)}`] : [],
      place: { x: below(60), y: below(40) },
      poorSky: random() < 0.2 ? [addDays(MONDAY, from + 3)] : [],
    });
  });
  const people = Array.from({ length: size.people }, (_, i) => {
    const kind = random();
    const weekly = [1, 2, 3, 4, 5, 6, 7].flatMap((weekday) =>
      random() < 0.45 ? [{ weekday, ...pick([evening, morning, { from: '08:00', to: '20:00' }]) }] : [],
    );
    const away = below(size.weeks * 7);
    return somePerson(`p${i}`, {
      // A class whose teacher may not look after all of it alone.
      ...(kind < 0.06 ? { adults: 1, children: 7 } : {}),
      pace: kind < 0.06 ? 3 : kind < 0.3 ? 0.5 : 1,
      skills: (['fork', 'setting out', 'trellis'] as const).filter(() => random() < 0.35),
      cannot: (['kneeling', 'lifting', 'heat', 'heights'] as const).filter(() => random() < 0.12),
      ratherNot: (['kneeling', 'lifting'] as const).filter(() => random() < 0.1),
      availability: {
        weekly,
        exceptions:
          random() < 0.5
            ? [{ first: addDays(MONDAY, away), last: addDays(MONDAY, away + 4), hours: [] }]
            : [],
      },
      owed: below(5),
      mostPerWeek: pick([null, 180, 300]),
      together: i > 0 && random() < 0.2 ? [`p${i - 1}`] : [],
    });
  });
  const families = people.map((person, i) => {
    const guardian = people[i - 1];
    const isMinor = guardian && person.children === 0 && guardian.children === 0 && random() < 0.15;
    // One who is looked after looks after nobody.
    return isMinor && i % 2 === 1
      ? { ...person, adults: 0, children: 1, pace: 0.3, guardianId: guardian.id }
      : person;
  });
  const promised = families.flatMap(({ id }) =>
    random() < 0.3 ? [{ personId: id, sessionId: pick(sessions).id }] : [],
  );
  return someProblem({ sessions, tasks, people: families, tools: { fork: 3, barrow: 2 }, promised });
}

/** A garden in which every rota there is can be tried: its week is too short for most windows, and all of it is open. */
export function tinyGarden(seed: number): RotaProblem {
  const problem = randomGarden(seeded(seed), { people: 3, sessions: 2, tasks: 3, weeks: 1 });
  const tasks = problem.tasks.map((task) => ({ ...task, earliest: MONDAY, latest: addDays(MONDAY, 6) }));
  return { ...problem, tasks };
}
