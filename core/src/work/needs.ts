import type { Skill, Strain } from '../crew/index.ts';
import type { ToolNeed } from './rota/problem.ts';
import type { TaskKind } from './task.ts';

/** The sky a task wants; work in the sun is hard on what is set out, and some work cannot be done in rain. */
export type SkyWanted = 'any' | 'dry' | 'overcast';

/** What a kind of work asks of those who do it. */
export interface Needs {
  fewest: number;
  /** most at it at a time, before they are in each other's way */
  most: number;
  strains: readonly Strain[];
  skill: Skill | null;
  /** not for children: blades, height or powered tools */
  adultsOnly: boolean;
  tools: readonly ToolNeed[];
  sky: SkyWanted;
  /** true where plants or seed are lost when its window passes */
  critical: boolean;
}

const each = (...tools: string[]): ToolNeed[] => tools.map((tool) => ({ tool, per: 'person' }));
const one = (...tools: string[]): ToolNeed[] => tools.map((tool) => ({ tool, per: 'crew' }));
const plain: Needs = {
  fewest: 1,
  most: 3,
  strains: [],
  skill: null,
  adultsOnly: false,
  tools: [],
  sky: 'any',
  critical: false,
};

/**
 * What each kind of work asks for. Common practice, no source: sowing and setting out are done on the knees, supports are
 * put up by two, compost and straw are carried; setting out wants an overcast day or late afternoon.
 */
const needs: Record<TaskKind, Needs> = {
  startIndoors: { ...plain, most: 4, skill: 'seedlings', critical: true },
  potOn: { ...plain, most: 4, skill: 'seedlings' },
  support: {
    ...plain,
    fewest: 2,
    most: 4,
    strains: ['heights', 'lifting'],
    skill: 'trellis',
    adultsOnly: true,
    tools: one('mallet'),
    sky: 'dry',
  },
  sow: { ...plain, most: 4, strains: ['kneeling'], tools: one('line', 'rake'), sky: 'dry', critical: true },
  thin: { ...plain, most: 4, strains: ['kneeling'] },
  thinAgain: { ...plain, most: 4, strains: ['kneeling'] },
  hardenOff: { ...plain, most: 2, strains: ['lifting'], critical: true },
  setOut: {
    ...plain,
    most: 4,
    strains: ['kneeling'],
    skill: 'setting out',
    tools: each('trowel'),
    sky: 'overcast',
    critical: true,
  },
  netOn: { ...plain, fewest: 2, most: 4, sky: 'dry' },
  cover: { ...plain, fewest: 2, most: 6, critical: true },
  mulch: { ...plain, most: 5, strains: ['lifting'], tools: one('barrow') },
  feed: { ...plain, most: 2 },
  netOff: { ...plain, fewest: 2, most: 4 },
  pick: { ...plain, most: 5, strains: ['kneeling'], critical: true },
  clear: {
    ...plain,
    most: 5,
    strains: ['lifting'],
    skill: 'fork',
    adultsOnly: true,
    tools: one('barrow', 'fork'),
  },
};

export const needsOf = (kind: TaskKind): Needs => needs[kind];

/** Names of the tools that tasks ask for. */
export const toolNames: readonly string[] = [
  ...new Set(Object.values(needs).flatMap(({ tools }) => tools.map(({ tool }) => tool))),
].sort();

/** Minutes of practised work one head does in a minute. Beginners take about twice as long, classes longer still (KNOWLEDGE 11). */
export const PRACTISED = 1;
export const BEGINNER = 0.5;
export const CHILD = 0.25;

/** What all heads behind a name do together in a minute. @param slower how much longer beginners and children take here than usual */
export const paceOf = (
  heads: { adults: number; children: number },
  beginner: boolean,
  slower: { beginners: number; children: number } = { beginners: 1, children: 1 },
): number =>
  heads.adults * (beginner ? BEGINNER / slower.beginners : PRACTISED) +
  (heads.children * CHILD) / slower.children;
