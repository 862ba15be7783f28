import type { SeedLotInput, SeedPriceInput } from '@unity-acre/contract/crops';
import type { WishInput } from '@unity-acre/contract/season';

type LotRow = [
  cropId: string,
  varietyId: string,
  year: number,
  amount: number,
  unit: SeedLotInput['unit'],
  germination: number | null,
  source: string,
];

const lotRows: LotRow[] = [
  ['carrot', 'early', 2026, 4, 'g', null, 'Spring seed order'],
  ['carrot', 'storage', 2024, 2, 'g', 0.66, 'Spring seed order'],
  ['lettuce', 'leaf', 2025, 3, 'g', 0.84, 'Seed swap'],
  ['spinach', 'smooth', 2024, 40, 'g', null, 'Seed swap'],
  ['bush-bean', 'green', 2025, 300, 'seeds', null, 'Saved in Bed 5'],
  ['pea', 'snap', 2025, 500, 'seeds', 0.88, 'Saved in Bed 2'],
  ['tomato', 'slicing', 2023, 60, 'seeds', 0.79, 'Spring seed order'],
  ['onion', 'yellow', 2021, 400, 'seeds', null, 'Found in the shed'],
  ['cucumber', 'slicing', 2024, 50, 'seeds', null, 'Spring seed order'],
  ['zucchini', 'green', 2022, 30, 'seeds', null, 'Seed swap'],
  ['kale', 'curly', 2025, 2, 'g', 0.91, 'Spring seed order'],
];

/** The seed box: some good, some old, some saved in the garden. */
export const seedLots: SeedLotInput[] = lotRows.map(
  ([cropId, varietyId, year, amount, unit, germination, source]) => ({
    cropId,
    varietyId,
    source,
    year,
    amount,
    unit,
    germination,
    testedOn: germination === null ? null : '2026-02-14',
    saved: source.startsWith('Saved'),
    note: '',
  }),
);

const wish = (cropId: string, varietyId: string, over: Partial<WishInput>): WishInput => ({
  year: 2027,
  cropId,
  varietyId,
  by: 'plants',
  amount: 20,
  from: null,
  until: null,
  tenure: null,
  weight: 3,
  note: '',
  ...over,
});
const POUND_G = 453.59237;
const pantry = { tenure: 'giving' as const, note: 'The pantry asked' };

/** What the garden wishes to grow in the season after the demo's. */
export const wishes: WishInput[] = [
  wish('tomato', 'slicing', { amount: 24, weight: 5 }),
  wish('pepper', 'bell', { amount: 30, weight: 4 }),
  wish('lettuce', 'leaf', {
    by: 'weekly',
    amount: 6 * POUND_G,
    from: '2027-06-01',
    until: '2027-07-15',
    ...pantry,
  }),
  wish('carrot', 'storage', { by: 'area', amount: 8, ...pantry }),
  wish('onion', 'yellow', { amount: 180 }),
  wish('pea', 'snap', { by: 'area', amount: 8 }),
  wish('bush-bean', 'green', {
    by: 'weekly',
    amount: 5 * POUND_G,
    from: '2027-07-20',
    until: '2027-08-25',
    weight: 4,
  }),
  wish('cabbage', 'early', { amount: 30 }),
  wish('kale', 'curly', { amount: 24, ...pantry }),
  wish('sweet-corn', 'early', { amount: 80, weight: 2, note: 'For the harvest supper' }),
  wish('zucchini', 'green', { amount: 6, weight: 2 }),
  wish('beet', 'round', { by: 'area', amount: 4 }),
  wish('garlic', 'hardneck', { amount: 120, weight: 2 }),
  wish('watermelon', 'small', { by: 'area', amount: 300, weight: 1, note: 'Every year somebody asks' }),
];

/** What the garden pays, in its own money: a packet of so many seeds, and a plant. */
export const seedPrices: SeedPriceInput[] = [
  { cropId: 'cosmos', varietyId: 'tall', packetSeeds: 60, packet: 3.25, piece: null },
  { cropId: 'pole-bean', varietyId: 'flat', packetSeeds: 40, packet: 3.75, piece: null },
  { cropId: 'sweet-corn', varietyId: 'early', packetSeeds: 75, packet: 4.5, piece: null },
  { cropId: 'zucchini', varietyId: 'yellow', packetSeeds: 20, packet: 3.5, piece: 4.25 },
  { cropId: 'tomato', varietyId: 'cherry', packetSeeds: 30, packet: 3.95, piece: 4.5 },
];
