import { expect, it } from 'vitest';
import { countBack } from './countBack.ts';

// Worked by hand on a calendar from the rule of KNOWLEDGE 3.7; common practice, no source.
it.each([
  // 3 October − 30 days (3 September) − 14 (20 August) − 10 of picking (10 August)
  ['radish', '2026-10-03', 30, 10, 0, '2026-08-10'],
  // 3 October − 58 (6 August) − 14 (23 July) − 14 (9 July)
  ['bush bean', '2026-10-03', 58, 14, 0, '2026-07-09'],
  // spinach may stand three weeks past the frost: 24 October − 50 (4 September) − 14 (21 August) − 14 (7 August)
  ['spinach', '2026-10-03', 50, 14, 21, '2026-08-07'],
])('counts %s back from the first frost', (_, frost, maturity, picking, past, day) => {
  expect(countBack(frost, maturity, picking, past)).toBe(day);
});
