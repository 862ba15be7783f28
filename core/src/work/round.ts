import { addDays, type Day, daysBetween } from '../calendar/index.ts';
import type { Needs, SkyWanted } from './needs.ts';

/** Work that follows from no planting: care of soil, water, looking after what grows, protection, upkeep. */
export const roundKinds = [
  'compost',
  'loosen',
  'weed',
  'turnPile',
  'water',
  'scout',
  'covers',
  'paths',
  'repair',
] as const;
export type RoundKind = (typeof roundKinds)[number];

/** Work of one kind in some beds, once or again and again. */
export interface Round {
  id: string;
  kind: RoundKind;
  /** days between two turns; null for once */
  every: number | null;
  first: Day;
  /** no turn begins after it; null for no end */
  until: Day | null;
  /** days there are for a turn, from the first one */
  span: number;
}

/** One turn of a round, as a task: its id stays whatever else is changed in the round. */
export interface Turn {
  id: string;
  on: Day;
  latest: Day;
}

/** The id of a turn: that of the round, its kind, and the day it begins. */
export const turnId = ({ id, kind }: Pick<Round, 'id' | 'kind'>, on: Day): string =>
  `${id}.${kind}.${on.replaceAll('-', '')}`;

/** The parts of a turn's id, or null for text that is not one. */
export function turnParts(id: string): { roundId: string; kind: RoundKind; on: Day } | null {
  const [roundId, kind, day, ...rest] = id.split('.');
  const read = /^(\d{4})(\d{2})(\d{2})$/.exec(day ?? '');
  if (!roundId || rest.length > 0 || !read || !roundKinds.includes(kind as RoundKind)) return null;
  return { roundId, kind: kind as RoundKind, on: `${read[1]}-${read[2]}-${read[3]}` };
}

/** The turns of a round that begin between two days, both included. */
export function turnsOf(round: Round, from: Day, until: Day): Turn[] {
  const { first, every, span } = round;
  const last = round.until !== null && round.until < until ? round.until : until;
  const turns: Turn[] = [];
  const skipped = every === null ? 0 : Math.max(0, Math.ceil(daysBetween(first, from) / every));
  for (let on = every === null ? first : addDays(first, skipped * every); on <= last; ) {
    if (on >= from) turns.push({ id: turnId(round, on), on, latest: addDays(on, Math.max(0, span - 1)) });
    if (every === null) break;
    on = addDays(on, every);
  }
  return turns;
}

/**
 * Minutes for one practised person: fixed, and by the square metre. Weeding, forking, feeding and top-dressing a bed of
 * 24 sq ft takes 30 minutes (KNOWLEDGE 11), here a third each for weeding, loosening and compost. The rest by analogy.
 * Common practice, no source.
 */
const pace: Record<RoundKind, { fixed: number; perSquareMetre: number }> = {
  compost: { fixed: 0, perSquareMetre: 4.5 },
  loosen: { fixed: 0, perSquareMetre: 4.5 },
  weed: { fixed: 0, perSquareMetre: 4.5 },
  turnPile: { fixed: 30, perSquareMetre: 0 },
  water: { fixed: 5, perSquareMetre: 1 },
  scout: { fixed: 5, perSquareMetre: 0.5 },
  covers: { fixed: 5, perSquareMetre: 1 },
  paths: { fixed: 45, perSquareMetre: 0 },
  repair: { fixed: 45, perSquareMetre: 0 },
};

/** @param area square metres of all its beds @returns whole minutes for one practised person */
export const roundMinutes = (kind: RoundKind, area: number): number =>
  Math.max(5, Math.round(pace[kind].fixed + pace[kind].perSquareMetre * area));

const plain = {
  fewest: 1,
  most: 4,
  strains: [],
  skill: null,
  adultsOnly: false,
  tools: [],
  sky: 'any' as SkyWanted,
  critical: false,
} satisfies Needs;
const one = (...tools: string[]) => tools.map((tool) => ({ tool, per: 'crew' as const }));

/** What a round asks for. Soil is not worked wet (KNOWLEDGE 5); covers are weighed by two. Common practice, no source. */
const needs: Record<RoundKind, Needs> = {
  compost: { ...plain, strains: ['lifting'], tools: one('barrow', 'fork', 'rake'), sky: 'dry' },
  loosen: { ...plain, strains: ['lifting'], skill: 'fork', adultsOnly: true, tools: one('fork'), sky: 'dry' },
  weed: { ...plain, most: 6, strains: ['kneeling'], tools: one('barrow') },
  turnPile: {
    ...plain,
    strains: ['lifting'],
    skill: 'compost',
    adultsOnly: true,
    tools: one('fork', 'barrow'),
  },
  water: { ...plain, most: 2, skill: 'irrigation', critical: true },
  scout: { ...plain, most: 3 },
  covers: { ...plain, fewest: 2, most: 6, critical: true },
  paths: { ...plain, strains: ['lifting'], tools: one('barrow', 'rake') },
  repair: { ...plain, skill: 'powered tools', adultsOnly: true },
};

export const roundNeeds = (kind: RoundKind): Needs => needs[kind];

/** Compost lies one inch thick in a year (KNOWLEDGE 5). */
const COMPOST_M = 0.0254;
/** Water for a week without rain: one inch (KNOWLEDGE 9). */
const WATER_M = 0.0254;

/** What a round needs brought: compost or water, cubic metres; null where nothing is measured. */
export function roundMaterial(
  kind: RoundKind,
  area: number,
): { of: 'compost' | 'water'; volume: number } | null {
  if (kind === 'compost') return { of: 'compost', volume: COMPOST_M * area };
  if (kind === 'water') return { of: 'water', volume: WATER_M * area };
  return null;
}
