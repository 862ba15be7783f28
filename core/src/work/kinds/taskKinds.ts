import type { MilestoneKind } from '../../season/index.ts';
import { anybody, each, type Needs, one } from './needs.ts';

/** What the card of a task says besides what it needs. */
interface TaskCard {
  /** what is counted: seeds to sow, or plants in hand; null where only ground is worked */
  amount: 'seeds' | 'plants' | null;
  /** true where what is counted is fetched to the bed for it */
  isBrought: boolean;
  /** true where it is done along the row, in metres of it */
  hasRow: boolean;
  /** true where it matters how far apart things stand: the packing is drawn */
  hasSpacing: boolean;
  /** how deep: by the seed, or by the plant's own rule */
  depth: 'sowing' | 'setOut' | null;
}

/** How a kind of work comes round again while a planting is between two of its steps. */
export interface Recurrence {
  /** the step it begins with: the first of these that the planting has */
  from: readonly MilestoneKind[];
  /** the step with which it ends */
  until: MilestoneKind;
  /** every day; by the crop's rhythm of feeding; or by how fast there is something to pick again */
  every: 'day' | 'feeding' | 'picking';
}

/** A kind of work that follows from plantings. */
export interface TaskRow {
  /** the step of a planting that it is; null for what only comes round between two of them */
  step: MilestoneKind | null;
  /** null for what is done once */
  recurrence: Recurrence | null;
  needs: Needs;
  /**
   * Minutes of work for one practised person, before a garden's own log corrects it: fixed, a plant, a metre of row.
   * Setting out: a laid-out 24 ft bed of brassicas, about 32 plants, in 10 minutes; two people plant a bed of onions,
   * about 150 sets, in 15 minutes. The rest by analogy. Common practice, no source.
   */
  pace: { fixed: number; perPlant: number; perMetre: number };
  card: TaskCard;
  /** true where it puts seed or plants in a bed that has to be made ready before */
  isPlanting: boolean;
  /** work on the same planting that comes before it, where there is any */
  follows: readonly string[];
  /** true where there is nothing to do as long as nothing is up */
  waitsForEmergence: boolean;
  /** true for what has no best day but lasts through its window, as covers that lie ready */
  lasts: boolean;
  /** true for a few minutes' work of every day: what there is of it on a day stands in lists as one line */
  isBrief: boolean;
}

const alongRow: TaskCard = { amount: null, isBrought: false, hasRow: true, hasSpacing: false, depth: null };
const inTrays: TaskCard = { ...alongRow, amount: 'plants', hasRow: false };
const plain = {
  needs: anybody,
  recurrence: null,
  card: alongRow,
  isPlanting: false,
  follows: [],
  waitsForEmergence: false,
  isBrief: false,
  lasts: false,
} as const;
const thinning = {
  ...plain,
  needs: { ...anybody, most: 4, strains: ['kneeling'] },
  pace: { fixed: 5, perPlant: 0, perMetre: 2 },
  card: { ...alongRow, hasSpacing: true },
  waitsForEmergence: true,
} as const;

/**
 * All kinds of work that follow from plantings, in the order of a planting's course. Another kind is another row here,
 * and its words (workKinds.LANGUAGE.json). What each asks for is common practice, no source: sowing and setting out are done
 * on the knees, supports are put up by two, compost and straw are carried; setting out wants an overcast day or late afternoon.
 */
export const taskRows = {
  startIndoors: {
    ...plain,
    step: 'startIndoors',
    needs: { ...anybody, most: 4, skill: 'seedlings', critical: true },
    pace: { fixed: 10, perPlant: 0.25, perMetre: 0 },
    card: { ...inTrays, amount: 'seeds', isBrought: true, depth: 'sowing' },
  },
  keepMoist: {
    ...plain,
    step: null,
    recurrence: { from: ['startIndoors', 'sow'], until: 'emerge', every: 'day' },
    needs: { ...anybody, most: 1 },
    pace: { fixed: 2, perPlant: 0, perMetre: 0.15 },
    isBrief: true,
  },
  thinTrays: {
    ...plain,
    step: 'thinTrays',
    needs: { ...anybody, most: 4, skill: 'seedlings' },
    follows: ['startIndoors'],
    pace: { fixed: 3, perPlant: 0.1, perMetre: 0 },
    card: inTrays,
    waitsForEmergence: true,
  },
  potOn: {
    ...plain,
    step: 'potOn',
    needs: { ...anybody, most: 4, skill: 'seedlings' },
    follows: ['startIndoors', 'thinTrays'],
    pace: { fixed: 5, perPlant: 0.4, perMetre: 0 },
    card: inTrays,
  },
  support: {
    ...plain,
    step: 'support',
    needs: {
      ...anybody,
      fewest: 2,
      most: 4,
      strains: ['heights', 'lifting'],
      skill: 'trellis',
      adultsOnly: true,
      tools: one('mallet'),
      sky: 'dry',
    },
    pace: { fixed: 5, perPlant: 0, perMetre: 2.5 },
  },
  sow: {
    ...plain,
    step: 'sow',
    needs: {
      ...anybody,
      most: 4,
      strains: ['kneeling'],
      tools: one('line', 'rake'),
      sky: 'dry',
      critical: true,
    },
    follows: ['support'],
    pace: { fixed: 5, perPlant: 0, perMetre: 1.2 },
    card: { amount: 'seeds', isBrought: true, hasRow: true, hasSpacing: true, depth: 'sowing' },
    isPlanting: true,
  },
  thin: { ...thinning, step: 'thin', follows: ['sow'] },
  thinAgain: { ...thinning, step: 'thinAgain', follows: ['thin'] },
  hardenOff: {
    ...plain,
    step: 'hardenOff',
    recurrence: { from: ['hardenOff'], until: 'setOut', every: 'day' },
    needs: { ...anybody, most: 2, strains: ['lifting'], critical: true },
    follows: ['potOn'],
    pace: { fixed: 10, perPlant: 0, perMetre: 0 },
    card: inTrays,
    isBrief: true,
  },
  setOut: {
    ...plain,
    step: 'setOut',
    needs: {
      ...anybody,
      most: 4,
      strains: ['kneeling'],
      skill: 'setting out',
      tools: each('trowel'),
      sky: 'overcast',
      critical: true,
    },
    follows: ['support', 'potOn'],
    pace: { fixed: 3, perPlant: 0.2, perMetre: 0 },
    card: { amount: 'plants', isBrought: true, hasRow: true, hasSpacing: true, depth: 'setOut' },
    isPlanting: true,
  },
  netOn: {
    ...plain,
    step: 'netOn',
    needs: { ...anybody, fewest: 2, most: 4, sky: 'dry' },
    follows: ['sow', 'setOut'],
    pace: { fixed: 5, perPlant: 0, perMetre: 2 },
  },
  cover: {
    ...plain,
    step: 'cover',
    lasts: true,
    needs: { ...anybody, fewest: 2, most: 6, critical: true },
    follows: ['sow', 'setOut'],
    pace: { fixed: 5, perPlant: 0, perMetre: 1.5 },
  },
  mulch: {
    ...plain,
    step: 'mulch',
    needs: { ...anybody, most: 5, strains: ['lifting'], tools: one('barrow') },
    follows: ['sow', 'setOut', 'thin', 'thinAgain'],
    pace: { fixed: 5, perPlant: 0, perMetre: 1 },
  },
  feed: {
    ...plain,
    step: 'feed',
    recurrence: { from: ['feed'], until: 'lastPick', every: 'feeding' },
    needs: { ...anybody, most: 2 },
    follows: ['sow', 'setOut'],
    pace: { fixed: 3, perPlant: 0, perMetre: 0.8 },
  },
  netOff: {
    ...plain,
    step: 'netOff',
    needs: { ...anybody, fewest: 2, most: 4 },
    follows: ['netOn'],
    pace: { fixed: 5, perPlant: 0, perMetre: 0.8 },
  },
  pick: {
    ...plain,
    step: 'firstPick',
    recurrence: { from: ['firstPick'], until: 'lastPick', every: 'picking' },
    needs: { ...anybody, most: 5, strains: ['kneeling'], critical: true },
    follows: ['sow', 'setOut', 'netOff'],
    pace: { fixed: 5, perPlant: 0, perMetre: 1 },
  },
  clear: {
    ...plain,
    step: 'clear',
    needs: {
      ...anybody,
      most: 5,
      strains: ['lifting'],
      skill: 'fork',
      adultsOnly: true,
      tools: one('barrow', 'fork'),
    },
    follows: ['pick'],
    pace: { fixed: 5, perPlant: 0, perMetre: 1.5 },
  },
} as const satisfies Record<string, TaskRow>;

export type TaskKind = keyof typeof taskRows;
export const taskKinds = Object.keys(taskRows) as [TaskKind, ...TaskKind[]];

/** The row of a kind. */
export const taskRow = (kind: TaskKind): TaskRow => taskRows[kind];

const kindOfStep = new Map<MilestoneKind, TaskKind>(
  taskKinds.flatMap((kind) => {
    const { step } = taskRow(kind);
    return step ? [[step, kind] as const] : [];
  }),
);

/** The work a step of a planting is; undefined where it is none, such as coming up and the last pick. */
export const taskKindOf = (step: MilestoneKind): TaskKind | undefined => kindOfStep.get(step);

/** @param rowLength metres @returns whole minutes for one practised person */
export function minutesFor(kind: TaskKind, plants: number, rowLength: number): number {
  const { fixed, perPlant, perMetre } = taskRow(kind).pace;
  return Math.round(fixed + perPlant * plants + perMetre * rowLength);
}
