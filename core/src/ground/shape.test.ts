import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contains,
  crossesItself,
  cutAt,
  deepest,
  gapBetween,
  gridInside,
  hullOf,
  signedArea,
} from './polygon.ts';
import { snapTo, spanned } from './rectangle.ts';
import {
  beyondReach,
  distanceTo,
  extentOf,
  groundArea,
  outlineOf,
  polygonShape,
  type Shape,
  shapesOverlap,
  uprightRectangle,
  workedOutline,
  workedPlace,
} from './shape.ts';

const box = (x: number, y: number, width: number, length: number, angle = 0): Shape => ({
  ...uprightRectangle({ x, y, width, length }),
  angle,
});
const circle = (x: number, y: number, across: number): Shape => ({
  ...box(x, y, across, across),
  form: 'circle',
});
const ell = polygonShape([
  { x: 0, y: 0 },
  { x: 4, y: 0 },
  { x: 4, y: 1 },
  { x: 1, y: 1 },
  { x: 1, y: 4 },
  { x: 0, y: 4 },
]);
const metre = fc.double({ min: 0.3, max: 12, noNaN: true });
const place = fc.double({ min: -40, max: 40, noNaN: true });
const angle = fc.double({ min: -180, max: 180, noNaN: true });
const rectangles = fc.tuple(place, place, metre, metre, angle).map((n) => box(...n));

describe('pieces of ground', () => {
  it('overlap only where they share ground', () => {
    expect(shapesOverlap(box(0, 0, 2, 4), box(1, 1, 5, 5))).toBe(true);
    expect(shapesOverlap(box(0, 0, 2, 4), box(2, 0, 1, 1))).toBe(false);
    expect(shapesOverlap(box(0, 0, 2, 4), box(0, 0, 2, 4))).toBe(true);
    expect(shapesOverlap(box(0, 0, 4, 4), circle(1, 1, 1))).toBe(true);
    // In the corner of the L there is room, and across it there is not.
    expect(shapesOverlap(ell, box(2, 2, 1, 1))).toBe(false);
    expect(shapesOverlap(ell, box(0.5, 2, 1, 1))).toBe(true);
    // A square turned by 45 degrees reaches farther: its corner comes to √2 of half its side.
    expect(shapesOverlap(box(0, 0, 2, 2, 45), box(2.1, 0.9, 0.3, 0.2))).toBe(true);
    expect(shapesOverlap(box(0, 0, 2, 2), box(2.1, 0.9, 0.3, 0.2))).toBe(false);
  });

  it('share ground with another as the other does with them, wherever both are moved', () => {
    fc.assert(
      fc.property(rectangles, rectangles, place, (a, b, by) => {
        const both = shapesOverlap(a, b);
        expect(shapesOverlap(b, a)).toBe(both);
        if (both) expect(gapBetween(outlineOf(a), outlineOf(b))).toBe(0);
        const far = { ...b, x: b.x + by + 200 };
        expect(shapesOverlap(a, far)).toBe(false);
      }),
    );
  });

  it('keep their area however they are turned', () => {
    fc.assert(
      fc.property(rectangles, (shape) => {
        expect(signedArea(outlineOf(shape))).toBeCloseTo(groundArea(shape), 6);
      }),
    );
    expect(groundArea(ell)).toBe(7);
    expect(groundArea(circle(0, 0, 2))).toBeCloseTo(Math.PI, 12);
    // Forty-eight corners lie within 0.3 % of the round.
    expect(signedArea(outlineOf(circle(0, 0, 2))) / Math.PI).toBeGreaterThan(0.997);
  });

  it('measure to a tap from their nearest edge', () => {
    expect(distanceTo(box(0, 0, 2, 4), { x: 5, y: 8, width: 0, length: 0 })).toBe(5);
    expect(distanceTo(box(0, 0, 2, 4), { x: 1, y: 1, width: 0, length: 0 })).toBe(0);
    expect(distanceTo(circle(-1, -1, 2), { x: 3, y: 0, width: 0, length: 0 })).toBeCloseTo(2, 9);
  });

  it('are within reach up to 4 ft across, an L by the width of its arms', () => {
    expect(beyondReach(box(0, 0, 1.2192, 7))).toBe(false);
    expect(beyondReach(box(0, 0, 1.5, 7))).toBe(true);
    expect(deepest(outlineOf(ell), 0.001).depth).toBeCloseTo(2 - Math.SQRT2, 2);
    expect(beyondReach(ell)).toBe(false);
    expect(
      beyondReach(
        polygonShape([
          { x: 0, y: 0 },
          { x: 4, y: 0 },
          { x: 2, y: 4 },
        ]),
      ),
    ).toBe(true);
  });

  it('are known to cross themselves', () => {
    const bow = [
      { x: 0, y: 0 },
      { x: 2, y: 2 },
      { x: 2, y: 0 },
      { x: 0, y: 2 },
    ];
    expect(crossesItself(bow)).toBe(true);
    expect(crossesItself(ell.points!)).toBe(false);
    // A corner that touches a far edge, a spike, and a line without ground.
    expect(
      crossesItself([
        { x: 0, y: 0 },
        { x: 4, y: 0 },
        { x: 4, y: 2 },
        { x: 2, y: 0 },
        { x: 0, y: 2 },
      ]),
    ).toBe(true);
    expect(
      crossesItself([
        { x: 0, y: 0 },
        { x: 1, y: 1 },
        { x: 2, y: 2 },
      ]),
    ).toBe(true);
    expect(
      crossesItself([
        { x: 0, y: 0 },
        { x: 1, y: 1 },
      ]),
    ).toBe(true);
  });

  it('have their rows along the longer side, and every place of them on the ground', () => {
    fc.assert(
      fc.property(rectangles, (shape) => {
        const { across, along, outline } = workedOutline(shape);
        expect(across).toBeLessThanOrEqual(along);
        expect(signedArea(outline)).toBeGreaterThan(0);
        const ground = outlineOf(shape);
        const placed = outline.map((p) => workedPlace(shape, p));
        for (const p of placed) {
          expect(Math.min(...ground.map((q) => Math.hypot(p.x - q.x, p.y - q.y)))).toBeLessThan(1e-6);
        }
      }),
    );
  });

  it('are cut, sampled and enclosed', () => {
    expect(Math.abs(signedArea(cutAt(ell.points!, 'y', 2, 'below')))).toBeCloseTo(5, 9);
    expect(Math.abs(signedArea(cutAt(ell.points!, 'x', 1, 'above')))).toBeCloseTo(3, 9);
    const places = gridInside(ell.points!, 30);
    expect(places.length).toBeGreaterThan(20);
    for (const p of places) expect(contains(ell.points!, p)).toBe(true);
    expect(signedArea(hullOf(ell.points!))).toBeCloseTo(11.5, 9);
    expect(extentOf([box(0, 0, 2, 4), box(-1, 3, 1, 3)])).toEqual({ x: -1, y: 0, width: 3, length: 6 });
    expect(extentOf([])).toBeNull();
    expect(snapTo(1.31, 0.1524)).toBeCloseTo(1.3716, 9);
    expect(spanned(3, 4, 1, 1)).toEqual(spanned(1, 1, 3, 4));
  });
});
