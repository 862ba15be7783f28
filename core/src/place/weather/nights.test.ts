import { expect, it } from 'vitest';
import { coldestOf, inGarden, mayFreeze } from './nights.ts';

it('a night may freeze where the forecast may err to the freezing point', () => {
  expect(coldestOf({ low: 2, give: 1.5 })).toBe(0.5);
  expect(mayFreeze({ low: 1.5, give: 1.5 })).toBe(true);
  expect(mayFreeze({ low: 1.6, give: 1.5 })).toBe(false);
});

it('a garden in a hollow is colder than its station by day and by night, and has the same rain', () => {
  const day = { on: '2026-05-21', low: 3, high: 14, rain: 2, give: 1.5 };
  expect(inGarden([day], -2)).toEqual([{ ...day, low: 1, high: 12 }]);
});
