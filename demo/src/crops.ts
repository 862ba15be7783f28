import type { PlantingInput } from '@unity-acre/contract/season';

type Choice = Pick<PlantingInput, 'cropId' | 'varietyId' | 'method' | 'turn'> & {
  /** share of the bed's length */
  share: number;
};

const choose = (
  cropId: string,
  varietyId: string,
  method: Choice['method'],
  share = 1,
  turn: Choice['turn'] = 'spring',
): Choice => ({ cropId, varietyId, method, turn, share });

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
  [choose('pea', 'snow', 'sowInPlace', 0.5), choose('radish', 'round', 'sowInPlace', 0.5)],
  [choose('zucchini', 'yellow', 'sowInPlace', 0.5), choose('kale', 'flat', 'setPlants', 0.5)],
  [choose('bush-bean', 'wax', 'sowInPlace', 0.5), choose('beet', 'golden', 'sowInPlace', 0.5)],
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
};
