import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Pattern, pack, packOutline, positions } from './packing.ts';
import { contains, type Point, signedArea } from './polygon.ts';

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

describe('whole squares of a foot', () => {
  // Two to the foot, as trellised cucumbers stand, on the diagonal: 12 in over the root of two is 8.49 in.
  it.each([
    [3, 16],
    [6, 4],
    [6.1, 2],
    [8.4, 2],
    [8.5, 1],
    [12, 1],
  ])('at %d in hold %d plants each', (spacing, plants) => {
    const packing = pack('foot', 4 * FOOT, 8 * FOOT, spacing * INCH, spacing * INCH);
    expect(packing.count).toBe(32 * plants);
    const places = positions('foot', packing, 4 * FOOT, 8 * FOOT, spacing * INCH);
    expect(places.length).toBe(packing.count);
    for (const [i, a] of places.entries())
      for (const b of places.slice(i + 1))
        expect(Math.hypot(a.x - b.x, a.y - b.y) / INCH).toBeGreaterThanOrEqual(spacing - 1e-6);
    const square = places.filter(({ x, y }) => x < FOOT && y < FOOT);
    expect(square.length).toBe(plants);
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

const rectangle = (width: number, length: number): Point[] => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: length },
  { x: 0, y: length },
];
/** A convex outline: corners on an ellipse. */
const rounded = fc
  .tuple(
    fc.uniqueArray(fc.integer({ min: 0, max: 359 }), { minLength: 3, maxLength: 9 }),
    fc.double({ min: 0.5, max: 3, noNaN: true }),
    fc.double({ min: 0.5, max: 3, noNaN: true }),
  )
  .map(([degrees, a, b]) =>
    degrees
      .sort((p, q) => p - q)
      .map((d) => ({ x: a * Math.cos((d * Math.PI) / 180), y: b * Math.sin((d * Math.PI) / 180) })),
  )
  .filter((outline) => signedArea(outline) > 0.3);
const all = fc.constantFrom<Pattern>('square', 'rows', 'staggered', 'foot');

describe('packing any form', () => {
  it('agrees with the closed forms on rectangles', () => {
    fc.assert(
      fc.property(all, sizes, sizes, spacings, spacings, (pattern, width, length, inRow, between) => {
        const known = pack(pattern, width, length, inRow, between).count;
        const found = packOutline(pattern, rectangle(width, length), inRow, between);
        expect(found.plants.length).toBe(found.count);
        // Where the only row is wider than the ground there is no closed form to agree with.
        fc.pre(width > Math.max(inRow, between));
        expect(found.count).toBe(known);
      }),
    );
  });

  it('keeps every plant of a convex form inside with ground of its own, a spacing from the next: by brute force', () => {
    fc.assert(
      fc.property(
        all,
        rounded,
        fc.double({ min: 0.15, max: 0.6, noNaN: true }),
        (pattern, outline, inRow) => {
          const { plants, count } = packOutline(pattern, outline, inRow, inRow * 1.4);
          expect(plants.length).toBe(count);
          const apart = pattern === 'foot' && inRow <= FOOT / 2 ? FOOT / Math.floor(FOOT / inRow) : inRow;
          let closest = Number.POSITIVE_INFINITY;
          for (const [i, p] of plants.entries()) {
            for (const q of plants.slice(i + 1))
              closest = Math.min(closest, Math.hypot(p.x - q.x, p.y - q.y));
          }
          expect(plants.every((p) => contains(outline, p))).toBe(true);
          expect(closest).toBeGreaterThanOrEqual(Math.min(apart, inRow) - 1e-5);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('leaves no room for another plant in a row of a disc', () => {
    // Rows of a disc of radius r at x hold ⌊2√(r² − (|x| + h)²) ÷ s⌋ with h half a spacing to each side.
    const [r, s] = [2, 0.3];
    const disc = Array.from({ length: 2000 }, (_, i) => ({
      x: r * Math.cos((i * Math.PI) / 1000),
      y: r * Math.sin((i * Math.PI) / 1000),
    }));
    const rows = Math.floor((2 * r) / s);
    let expected = 0;
    for (let row = 0; row < rows; row++) {
      const x = Math.abs((row - (rows - 1) / 2) * s) + s / 2;
      expected += x < r ? Math.floor((2 * Math.sqrt(r * r - x * x)) / s) : 0;
    }
    expect(packOutline('rows', disc, s, s).count).toBe(expected);
  });

  it('does not plant in the notch of an L', () => {
    const ell = [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 4, y: 1 },
      { x: 1, y: 1 },
      { x: 1, y: 4 },
      { x: 0, y: 4 },
    ];
    // Arms of 1 × 4 and 3 × 1 m at a foot: 3 × 13 along the long one, 9 rows of 3 in the other.
    const { plants } = packOutline('rows', ell, FOOT, FOOT);
    for (const { x, y } of plants) expect(x < 1 || y < 1).toBe(true);
    expect(packOutline('foot', ell, 6 * INCH, 6 * INCH).count % 4).toBe(0);
    expect(packOutline('broadcast', ell, FOOT, FOOT).count).toBe(Math.floor(7 / FOOT ** 2));
  });

  it('fills whole feet: nothing in eleven inches, one plant of 18 in spacing in two feet square', () => {
    expect(pack('foot', 11 * INCH, 4 * FOOT, 3 * INCH, 3 * INCH).count).toBe(0);
    expect(pack('foot', 4 * FOOT, 8 * FOOT, 4 * INCH, 4 * INCH).count).toBe(32 * 9);
    expect(pack('foot', 4 * FOOT, 8 * FOOT, 18 * INCH, 18 * INCH).count).toBe(8);
  });

  it('gives nothing for an outline without ground', () => {
    expect(packOutline('rows', [], 0.1, 0.1).count).toBe(0);
  });
});
