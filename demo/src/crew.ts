import { type CrewFacts, crewFacts } from '@unity-acre/contract/crew';
import type { Skill, Strain } from '@unity-acre/core/crew';
import { seeded, seedOf } from '@unity-acre/core/maths';
import type { DemoPerson } from './people.ts';

/* What the garden knows of its people for work sessions. All invented. */

const evening = { from: '17:00', to: '20:00' };
const morning = { from: '08:30', to: '12:30' };
const allDay = { from: '08:00', to: '20:00' };

const leads: CrewFacts['availability'] = {
  weekly: [
    { weekday: 3, ...allDay },
    { weekday: 4, ...evening },
    { weekday: 6, ...allDay },
  ],
  exceptions: [],
};

/** What stands out about some of them. */
const notes: Record<string, Partial<CrewFacts>> = {
  'Ines Calloway': { availability: { weekly: [{ weekday: 6, ...morning }], exceptions: [] } },
  'Tobias Wren': {
    availability: leads,
    skills: ['fork', 'trellis', 'powered tools', 'first aid'],
  },
  'Amparo Lindqvist': {
    availability: leads,
    skills: ['seedlings', 'setting out', 'teaching', 'first aid'],
    language: 'es',
  },
  'Dell Okafor-Hayes': {
    availability: leads,
    skills: ['setting out', 'irrigation', 'compost', 'fork'],
  },
  'Edith Tanager': { cannot: ['kneeling', 'lifting'], skills: ['seedlings'], channel: 'phone' },
  'Wallace Tanager': { cannot: ['heights', 'heat'], ratherNot: ['lifting'] },
  'Lucia Ibarra': { language: 'es', skills: ['setting out'] },
  'Tomas Ibarra': { language: 'es', channel: 'text', skills: ['fork'] },
  'Harriet Stillwell': { ratherNot: ['kneeling'], skills: ['pruning', 'trellis'] },
  'Gus Sorrel': { skills: ['fork', 'compost'], mostPerWeek: 180 },
};

/** Children of households, with the parent they come with. */
export const minors: Record<string, string> = {
  'June Hollin': 'Bram Hollin',
  'Milo Petrov-Lane': 'Anya Petrov-Lane',
};
const groups: Record<string, number> = { 'Room 4, Alder Falls Primary': 20, 'Tuesday crew': 0 };
/** Nobody has asked these yet when they can come. */
const unasked = ['Casper Fennimore', 'Otis Nakagawa-Reed', 'Sol Marchetti-Boone'];

const learnt: Skill[] = ['fork', 'setting out', 'seedlings', 'trellis', 'compost'];
const burdens: Strain[] = ['kneeling', 'lifting', 'heat', 'heights'];

/** @returns all but who they refer to, which has ids */
export function crewFactsOf({ name, role, headcount }: DemoPerson): CrewFacts {
  const random = seeded(seedOf(`crew ${name}`));
  const some = <T>(list: readonly T[], share: number) => list.filter(() => random() < share);
  if (role === 'receiver') return crewFacts.parse({});
  if (name in groups) {
    const weekly = headcount === 22 ? [] : [{ weekday: 2, ...morning }];
    return crewFacts.parse({
      kind: 'group',
      children: groups[name],
      beginner: true,
      availability: { weekly, exceptions: [] },
    });
  }
  if (name in minors)
    return crewFacts.parse({
      kind: 'minor',
      availability: { weekly: [{ weekday: 6, ...allDay }], exceptions: [] },
    });
  const weekly = [
    ...(random() < 0.75 ? [{ weekday: 6, ...(random() < 0.6 ? morning : allDay) }] : []),
    ...some([1, 2, 3, 4, 5], 0.35).map((weekday) => ({ weekday, ...evening })),
  ];
  const away = random() < 0.3 ? [{ first: '2026-06-01', last: '2026-06-08', hours: [] }] : [];
  return crewFacts.parse({
    beginner: random() < 0.25,
    skills: some(learnt, 0.3),
    cannot: some(burdens, 0.06),
    ratherNot: some(burdens, 0.08),
    availability: unasked.includes(name) ? { weekly: null, exceptions: [] } : { weekly, exceptions: away },
    pledged: role === 'volunteer' ? 60 * (random() < 0.5 ? 24 : 12) : null,
    minutesAway: 5 + 5 * Math.floor(seeded(seedOf(`way ${name}`))() * 6),
    channel: random() < 0.3 ? 'text' : 'mail',
    phone: random() < 0.5 ? `555 01${String(Math.floor(random() * 100)).padStart(2, '0')}` : '',
    ...notes[name],
  });
}

/** Frost cloth in the shed, feet. */
export const cloths: [width: number, length: number, count: number][] = [
  [10, 28, 4],
  [7, 12, 3],
  [12, 12, 1],
];

/** Tools in the shed. */
export const tools: [name: string, count: number][] = [
  ['barrow', 2],
  ['fork', 4],
  ['line', 3],
  ['mallet', 2],
  ['hoops', 48],
  ['stakes', 40],
  ['cages', 12],
  ['posts', 20],
  ['rake', 4],
  ['trowel', 12],
];
