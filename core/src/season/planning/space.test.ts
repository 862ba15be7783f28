import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { boxAround, uprightRectangle } from '../../ground/index.ts';
import { areaByDay, type GroundTaken, laidOut, overfull, tallCrops } from './space.ts';

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

describe('laying plantings into a bed', () => {
  it('never gives two of them the same ground at the same time, and keeps them in the bed', () => {
    fc.assert(
      fc.property(plantings, (taken) => {
        const lying = laidOut(1, 6, taken);
        const placed = taken.flatMap((one) => (lying.has(one.id) ? [{ ...one, ...lying.get(one.id)! }] : []));
        for (const [i, a] of placed.entries()) {
          expect(a.x + a.width <= 1 + 1e-5 && a.y + a.length <= 6 + 1e-5).toBe(true);
          for (const b of placed.slice(i + 1)) {
            const space =
              a.x < b.x + b.width - 1e-5 &&
              b.x < a.x + a.width - 1e-5 &&
              a.y < b.y + b.length - 1e-5 &&
              b.y < a.y + a.length - 1e-5;
            expect(space && a.from <= b.until && b.from <= a.until).toBe(false);
          }
        }
      }),
    );
  });

  it('puts one after another and side by side', () => {
    const taken = [
      planting('a', '2026-04-01', '2026-06-10', 4),
      planting('b', '2026-05-01', '2026-08-01', 2, { width: 0.5 }),
      planting('c', '2026-05-02', '2026-08-01', 2, { width: 0.5 }),
      planting('d', '2026-06-20', '2026-08-01', 4),
    ];
    expect(Object.fromEntries(laidOut(1, 6, taken))).toEqual({
      a: { x: 0, y: 0 },
      b: { x: 0, y: 4 },
      c: { x: 0.5, y: 4 },
      d: { x: 0, y: 0 },
    });
  });

  it('knows the tall crops, where they lie and when they stand', () => {
    const bed = { ...uprightRectangle({ x: 3, y: 2, width: 1, length: 6 }), angle: 30 };
    const [corn, lettuce] = ['sweet-corn', 'lettuce'].map((id) => plainCatalogue.crop(id)!);
    const standing = tallCrops(bed, [
      { ...planting('a', '2026-05-20', '2026-08-30', 2), crop: corn! },
      { ...planting('b', '2026-05-20', '2026-08-30', 2), crop: lettuce! },
    ]);
    expect(standing.length).toBe(1);
    expect(standing[0]!.months!.flatMap((stands, month) => (stands ? [month] : []))).toEqual([6, 7]);
    // Two of the bed's six metres, turned with it.
    const { width, length } = boxAround(standing[0]!.outline);
    const [cos, sin] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)];
    expect(width).toBeCloseTo(cos + 2 * sin, 9);
    expect(length).toBeCloseTo(2 * cos + sin, 9);
  });
});
