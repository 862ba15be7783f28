import type { Skill, Strain } from '../../crew/index.ts';

/** The sky a task wants; work in the sun is hard on what is set out, and some work cannot be done in rain. */
export type SkyWanted = 'any' | 'dry' | 'overcast';

/** A tool a task needs: one for everybody at it, or one for the crew. */
export interface ToolNeed {
  tool: string;
  per: 'person' | 'crew';
}

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

/** What a garden asks for a round of its own, where that is not what its kind asks; null for what the kind asks. */
export interface OwnNeeds {
  fewest: number | null;
  most: number | null;
  skill: Skill | null;
  /** tools by the names the garden gives them, one for the crew */
  tools: readonly string[];
}

/** What is asked where a garden has said something of its own: its people and skill in place of the kind's, its tools too. */
export function withOwnNeeds(needs: Needs, own: OwnNeeds | null): Needs {
  if (!own) return needs;
  const fewest = own.fewest ?? Math.min(needs.fewest, own.most ?? needs.fewest);
  const named = new Set(needs.tools.map(({ tool }) => tool));
  return {
    ...needs,
    fewest,
    most: own.most ?? Math.max(needs.most, fewest),
    skill: own.skill ?? needs.skill,
    tools: [...needs.tools, ...one(...own.tools.filter((tool) => !named.has(tool)))],
  };
}

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
