import type { RoundInput } from '@unity-acre/contract/work';
import { minuteOf } from '@unity-acre/core/crew';
import { taskParts } from '@unity-acre/core/work';
import { demoToday } from './place.ts';

interface Held {
  id: string;
  on: string;
  from: string;
  to: string;
  taskIds: string[];
}
interface Coming {
  sessionId: string;
}

const clock = (minute: number): string =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

/** Time some of the crew gave outside the sessions. */
export const given = [
  { name: 'Edith Tanager', on: '2026-05-14', minutes: 90, what: 'Watered the school beds' },
  { name: 'Chidi Abara', on: '2026-05-10', minutes: 180, what: 'Seedling stall at the market' },
  { name: 'Amparo Lindqvist', on: '2026-05-18', minutes: 45, what: 'Opened the cold frames' },
];

/** The roll of sessions that are over, and of today's so far: most come in time, a few late, one in nine not at all. */
export function rollOf(session: Held, nth: number, random: () => number) {
  const begins = minuteOf(session.from);
  if (session.on > demoToday) return { arrived: null, left: null };
  if (session.on === demoToday) return { arrived: nth < 2 ? clock(begins + 3 * nth) : null, left: null };
  if (random() < 1 / 9) return { arrived: null, left: null };
  const arrived = clock(begins + Math.floor(random() * 3) * 5);
  const left = random() < 0.2 ? clock(minuteOf(session.to) - 30) : null;
  return { arrived, left };
}

/** How today's work goes: one task done, one under way, one stuck, the rest still to do. */
export function workOf(meetings: readonly Held[]) {
  const today = meetings.find(({ on }) => on === demoToday)!;
  const heads = { adults: 0, beginners: 0, children: 0 };
  const stages = [
    { state: 'done', began: '15:05', minutes: 35, ...heads, adults: 2, beginners: 1, note: '' },
    { state: 'underWay', began: '15:40', minutes: null, ...heads, note: '' },
    {
      state: 'stuck',
      began: '15:10',
      minutes: null,
      ...heads,
      note: 'Two trowels are missing from the shed.',
    },
  ];
  const works = stages.flatMap((stage, i) => {
    const taskId = today.taskIds[i];
    return taskId ? [{ ...stage, sessionId: today.id, taskId, expected: 25 }] : [];
  });
  const marks = works
    .filter(({ state }) => state === 'done')
    .map(({ taskId }) => ({
      id: taskId,
      plantingId: taskParts(taskId)!.plantingId,
      roundId: null,
      doneOn: demoToday,
    }));
  return { works, marks };
}

/** One of those who come on Saturday looks for somebody to take their place. */
export function offerOne<Row extends Coming & { offered: boolean }>(
  signUps: readonly Row[],
  meetings: readonly Held[],
): void {
  const saturday = meetings.find(({ on }) => on === '2026-05-23')!;
  const one = signUps.find(({ sessionId }) => sessionId === saturday.id);
  if (one) one.offered = true;
}

/** What a round is where nothing of its own is said. */
const asUsual = {
  ...{ title: '', monthly: false, until: null, minutes: null },
  ...{ fewest: null, most: null, skill: null, tools: [] as string[], note: '' },
};

/** Rounds of care that this garden keeps. */
export const rounds: (Omit<RoundInput, 'bedIds'> & { beds: string[] })[] = [
  {
    ...asUsual,
    kind: 'weed',
    beds: ['Bed 1', 'Bed 2', 'Bed 3', 'Bed 4'],
    first: '2026-05-18',
    every: 14,
    until: '2026-09-30',
    span: 7,
  },
  {
    ...asUsual,
    kind: 'scout',
    beds: [],
    first: '2026-05-25',
    every: 7,
    until: '2026-09-30',
    span: 3,
    minutes: 40,
    note: 'Cabbage worms on the brassicas, striped beetles on the squash, mites under bean leaves.',
  },
  {
    ...asUsual,
    kind: 'water',
    beds: ['School bed 1', 'School bed 2'],
    first: '2026-05-22',
    every: 7,
    until: '2026-09-15',
    span: 2,
  },
  {
    ...asUsual,
    kind: 'compost',
    beds: ['Bed 9'],
    first: '2026-06-01',
    every: null,
    span: 10,
    note: 'From the finished pile, sieved.',
  },
  {
    ...asUsual,
    kind: 'traps',
    beds: ['Bed 1', 'Bed 2'],
    first: '2026-05-19',
    every: 4,
    until: '2026-08-31',
    span: 2,
  },
  {
    ...asUsual,
    kind: 'other',
    title: 'Count and oil the tools',
    beds: [],
    first: '2026-05-23',
    every: null,
    monthly: true,
    span: 8,
    minutes: 60,
    fewest: 2,
    most: 4,
    tools: ['oil can'],
    note: 'Linseed oil is on the top shelf of the shed. Lay oily rags out flat to dry.',
  },
];
