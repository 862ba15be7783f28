import { anybody, each, type Needs, one } from './needs.ts';

/** What a round is done with, measured by the ground. */
export interface RoundMaterial {
  of: 'compost' | 'water';
  /** metres deep on the ground */
  depth: number;
}

/** A kind of work that follows from no planting: care of soil, water, looking after what grows, protection, upkeep. */
export interface RoundRow {
  needs: Needs;
  /**
   * Minutes for one practised person: fixed, and by the square metre. Weeding, forking, feeding and top-dressing a bed of
   * 24 sq ft takes 30 minutes (KNOWLEDGE 11), here a third each for weeding, loosening and compost. The rest by analogy.
   * Common practice, no source.
   */
  pace: { fixed: number; perSquareMetre: number };
  material: RoundMaterial | null;
  /** true where a bed is sown or planted only after it */
  preparesBed: boolean;
  /** true where its card says what to beware of */
  isHazardous: boolean;
}

const plain = {
  needs: { ...anybody, most: 4 },
  material: null,
  preparesBed: false,
  isHazardous: false,
} as const;

/** Compost lies one inch thick in a year (KNOWLEDGE 5). */
const COMPOST_M = 0.0254;
/** Water for a week without rain: one inch (KNOWLEDGE 9). */
const WATER_M = 0.0254;

/**
 * All kinds of rounds. Another kind is another row here, and its words (workKinds.LANGUAGE.json). What each asks for: soil is
 * not worked wet (KNOWLEDGE 5); covers are weighed by two. Common practice, no source.
 */
export const roundRows = {
  compost: {
    ...plain,
    needs: { ...plain.needs, strains: ['lifting'], tools: one('barrow', 'fork', 'rake'), sky: 'dry' },
    pace: { fixed: 0, perSquareMetre: 4.5 },
    material: { of: 'compost', depth: COMPOST_M },
    preparesBed: true,
    isHazardous: true,
  },
  loosen: {
    ...plain,
    needs: {
      ...plain.needs,
      strains: ['lifting'],
      skill: 'fork',
      adultsOnly: true,
      tools: one('fork'),
      sky: 'dry',
    },
    pace: { fixed: 0, perSquareMetre: 4.5 },
    preparesBed: true,
    isHazardous: true,
  },
  weed: {
    ...plain,
    needs: { ...plain.needs, most: 6, strains: ['kneeling'], tools: one('barrow') },
    pace: { fixed: 0, perSquareMetre: 4.5 },
  },
  turnPile: {
    ...plain,
    needs: {
      ...plain.needs,
      strains: ['lifting'],
      skill: 'compost',
      adultsOnly: true,
      tools: one('fork', 'barrow'),
    },
    pace: { fixed: 30, perSquareMetre: 0 },
    isHazardous: true,
  },
  water: {
    ...plain,
    needs: { ...plain.needs, most: 2, skill: 'irrigation', critical: true },
    pace: { fixed: 5, perSquareMetre: 1 },
    material: { of: 'water', depth: WATER_M },
    isHazardous: true,
  },
  scout: {
    ...plain,
    needs: { ...plain.needs, most: 3 },
    pace: { fixed: 5, perSquareMetre: 0.5 },
    isHazardous: true,
  },
  covers: {
    ...plain,
    needs: { ...plain.needs, fewest: 2, most: 6, critical: true },
    pace: { fixed: 5, perSquareMetre: 1 },
  },
  uncover: {
    ...plain,
    needs: { ...plain.needs, critical: true },
    pace: { fixed: 5, perSquareMetre: 0.5 },
  },
  paths: {
    ...plain,
    needs: { ...plain.needs, strains: ['lifting'], tools: one('barrow', 'rake') },
    pace: { fixed: 45, perSquareMetre: 0 },
  },
  mulchBeds: {
    ...plain,
    needs: { ...plain.needs, most: 5, strains: ['lifting'], tools: one('barrow', 'fork') },
    pace: { fixed: 0, perSquareMetre: 3 },
    isHazardous: true,
  },
  feedBeds: {
    ...plain,
    needs: { ...plain.needs, most: 2 },
    pace: { fixed: 3, perSquareMetre: 1 },
    isHazardous: true,
  },
  traps: {
    ...plain,
    needs: { ...plain.needs, most: 2, adultsOnly: true },
    pace: { fixed: 3, perSquareMetre: 0.3 },
    isHazardous: true,
  },
  prune: {
    ...plain,
    needs: { ...plain.needs, most: 3, adultsOnly: true, tools: each('pruners'), sky: 'dry' },
    pace: { fixed: 5, perSquareMetre: 2 },
    isHazardous: true,
  },
  fenceCheck: {
    ...plain,
    needs: { ...plain.needs, most: 2, adultsOnly: true },
    pace: { fixed: 15, perSquareMetre: 0 },
    isHazardous: true,
  },
  mow: {
    ...plain,
    needs: { ...plain.needs, most: 2, skill: 'powered tools', adultsOnly: true, sky: 'dry' },
    pace: { fixed: 45, perSquareMetre: 0 },
    isHazardous: true,
  },
  repair: {
    ...plain,
    needs: { ...plain.needs, skill: 'powered tools', adultsOnly: true },
    pace: { fixed: 45, perSquareMetre: 0 },
    isHazardous: true,
  },
  // Whatever else a garden has to do: its own words say what.
  other: {
    ...plain,
    needs: { ...plain.needs, most: 5 },
    pace: { fixed: 30, perSquareMetre: 0 },
  },
} as const satisfies Record<string, RoundRow>;

export type RoundKind = keyof typeof roundRows;
export const roundKinds = Object.keys(roundRows) as [RoundKind, ...RoundKind[]];

/** The row of a kind. */
export const roundRow = (kind: RoundKind): RoundRow => roundRows[kind];

/** @param area square metres of all its beds @returns whole minutes for one practised person */
export function roundMinutes(kind: RoundKind, area: number): number {
  const { fixed, perSquareMetre } = roundRow(kind).pace;
  return Math.max(5, Math.round(fixed + perSquareMetre * area));
}

/** What a round needs brought: compost or water, cubic metres; null where nothing is measured. */
export function roundMaterial(
  kind: RoundKind,
  area: number,
): { of: RoundMaterial['of']; volume: number } | null {
  const { material } = roundRow(kind);
  return material && { of: material.of, volume: material.depth * area };
}
