import { expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { pack } from '../../ground/index.ts';

/*
 * How far apart crops stand: what packets and growers of shared gardens say. Common practice, no source; what is not among it
 * is from memory of seed packets. Inches in the row, inches between rows.
 */
const usual: [string, [number, number], [number, number]?][] = [
  ['lettuce', [4, 8]],
  ['spinach', [3, 4]],
  ['carrot', [2, 3]],
  ['radish', [1, 3]],
  ['tomato', [18, 24]],
  ['pepper', [12, 18]],
  ['eggplant', [18, 24]],
  ['cabbage', [18, 24]],
  ['cauliflower', [18, 24]],
  ['broccoli', [18, 24]],
  ['collards', [12, 24]],
  ['kale', [12, 18]],
  ['onion', [4, 6], [4, 12]],
  ['pea', [2, 3]],
  ['bush-bean', [3, 6], [18, 24]],
  ['cucumber', [12, 18], [36, 48]],
  ['basil', [12, 18]],
  ['garlic', [4, 6]],
  ['arugula', [3, 6]],
  ['chard', [9, 12]],
  ['potato', [10, 12], [30, 36]],
  ['sweet-corn', [8, 12], [24, 36]],
  ['okra', [12, 18], [36, 42]],
  ['shallot', [4, 8], [12, 18]],
  ['melon', [18, 36], [48, 72]],
  ['watermelon', [24, 60], [72, 96]],
  ['zucchini', [24, 36], [36, 60]],
  ['beet', [2, 4], [12, 18]],
];

it.each(usual)('%s stands as far apart as growers have it', (id, inRow, betweenRows) => {
  const crop = plainCatalogue.crop(id)!;
  const within = (metres: number, [least, most]: [number, number]) => {
    expect(metres / 0.0254).toBeGreaterThanOrEqual(least - 1e-9);
    expect(metres / 0.0254).toBeLessThanOrEqual(most + 1e-9);
  };
  within(crop.inRow, inRow);
  if (betweenRows) within(crop.betweenRows, betweenRows);
});

/** Plants to the square of a foot. Common practice, no source. */
const toTheFoot: [string, number][] = [
  ['radish', 16],
  ['carrot', 16],
  ['beet', 16],
  ['spinach', 9],
  ['bush-bean', 9],
  ['onion', 9],
  ['lettuce', 4],
  ['garlic', 4],
  // On a trellis.
  ['cucumber', 2],
  ['pepper', 1],
  ['broccoli', 1],
];

it.each(toTheFoot)('%s stands %i to the square foot', (id, count) => {
  const { intensive, betweenRows } = plainCatalogue.crop(id)!;
  expect(pack('foot', 0.3048, 0.3048, intensive, betweenRows).count).toBe(count);
});
