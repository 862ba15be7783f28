import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { type SpacedWork, spacedWindows } from './spacing.ts';

const season = { earliest: '2026-04-12', best: '2026-04-20', latest: '2026-07-20' };
const sowing = (id: string, on: string, over: Partial<SpacedWork> = {}): SpacedWork => ({
  ...{ id, on, series: 'sow carrot', window: season },
  ...over,
});
const carrots = [sowing('a', '2026-05-01'), sowing('b', '2026-05-22'), sowing('c', '2026-06-12')];

describe('three sowings three weeks apart', () => {
  it('have each their half of the days between them', () => {
    const windows = spacedWindows(carrots, '2026-04-25');
    expect(windows.get('a')).toEqual({ earliest: '2026-04-12', best: '2026-05-01', latest: '2026-05-11' });
    expect(windows.get('b')).toEqual({ earliest: '2026-05-12', best: '2026-05-22', latest: '2026-06-01' });
    expect(windows.get('c')).toEqual({ earliest: '2026-06-02', best: '2026-06-12', latest: '2026-07-20' });
  });

  it('move on together where the first is overdue', () => {
    const windows = spacedWindows(carrots, '2026-06-10');
    // The first is sown now, the second half its distance later at the soonest, and so on.
    expect(windows.get('a')).toEqual({ earliest: '2026-04-12', best: '2026-06-10', latest: '2026-06-15' });
    expect(windows.get('b')).toEqual({ earliest: '2026-06-16', best: '2026-06-21', latest: '2026-06-26' });
    expect(windows.get('c')).toEqual({ earliest: '2026-06-27', best: '2026-07-02', latest: '2026-07-20' });
  });
});

it('leaves what is alone in its series, and what is sown at one time in several beds, as it was', () => {
  const beds = [
    sowing('a', '2026-05-01'),
    sowing('b', '2026-05-03'),
    sowing('pea', '2026-05-01', { series: 'pea' }),
  ];
  const windows = spacedWindows(beds, '2026-04-25');
  for (const { id } of beds) expect(windows.get(id)).toEqual(season);
});

it('gives what is past its window the days up to the next of its series', () => {
  const window = { earliest: '2026-04-12', best: '2026-04-20', latest: '2026-05-01' };
  const late = [sowing('a', '2026-04-20', { window }), sowing('b', '2026-05-20', { window })];
  expect(spacedWindows(late, '2026-05-10').get('a')!.latest).toBe('2026-05-17');
});

it('never lets two of a series fall on one day, whatever is overdue', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 200 }), { minLength: 2, maxLength: 8 }),
      fc.integer({ min: 0, max: 220 }),
      (offsets, today) => {
        const work = offsets.map((off, i) => sowing(String(i), addDays('2026-03-01', off)));
        const windows = spacedWindows(work, addDays('2026-03-01', today));
        for (const one of work)
          for (const other of work) {
            const apart = Math.abs(offsets[Number(one.id)]! - offsets[Number(other.id)]!);
            // Days near each other are one time; those in between may belong to either.
            if (one.on >= other.on || apart <= 8) continue;
            const [a, b] = [windows.get(other.id)!, windows.get(one.id)!];
            const [first, second] = one.on < other.on ? [b, a] : [a, b];
            expect(first.latest < second.earliest).toBe(true);
          }
      },
    ),
  );
});
