import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freePlace, nearestTo } from './arrange.ts';
import { gapBetween } from './polygon.ts';
import { outlineOf, type Shape, shapesOverlap, uprightRectangle } from './shape.ts';

const bed = (x: number, y: number, width = 1.2, length = 6): Shape =>
  uprightRectangle({ x, y, width, length });
const shape = fc
  .record({
    x: fc.integer({ min: -20, max: 20 }),
    y: fc.integer({ min: -20, max: 20 }),
    width: fc.integer({ min: 1, max: 6 }),
    length: fc.integer({ min: 1, max: 9 }),
    angle: fc.integer({ min: -90, max: 90 }),
  })
  .map(({ angle, ...box }): Shape => ({ ...uprightRectangle(box), angle }));

describe('a free place', () => {
  it('lies on nothing that is there, with a path between, however the ground is full', () => {
    fc.assert(
      fc.property(
        fc.array(shape, { maxLength: 14 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 0, max: 3 }),
        (taken, width, length, path) => {
          const own = bed(
            ...(Object.values(freePlace(taken, { width, length }, path)) as [number, number]),
            width,
            length,
          );
          for (const other of taken) {
            expect(shapesOverlap(other, own)).toBe(false);
            expect(gapBetween(outlineOf(other), outlineOf(own))).toBeGreaterThan(path - 1e-4);
          }
        },
      ),
      { numRuns: 120 },
    );
  });

  it('is beside the latest bed, else beside one before it, else beyond all', () => {
    expect(freePlace([], { width: 1.2, length: 6 }, 0.6)).toEqual({ x: 0, y: 0 });
    expect(freePlace([bed(10, 0), bed(0, 0)], { width: 1.2, length: 6 }, 0.6)).toEqual({ x: 1.8, y: 0 });
    const blocked = [bed(10, 0), bed(0, 0), bed(2, 1)];
    expect(freePlace(blocked.slice(0, 2).concat(bed(1.5, 20, 9, 1)), { width: 1.2, length: 6 }, 0.6)).toEqual(
      {
        x: 11.1,
        y: 20,
      },
    );
  });
});

describe('what is nearest', () => {
  it('comes in the order of its gap, which is 0 where it touches', () => {
    const others = [bed(5, 0), bed(1.2, 0), bed(-2, 0)];
    expect(nearestTo([bed(0, 0)], others, 2).map(({ gap }) => Number(gap.toFixed(3)))).toEqual([0, 0.8]);
  });

  it('is the least gap to any of several that move together', () => {
    const [near] = nearestTo([bed(0, 0), bed(3, 0)], [bed(5, 0)], 3);
    expect(near!.gap).toBeCloseTo(0.8, 9);
  });
});
