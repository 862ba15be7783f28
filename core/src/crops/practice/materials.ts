import { toMetres } from '../../units/index.ts';
import { both, does, isCucurbit, isEatenBySlugs, isSlow, not, supportedBy } from './of.ts';
import type { AtHand, PracticeKind } from './practice.ts';

/** What a material is measured in: pieces, metres, cubic metres, or tablespoons. */
export type MaterialUnit = 'count' | 'length' | 'volume' | 'spoons';

/** A thing that work is done with and that is no tool. */
export interface MaterialRow {
  kinds: readonly PracticeKind[];
  /** the crops it is for; all where it is not said */
  of?(at: AtHand): boolean;
  unit: MaterialUnit;
  /** the step at which it comes back and can be used again; absent for what is used up */
  backAt?: 'emerge' | 'netOff' | 'clear';
  amount(at: AtHand): number;
}

/** Hoops stand every two to three feet: one more than there are spans of 75 cm (KNOWLEDGE 4.1). */
const HOOP_SPAN_M = 0.75;
/** A net reaches a foot beyond the planting at each end, and a foot lies on the ground at each side to be weighed. */
const NET_BEYOND_M = toMetres(1, 'ft');
/** Posts of a trellis stand every six feet. Common practice, no source. */
const POST_SPAN_M = toMetres(6, 'ft');
/** A handful of compost: about half a cup, m³. Common practice, no source. */
const HANDFUL_M3 = 0.12 / 1000;
/** Granular 4-4-4: a tablespoon a square foot at planting (KNOWLEDGE 4.1, 5). */
const SQUARE_FOOT_M2 = toMetres(1, 'ft') ** 2;
/** Straw or leaves lie two to three inches deep (KNOWLEDGE 4.1). */
const MULCH_M = toMetres(2.5, 'in');

/** Compost spread as a feed: half an inch. Common practice, no source. */
const FEED_COMPOST_M = toMetres(0.5, 'in');
/** A trap for each four feet by four (KNOWLEDGE 4.1, 8). */
const TRAP_M2 = toMetres(4, 'ft') ** 2;

const isHeavy = ({ crop }: AtHand) => crop.feeding === 'heavy';
const tablespoons = ({ width, length }: AtHand) =>
  Math.max(1, Math.ceil((width * length) / SQUARE_FOOT_M2 - 1e-9));
const hasFrame = (at: AtHand) => supportedBy('trellis')(at) || supportedBy('netting')(at);

/** As wide as a hoop over the planting is long, a half circle, and a foot on each side. */
export const netWidth = ({ width }: AtHand): number => (Math.PI * width) / 2 + 2 * NET_BEYOND_M;

/** All materials. Another is another row here, and its words. */
export const materialRows = {
  labels: { kinds: ['startIndoors', 'sow', 'setOut'], unit: 'count', amount: () => 1 },
  boards: {
    kinds: ['sow'],
    of: both(isSlow, does('slowSeed', 'board')),
    unit: 'length',
    backAt: 'emerge',
    amount: (at) => at.rows * at.length,
  },
  compost: { kinds: ['setOut'], unit: 'volume', amount: ({ plants }) => plants * HANDFUL_M3 },
  boneMeal: { kinds: ['setOut'], of: isHeavy, unit: 'spoons', amount: ({ plants }) => plants },
  stakes: {
    kinds: ['support'],
    of: supportedBy('stake'),
    unit: 'count',
    backAt: 'clear',
    amount: ({ plants }) => plants,
  },
  cages: {
    kinds: ['support'],
    of: supportedBy('cage'),
    unit: 'count',
    backAt: 'clear',
    amount: ({ plants }) => plants,
  },
  posts: {
    kinds: ['support'],
    of: hasFrame,
    unit: 'count',
    backAt: 'clear',
    amount: ({ rows, length }) => rows * Math.max(2, Math.ceil(length / POST_SPAN_M - 1e-9) + 1),
  },
  trellis: {
    kinds: ['support'],
    of: hasFrame,
    unit: 'length',
    backAt: 'clear',
    amount: ({ rows, length }) => rows * length,
  },
  hoops: {
    kinds: ['netOn'],
    unit: 'count',
    backAt: 'netOff',
    amount: ({ length }) => Math.ceil(length / HOOP_SPAN_M - 1e-9) + 1,
  },
  net: {
    kinds: ['netOn'],
    unit: 'length',
    backAt: 'netOff',
    amount: ({ length }) => length + 2 * NET_BEYOND_M,
  },
  straw: { kinds: ['mulch'], unit: 'volume', amount: ({ width, length }) => width * length * MULCH_M },
  granular: {
    kinds: ['feed'],
    of: both(not(isCucurbit), does('feeding', 'granular')),
    unit: 'spoons',
    amount: tablespoons,
  },
  fruitFeed: {
    kinds: ['feed'],
    of: both(isCucurbit, not(does('feeding', 'compost'))),
    unit: 'spoons',
    amount: tablespoons,
  },
  feedCompost: {
    kinds: ['feed'],
    of: does('feeding', 'compost'),
    unit: 'volume',
    amount: ({ width, length }) => width * length * FEED_COMPOST_M,
  },
  slugTraps: {
    kinds: ['sow', 'setOut'],
    of: both(isEatenBySlugs, does('slugs', 'traps')),
    unit: 'count',
    backAt: 'clear',
    amount: ({ width, length }) => Math.max(1, Math.ceil((width * length) / TRAP_M2 - 1e-9)),
  },
} as const satisfies Record<string, MaterialRow>;

export type Material = keyof typeof materialRows;
export const materials = Object.keys(materialRows) as [Material, ...Material[]];
export const materialRow = (material: Material): MaterialRow => materialRows[material];

/** So much of a material, in its unit. */
export interface MaterialNeed {
  material: Material;
  amount: number;
}

/** What a kind of work takes at a planting besides tools. */
export const materialsFor = (kind: PracticeKind, at: AtHand): MaterialNeed[] =>
  materials.flatMap((material) => {
    const { kinds, of, amount } = materialRow(material);
    return kinds.includes(kind) && (!of || of(at)) ? [{ material, amount: amount(at) }] : [];
  });

/** Needs of one material added up, in the order of the rows. */
export function totalled(needs: readonly MaterialNeed[]): MaterialNeed[] {
  const sums = new Map<Material, number>();
  for (const { material, amount } of needs) sums.set(material, (sums.get(material) ?? 0) + amount);
  return materials.flatMap((material) => {
    const amount = sums.get(material);
    return amount === undefined ? [] : [{ material, amount }];
  });
}
