import { expect, it } from 'vitest';
import { dueOf } from './due.ts';

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
