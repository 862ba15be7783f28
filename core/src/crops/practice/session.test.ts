import { expect, it } from 'vitest';
import { fromMetres, toMetres } from '../../units/index.ts';
import type { Method } from '../kinds.ts';
import { plainCatalogue } from '../shipped.ts';
import { type MaterialUnit, materialRow, materialsFor, totalled, usualPractices } from './index.ts';
import type { PracticeKind } from './practice.ts';

/** A piece of a Saturday's work, as a crew lead would write it on a clipboard: feet, plants, rows. */
interface Job {
  kind: PracticeKind;
  crop: string;
  method: Method;
  long: number;
  wide: number;
  rows: number;
  plants: number;
}
const job = (
  kind: PracticeKind,
  crop: string,
  method: Method,
  [long, wide]: [number, number],
  rows: number,
  plants: number,
): Job => ({ kind, crop, method, long, wide, rows, plants });

const saturday: Job[] = [
  job('setOut', 'cabbage', 'startIndoors', [24, 4], 2, 24),
  job('netOn', 'cabbage', 'startIndoors', [24, 4], 2, 24),
  job('netOn', 'broccoli', 'startIndoors', [10, 3], 1, 8),
  job('support', 'pea', 'sowInPlace', [20, 2], 2, 160),
  job('sow', 'pea', 'sowInPlace', [20, 2], 2, 160),
  job('sow', 'carrot', 'sowInPlace', [8, 4], 4, 128),
  job('sow', 'bush-bean', 'sowInPlace', [12, 4], 2, 96),
  job('setOut', 'onion', 'setPlants', [12, 4], 8, 288),
  job('mulch', 'tomato', 'startIndoors', [24, 4], 1, 12),
  job('mulch', 'garlic', 'setPlants', [12, 4], 8, 200),
  job('feed', 'cabbage', 'startIndoors', [24, 4], 2, 24),
  job('feed', 'zucchini', 'startIndoors', [6, 4], 1, 2),
];

/**
 * What to bring, added up with pencil and paper from KNOWLEDGE 4.1 and 8, in feet and cups: it knows no crop of the catalogue.
 * Where that names no number, it is common practice: a handful is half a cup (0.12 l), a post every six feet and one more.
 */
function byHand(jobs: readonly Job[]): Record<string, number> {
  const heavy = ['cabbage', 'broccoli', 'tomato'];
  // Young cabbages, beans and peas: common practice, no source.
  const eatenBySlugs = ['cabbage', 'bush-bean', 'pea'];
  const bring: Record<string, number> = {};
  const add = (what: string, amount: number) => {
    bring[what] = (bring[what] ?? 0) + amount;
  };
  for (const { kind, crop, long, wide, rows, plants } of jobs) {
    const squareFeet = long * wide;
    if (kind === 'sow' || kind === 'setOut') {
      add('labels', 1);
      // One trap for every four feet by four.
      if (eatenBySlugs.includes(crop)) add('slugTraps', Math.ceil(squareFeet / 16));
    }
    if (kind === 'setOut') {
      add('compost', plants * 0.12);
      if (heavy.includes(crop)) add('boneMeal', plants);
    }
    // A board over each row of carrots.
    if (kind === 'sow' && crop === 'carrot') add('boards', rows * long);
    if (kind === 'support') {
      add('posts', rows * (Math.ceil(long / 6) + 1));
      add('trellis', rows * long);
    }
    if (kind === 'netOn') {
      // Two and a half feet is 76 cm: spans of 75 cm.
      add('hoops', Math.ceil((long * 30.48) / 75) + 1);
      add('net', long + 2);
    }
    // Two and a half inches deep, in cubic feet.
    if (kind === 'mulch') add('straw', (squareFeet * 2.5) / 12);
    if (kind === 'feed') add(crop === 'zucchini' ? 'fruitFeed' : 'granular', squareFeet);
  }
  return bring;
}

/** An amount as it is counted by hand: feet, cubic feet, litres of compost, pieces, spoons. */
const inFeet: Record<MaterialUnit, (amount: number) => number> = {
  count: (amount) => amount,
  spoons: (amount) => amount,
  length: (metres) => fromMetres(metres, 'ft'),
  volume: (cubicMetres) => cubicMetres / 0.3048 ** 3,
};

it('brings to a session of a dozen jobs what pencil and paper come to', () => {
  const brought = totalled(
    saturday.flatMap(({ kind, crop, method, long, wide, rows, plants }) =>
      materialsFor(kind, {
        ...{ crop: plainCatalogue.crop(crop)!, method, rows, plants, practices: usualPractices },
        ...{ length: toMetres(long, 'ft'), width: toMetres(wide, 'ft') },
      }),
    ),
  );
  const expected = byHand(saturday);
  expect(brought.map(({ material }) => material).sort()).toEqual(Object.keys(expected).sort());
  for (const { material, amount } of brought) {
    const told = material === 'compost' ? amount * 1000 : inFeet[materialRow(material).unit](amount);
    expect(told, material).toBeCloseTo(expected[material]!, 6);
  }
});
