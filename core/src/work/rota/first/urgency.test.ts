import { expect, it } from 'vitest';
import { someTask } from '../testing/index.ts';
import { inUrgency } from './urgency.ts';

const order = (...tasks: Parameters<typeof someTask>[]) =>
  inUrgency(tasks.map(([id, over]) => someTask(id, over))).order.map(({ id }) => id);

it('puts first what is critical, then what cannot wait, then what takes longest, then by name', () => {
  const latest = '2026-05-10';
  expect(
    order(
      ['short', { latest, minutes: 20 }],
      ['b', { latest, minutes: 40 }],
      ['a', { latest, minutes: 40 }],
      ['late', { latest: '2026-05-20', minutes: 90 }],
      ['must', { latest: '2026-05-31', minutes: 5, critical: true }],
    ),
  ).toEqual(['must', 'a', 'b', 'short', 'late']);
});

it('puts what others wait for before them, as urgent as the most urgent of them', () => {
  const { order, urgency } = inUrgency([
    someTask('net', { latest: '2026-05-30', after: ['sow'] }),
    someTask('sow', { latest: '2026-05-08', critical: true, after: ['prepare', 'gone'] }),
    someTask('weed', { latest: '2026-05-06' }),
    someTask('prepare', { latest: '2026-05-28', after: ['fetch'] }),
    someTask('fetch', { latest: '2026-05-07' }),
  ]);
  expect(order.map(({ id }) => id)).toEqual(['fetch', 'prepare', 'sow', 'weed', 'net']);
  expect(Object.fromEntries(urgency)).toEqual({
    net: { latest: '2026-05-30', critical: false },
    sow: { latest: '2026-05-08', critical: true },
    weed: { latest: '2026-05-06', critical: false },
    prepare: { latest: '2026-05-08', critical: true },
    fetch: { latest: '2026-05-07', critical: true },
  });
});

it('comes to an end where tasks wait for each other in a round', () => {
  expect(order(['a', { after: ['b'] }], ['b', { after: ['c'] }], ['c', { after: ['a'] }])).toHaveLength(3);
});
