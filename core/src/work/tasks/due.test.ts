import { expect, it } from 'vitest';
import { dueOf, fitsOn } from './due.ts';

const window = { earliest: '2026-04-10', best: '2026-04-20', latest: '2026-05-19' };
const sowing = { kind: 'sow', on: '2026-04-20', window } as const;

it('is the best day, with the last good day beside it', () => {
  expect(dueOf(sowing)).toEqual({ by: '2026-04-20', until: '2026-05-19' });
});

it('is the day that was chosen, even past the window, and one day where there is no other', () => {
  expect(dueOf({ ...sowing, on: '2026-04-12' })).toEqual({ by: '2026-04-12', until: '2026-05-19' });
  expect(dueOf({ ...sowing, on: '2026-05-30' })).toEqual({ by: '2026-05-30', until: null });
  expect(dueOf({ ...sowing, on: '2026-05-19' })).toEqual({ by: '2026-05-19', until: null });
});

it('is the last of its days for a round and for covers that lie ready, which have no best one', () => {
  expect(dueOf({ ...sowing, kind: 'cover' })).toEqual({ by: '2026-05-19', until: null });
  const round = { kind: 'weed', on: '2026-05-18', window: { ...window, latest: '2026-05-24' } } as const;
  expect(dueOf(round)).toEqual({ by: '2026-05-24', until: null });
});

it('fits a session from the first of its days to two weeks after the last, and is done once', () => {
  const open = { kind: 'sow', state: 'open', window } as const;
  const days = ['2026-04-09', '2026-04-10', '2026-06-02', '2026-06-03'];
  expect(days.map((on) => fitsOn(open, on))).toEqual([false, true, true, false]);
  expect(fitsOn({ ...open, state: 'done' }, '2026-04-20')).toBe(false);
});

it('does not fit after its day where it is small and daily', () => {
  const moist = { kind: 'keepMoist', state: 'late', window } as const;
  expect(['2026-05-19', '2026-05-20'].map((on) => fitsOn(moist, on))).toEqual([true, false]);
});
