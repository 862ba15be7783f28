import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { areaByDay, type GroundTaken, overfull } from './space.ts';

const planting = (id: string, from: string, until: string, length = 2, over: Partial<GroundTaken> = {}) => ({
  id,
  width: 1,
  length,
  from,
  until,
  betweenId: null,
  ...over,
});
const day = fc.integer({ min: 0, max: 200 }).map((n) => addDays('2026-03-01', n));
const plantings = fc
  .array(fc.tuple(day, fc.integer({ min: 0, max: 90 }), fc.integer({ min: 1, max: 12 }), fc.boolean()), {
    maxLength: 12,
  })
  .map((rows) =>
    rows.map(([from, days, length, half], i) =>
      planting(`p${i}`, from, addDays(from, days), length / 2, { width: half ? 0.5 : 1 }),
    ),
  );

describe('the ground a bed has', () => {
  it('is taken from the day something goes in to the day it is cleared', () => {
    const area = areaByDay([planting('a', '2026-05-02', '2026-05-04', 3)], '2026-05-01', 6);
    expect([...area]).toEqual([0, 3, 3, 3, 0, 0]);
  });

  it('is overfull on the days on which plantings overlap in it, and on no others', () => {
    const taken = [
      planting('a', '2026-04-01', '2026-06-10', 4),
      planting('b', '2026-06-01', '2026-08-01', 4),
      planting('c', '2026-08-02', '2026-09-01', 6),
    ];
    expect(overfull(taken, 6)).toEqual([{ from: '2026-06-01', until: '2026-06-10', area: 8 }]);
    expect(overfull(taken, 8)).toEqual([]);
  });

  it('is not taken by lettuce between carrots while the carrots stand', () => {
    const carrots = planting('carrots', '2026-05-01', '2026-08-01', 6);
    const lettuce = planting('lettuce', '2026-05-01', '2026-06-15', 6, { betweenId: 'carrots' });
    expect(overfull([carrots, lettuce], 6)).toEqual([]);
    const late = { ...lettuce, until: '2026-08-10' };
    const after = [carrots, late, planting('peas', '2026-08-02', '2026-09-01', 6)];
    expect(overfull(after, 6)).toEqual([{ from: '2026-08-02', until: '2026-08-10', area: 12 }]);
  });

  it('adds up to the same whether counted by day or by brute force', () => {
    fc.assert(
      fc.property(plantings, (taken) => {
        const area = areaByDay(taken, '2026-03-01', 320);
        for (const n of [0, 30, 77, 150, 200, 280]) {
          const on = addDays('2026-03-01', n);
          const counted = taken
            .filter(({ from, until }) => from <= on && on <= until)
            .reduce((sum, { width, length }) => sum + width * length, 0);
          expect(area[n]).toBeCloseTo(counted, 9);
        }
      }),
    );
  });
});
