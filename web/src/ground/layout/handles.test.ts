import {
  groundArea,
  middleOf,
  outlineOf,
  polygonShape,
  type Shape,
  uprightRectangle,
} from '@unity-acre/core/ground';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { handlesOf, hit, pulled, snappedMove } from './handles.ts';

const bed: Shape = { ...uprightRectangle({ x: 1, y: 2, width: 1.2, length: 6 }), angle: 0 };
const wedge = polygonShape([
  { x: 0, y: 0 },
  { x: 4, y: 0 },
  { x: 0, y: 4 },
]);

describe('pulling at a shape', () => {
  it('moves one corner and leaves the one across where it is, however the shape is turned', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -175, max: 175 }),
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        (angle, index, x, y) => {
          const before = { ...bed, angle };
          const handles = handlesOf(before, 0.01);
          const fixed = handles[(index + 2) % 4]!.at;
          const after = pulled(before, handles[index]!, { x, y }, 0.1);
          const corners = outlineOf(after);
          expect(Math.min(...corners.map((p) => Math.hypot(p.x - fixed.x, p.y - fixed.y)))).toBeLessThan(
            1e-6,
          );
          expect(after.width).toBeGreaterThanOrEqual(0.1);
          expect(after.angle).toBe(angle);
        },
      ),
    );
  });

  it('turns in steps of five degrees, clockwise for a hand that goes right', () => {
    const turn = handlesOf(bed, 0.01).find(({ kind }) => kind === 'turn')!;
    const middle = middleOf(bed);
    expect(pulled(bed, turn, { x: middle.x + 5, y: middle.y }, 0.1).angle).toBe(90);
    expect(pulled(bed, turn, { x: middle.x + 1, y: middle.y + 10 }, 0.1).angle).toBe(5);
  });

  it('moves and adds corners of a polygon, and keeps a circle round', () => {
    const handles = handlesOf(wedge, 0.01);
    const middle = handles.find(
      ({ kind, index }: { kind: string; index?: number }) => kind === 'newVertex' && index === 1,
    )!;
    const square = pulled(wedge, middle, { x: 4, y: 4 }, 0.1);
    expect(groundArea(square)).toBeCloseTo(16, 9);
    const smaller = pulled(square, handlesOf(square, 0.01)[0]!, { x: 2, y: 2 }, 0.1);
    expect(groundArea(smaller)).toBeCloseTo(8, 9);
    const disc: Shape = { ...bed, form: 'circle', width: 2, length: 2 };
    const larger = pulled(disc, handlesOf(disc, 0.01)[2]!, { x: 6, y: 5 }, 0.1);
    expect(larger.width).toBe(larger.length);
  });
});

describe('moving', () => {
  it('snaps to the edge of another bed where that is near, else to the grid', () => {
    const other = uprightRectangle({ x: 5, y: 2.03, width: 1.2, length: 6 });
    const near = snappedMove([bed], [other], { x: 0.77, y: 0.05 }, 0.1, 0.5);
    expect(near.by.y).toBeCloseTo(0.03, 9);
    expect(near.guides).toContainEqual({ axis: 'y', at: 2.03 });
    expect(bed.x + near.by.x).toBeCloseTo(2, 9);
    expect(snappedMove([bed], [], { x: 0.3, y: 0.2 }, 0.1, 0.5).by).toEqual({ x: 0.5, y: 0 });
  });

  it('takes the uppermost thing under the hand, and a small tap beside it', () => {
    const tap: Shape = { ...uprightRectangle({ x: 9, y: 9, width: 0.2, length: 0.2 }), form: 'circle' };
    const over = { ...bed, x: 1.5 };
    expect(hit([bed, over, tap], { x: 1.6, y: 4 }, 0.3)).toBe(over);
    expect(hit([bed, over, tap], { x: 9.35, y: 9.1 }, 0.3)).toBe(tap);
    expect(hit([bed, over, tap], { x: 20, y: 20 }, 0.3)).toBeUndefined();
  });
});
