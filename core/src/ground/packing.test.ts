import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Pattern, pack, positions } from './packing.ts';

const FOOT = 0.3048;
const INCH = 0.0254;

describe('a square foot', () => {
  // ⌊12/s⌋² plants at s inches. Common practice, no source.
  it.each([
    [3, 16],
    [4, 9],
    [6, 4],
    [12, 1],
    [5, 4],
  ])('at %d in holds %d plants', (spacing, plants) => {
    expect(pack('square', FOOT, FOOT, spacing * INCH, spacing * INCH).count).toBe(plants);
  });
});

describe('a bed of 4 × 24 ft', () => {
  it('holds two rows of 48 lettuces in rows of 6 × 24 in, 48 ft of row', () => {
    const packing = pack('rows', 4 * FOOT, 24 * FOOT, 6 * INCH, 24 * INCH);
    expect(packing).toMatchObject({ rows: 2, perRow: 48, count: 96 });
    expect(packing.rowLength / FOOT).toBeCloseTo(48, 9);
  });

  it('holds 384 lettuces on a square grid of 6 in', () => {
    expect(pack('square', 4 * FOOT, 24 * FOOT, 6 * INCH, 6 * INCH).count).toBe(8 * 48);
  });
});

const patterns = fc.constantFrom<Pattern>('square', 'rows', 'staggered');
const sizes = fc.double({ min: 0.05, max: 6, noNaN: true });
const spacings = fc.double({ min: 0.05, max: 1.5, noNaN: true });

describe('every packing', () => {
  it('counts as many plants as it places, all with their half spacing of margin along the row', () => {
    fc.assert(
      fc.property(patterns, sizes, sizes, spacings, spacings, (pattern, width, length, inRow, between) => {
        const packing = pack(pattern, width, length, inRow, between);
        const plants = positions(pattern, packing, width, length, inRow);
        expect(plants.length).toBe(packing.count);
        for (const { x, y } of plants) {
          expect(x).toBeGreaterThan(0);
          expect(x).toBeLessThan(width);
          expect(y).toBeGreaterThanOrEqual(inRow / 2 - 1e-6);
          expect(y).toBeLessThanOrEqual(length - inRow / 2 + 1e-5);
        }
      }),
    );
  });

  it('keeps plants a spacing apart, by brute force over pairs', () => {
    fc.assert(
      fc.property(
        patterns,
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        fc.double({ min: 0.05, max: 3, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (pattern, width, length, inRow) => {
          const between = inRow * 1.5;
          const plants = positions(
            pattern,
            pack(pattern, width, length, inRow, between),
            width,
            length,
            inRow,
          );
          let closest = Number.POSITIVE_INFINITY;
          for (const [i, a] of plants.entries()) {
            for (const b of plants.slice(i + 1))
              closest = Math.min(closest, Math.hypot(a.x - b.x, a.y - b.y));
          }
          expect(closest).toBeGreaterThanOrEqual(inRow - 1e-6);
        },
      ),
      { numRuns: 50 },
    );
  });

  it('never loses plants to more ground', () => {
    fc.assert(
      fc.property(patterns, sizes, sizes, spacings, (pattern, width, length, inRow) => {
        const less = pack(pattern, width, length, inRow, inRow * 2).count;
        expect(pack(pattern, width + 0.5, length, inRow, inRow * 2).count).toBeGreaterThanOrEqual(less);
        expect(pack(pattern, width, length + 0.5, inRow, inRow * 2).count).toBeGreaterThanOrEqual(less);
      }),
    );
  });

  it('refuses ground without size', () => {
    expect(() => pack('rows', 0, 1, 0.1, 0.1)).toThrow(RangeError);
    expect(() => pack('rows', 1, Number.NaN, 0.1, 0.1)).toThrow(RangeError);
    expect(() => pack('square', 1, 1, -0.1, 0.1)).toThrow(RangeError);
  });
});
