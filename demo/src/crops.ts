import type { PlantingInput } from '@unity-acre/contract/season';

type Choice = Pick<PlantingInput, 'cropId' | 'varietyId' | 'method' | 'cropping'> & {
  /** share of the bed's length */
  share: number;
};

const choose = (
  cropId: string,
  varietyId: string,
  method: Choice['method'],
  share = 1,
  cropping: Choice['cropping'] = 'spring',
): Choice => ({ cropId, varietyId, method, cropping, share });

/** What a cooperative or giving bed bears in one season; beds move one place on each year, so families do not return. */
export const rotation: Choice[][] = [
  [choose('tomato', 'slicing', 'startIndoors', 0.6), choose('basil', 'sweet', 'startIndoors', 0.4)],
  [choose('pea', 'snap', 'sowInPlace'), choose('carrot', 'storage', 'sowInPlace', 1, 'autumn')],
  [choose('cabbage', 'early', 'startIndoors', 0.5), choose('kale', 'curly', 'startIndoors', 0.5)],
  [choose('carrot', 'early', 'sowInPlace', 0.5), choose('beet', 'round', 'sowInPlace', 0.5)],
  [choose('cucumber', 'slicing', 'sowInPlace', 0.5), choose('zucchini', 'green', 'startIndoors', 0.5)],
  [choose('onion', 'yellow', 'setPlants')],
  [choose('bush-bean', 'green', 'sowInPlace'), choose('spinach', 'smooth', 'sowInPlace', 1, 'autumn')],
  [choose('lettuce', 'leaf', 'sowInPlace', 0.5), choose('spinach', 'savoy', 'sowInPlace', 0.5)],
  [choose('pepper', 'bell', 'startIndoors')],
  [choose('radish', 'round', 'sowInPlace', 0.4), choose('lettuce', 'head', 'startIndoors', 0.6)],
];

/** What plots and the small beds bear. */
export const small: Choice[][] = [
  [choose('tomato', 'cherry', 'setPlants', 0.5), choose('lettuce', 'leaf', 'sowInPlace', 0.5)],
  [choose('pea', 'snow', 'sowInPlace', 0.5), choose('carrot', 'early', 'sowInPlace', 0.5)],
  [choose('zucchini', 'yellow', 'sowInPlace', 0.5), choose('kale', 'flat', 'setPlants', 0.5)],
  [choose('onion', 'red', 'setPlants', 0.5), choose('beet', 'golden', 'sowInPlace', 0.5)],
];

/** Beyond the rotation: what stands for years, rests through the winter, or waits for another. */
export const extras: (Choice & { bed: string; year: number; waitsFor?: { cropId: string; days: number } })[] =
  [
    { bed: 'Pollinator strip', year: 2024, ...choose('chives', 'standard', 'setPlants', 0.15) },
    ...[2024, 2025, 2026].flatMap((year) => [
      { bed: 'Pollinator strip', year, ...choose('borage', 'blue', 'sowInPlace', 0.25) },
      { bed: 'Pollinator strip', year, ...choose('calendula', 'orange', 'sowInPlace', 0.3) },
      { bed: 'Pollinator strip', year, ...choose('cosmos', 'tall', 'sowInPlace', 0.3) },
    ]),
    { bed: 'Plot 12', year: 2023, ...choose('asparagus', 'green', 'setPlants', 0.5) },
    { bed: 'Plot 3', year: 2025, ...choose('garlic', 'hardneck', 'setPlants', 0.5, 'overwinter') },
    { bed: 'Bed 10', year: 2025, ...choose('garlic', 'softneck', 'setPlants', 0.4, 'overwinter') },
    { bed: 'School bed 2', year: 2025, ...choose('strawberry', 'june', 'setPlants', 0.4) },
    { bed: 'Trial bed', year: 2026, ...choose('sweet-corn', 'early', 'sowInPlace') },
    {
      bed: 'Trial bed',
      year: 2026,
      ...choose('pole-bean', 'flat', 'sowInPlace'),
      waitsFor: { cropId: 'sweet-corn', days: 10 },
    },
    {
      bed: 'Trial bed',
      year: 2026,
      ...choose('winter-squash', 'acorn', 'sowInPlace'),
      waitsFor: { cropId: 'sweet-corn', days: 17 },
    },
  ];

/** Typical pickings, grams for each square metre and week of picking. Invented, for the demo only. */
export const gramsPerWeek: Record<string, number> = {
  tomato: 900,
  pepper: 420,
  cucumber: 950,
  zucchini: 1100,
  'bush-bean': 380,
  pea: 260,
  lettuce: 520,
  spinach: 330,
  beet: 640,
  carrot: 620,
  radish: 500,
  cabbage: 1900,
  kale: 360,
  onion: 1500,
  basil: 140,
  chives: 120,
  borage: 40,
  calendula: 40,
  cosmos: 40,
  strawberry: 450,
  asparagus: 240,
  garlic: 900,
};
