import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { beyondReach, distanceTo, extentOf, overlaps, snapTo, spanned } from './rectangle.ts';

const box = { x: 0, y: 0, width: 2, length: 4 };

describe('rectangles', () => {
  it('overlap only where they share ground', () => {
    expect(overlaps(box, { x: 1, y: 1, width: 5, length: 5 })).toBe(true);
    expect(overlaps(box, { x: 2, y: 0, width: 1, length: 1 })).toBe(false);
  });

  it('are the same from whichever corner they are drawn', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 4, maxLength: 4 }),
        (n) => {
          const [ax, ay, bx, by] = n as [number, number, number, number];
          expect(spanned(ax, ay, bx, by)).toEqual(spanned(bx, by, ax, ay));
        },
      ),
    );
  });

  it('measure to a tap from their nearest edge', () => {
    expect(distanceTo(box, { x: 5, y: 8, width: 0, length: 0 })).toBe(5);
    expect(distanceTo(box, { x: 1, y: 1, width: 0, length: 0 })).toBe(0);
  });

  it('are within reach up to 4 ft across', () => {
    expect(beyondReach({ width: 1.2192, length: 7 })).toBe(false);
    expect(beyondReach({ width: 1.5, length: 7 })).toBe(true);
  });

  it('snap and are enclosed', () => {
    expect(snapTo(1.31, 0.1524)).toBeCloseTo(1.3716, 9);
    expect(extentOf([box, { x: -1, y: 3, width: 1, length: 3 }])).toEqual({
      x: -1,
      y: 0,
      width: 3,
      length: 6,
    });
    expect(extentOf([])).toBeNull();
  });
});
