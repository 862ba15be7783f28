import type { Skill, Strain } from '../crew/index.ts';
import type { ToolNeed } from './rota/index.ts';

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

/** Work that anybody can do alone with bare hands under any sky; rows say what differs from it. */
export const anybody: Needs = {
  fewest: 1,
  most: 3,
  strains: [],
  skill: null,
  adultsOnly: false,
  tools: [],
  sky: 'any',
  critical: false,
};

/** Tools of which everybody at it takes one. */
export const each = (...tools: string[]): ToolNeed[] => tools.map((tool) => ({ tool, per: 'person' }));
/** Tools of which one is enough for all who are at it. */
export const one = (...tools: string[]): ToolNeed[] => tools.map((tool) => ({ tool, per: 'crew' }));

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
