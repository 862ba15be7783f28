import { expect, it } from 'vitest';
import { dueOf } from './due.ts';

const window = { earliest: '2026-04-10', best: '2026-04-20', latest: '2026-05-19' };
const sowing = { kind: 'sow', on: '2026-04-20', window } as const;

it('is the best day with the last good day beside it, as long as that is to come', () => {
  expect(dueOf(sowing, '2026-04-01')).toEqual({ by: '2026-04-20', until: '2026-05-19' });
  expect(dueOf(sowing, '2026-04-20')).toEqual({ by: '2026-04-20', until: '2026-05-19' });
});

it('is the last good day once the best has passed', () => {
  expect(dueOf(sowing, '2026-04-21')).toEqual({ by: '2026-05-19', until: null });
  expect(dueOf(sowing, '2026-06-01')).toEqual({ by: '2026-05-19', until: null });
});

it('is the day that was chosen, even past the window, and one day where there is no other', () => {
  expect(dueOf({ ...sowing, on: '2026-05-30' }, '2026-04-21')).toEqual({ by: '2026-05-30', until: null });
  expect(dueOf({ ...sowing, on: '2026-05-19' }, '2026-04-21')).toEqual({ by: '2026-05-19', until: null });
});

it('is the last of its days for a round, which has no best one', () => {
  const round = { kind: 'weed', on: '2026-05-18', window: { ...window, latest: '2026-05-24' } } as const;
  expect(dueOf(round, '2026-05-01')).toEqual({ by: '2026-05-24', until: null });
});
