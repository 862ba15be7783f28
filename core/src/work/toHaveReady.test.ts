import fc from 'fast-check';
import { expect, it } from 'vitest';
import { addDays, type Day } from '../calendar/index.ts';
import { type AtHand, plainCatalogue, usualPractices } from '../crops/index.ts';
import type { Milestone } from '../season/index.ts';
import { toHaveReady } from './toHaveReady.ts';

const cabbage: AtHand = {
  ...{
    crop: plainCatalogue.crop('cabbage')!,
    method: 'startIndoors',
    width: 1.2,
    length: 7.3152,
    rows: 3,
    plants: 30,
    practices: usualPractices,
  },
};
const step = (kind: Milestone['kind'], on: Day, done = false) => ({ kind, on, done }) as Milestone;
const netted = (on: Day, off: Day) => ({ at: cabbage, steps: [step('netOn', on), step('netOff', off)] });

// By hand: eleven hoops stand over 24 ft of bed; two beds at a time take twice as many, one after another no more.
it('counts things that come back by the most that is out at one time', () => {
  const hoops = (...plantings: ReturnType<typeof netted>[]) =>
    toHaveReady(plantings, '2026-05-01', '2026-06-01').kept.find(({ material }) => material === 'hoops');
  expect(hoops(netted('2026-05-10', '2026-06-10'), netted('2026-05-20', '2026-07-10'))).toEqual({
    ...{ material: 'hoops', most: 22, on: '2026-05-20' },
  });
  expect(hoops(netted('2026-05-10', '2026-06-10'), netted('2026-06-11', '2026-07-10'))).toMatchObject({
    most: 11,
  });
  // What was out and is back is not wanted any more; what is out now is.
  expect(hoops(netted('2026-03-10', '2026-04-10'))).toBeUndefined();
  expect(hoops(netted('2026-03-10', '2026-06-10'))).toMatchObject({ most: 11, on: '2026-05-01' });
});

it('adds up what is used up and still to be done until a day', () => {
  const out = (on: Day, done = false) => ({ at: cabbage, steps: [step('setOut', on, done)] });
  const { used } = toHaveReady(
    [out('2026-05-10'), out('2026-05-12', true), out('2026-07-01')],
    '2026-05-01',
    '2026-06-01',
  );
  expect(used.find(({ material }) => material === 'labels')).toEqual({ material: 'labels', amount: 1 });
  expect(used.find(({ material }) => material === 'boneMeal')).toEqual({ material: 'boneMeal', amount: 30 });
});

it('never asks for less than one planting alone takes, nor for more than all together', () => {
  const span = fc.tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 60 }));
  fc.assert(
    fc.property(fc.array(span, { minLength: 1, maxLength: 6 }), (spans) => {
      const day = (n: number) => addDays('2026-04-01', n);
      const all = spans.map(([from, days]) => netted(day(from), day(from + days)));
      const [hoops] = toHaveReady(all, '2026-04-01', '2026-12-01').kept.filter(
        ({ material }) => material === 'hoops',
      );
      expect(hoops!.most).toBeGreaterThanOrEqual(11);
      expect(hoops!.most).toBeLessThanOrEqual(11 * spans.length);
      // On the day that is named so much is out, counted one by one.
      const isOut = spans.filter(([from, days]) => day(from) <= hoops!.on && hoops!.on <= day(from + days));
      expect(11 * isOut.length).toBe(hoops!.most);
    }),
  );
});
