import { expect, it } from 'vitest';
import { stillAway, weekEnds } from './putOff.ts';

it('leaves out until Sunday what is not wanted this week, on a Sunday too, and no longer', () => {
  expect(weekEnds('2026-05-20')).toBe('2026-05-24');
  expect(weekEnds('2026-05-24')).toBe('2026-05-24');
  const until = { a: weekEnds('2026-05-20') };
  expect(stillAway(until, '2026-05-24')).toEqual(until);
  expect(stillAway(until, '2026-05-25')).toEqual({});
});
