import { expect, it } from 'vitest';
import { totalsBy } from './totals.ts';

it('sums what was added up before', () => {
  const sums = [
    { crop: 'pea', grams: 500, unweighed: 2 },
    { crop: 'pea', grams: null, unweighed: 3 },
    { crop: 'kale', grams: 900, unweighed: 0 },
  ];
  expect(totalsBy(sums, ({ crop }) => crop)).toEqual([
    { key: 'kale', grams: 900, unweighed: 0 },
    { key: 'pea', grams: 500, unweighed: 5 },
  ]);
});

it('sums by key, largest first, and tells unweighed pickings apart', () => {
  const pickings = [
    { crop: 'pea', grams: 500 },
    { crop: 'kale', grams: 900 },
    { crop: 'pea', grams: null },
    { crop: 'pea', grams: 250 },
  ];
  expect(totalsBy(pickings, (p) => p.crop)).toEqual([
    { key: 'kale', grams: 900, unweighed: 0 },
    { key: 'pea', grams: 750, unweighed: 1 },
  ]);
});
