import {
  boxAround,
  contains,
  middleOf,
  outlineOf,
  type Point,
  polygonShape,
  type Shape,
  snapTo,
  turned,
} from '@unity-acre/core/ground';

/** Something on a selected shape that can be taken hold of. */
export type Handle =
  | { kind: 'corner'; index: number; at: Point }
  | { kind: 'turn'; at: Point }
  | { kind: 'vertex'; index: number; at: Point }
  | { kind: 'newVertex'; index: number; at: Point };

/** How far the handle that turns stands off, pixels. */
const TURN_PX = 26;
const LEAST_M = 0.1;

/** The handles of a shape: corners that pull and one that turns, or a polygon's corners and the middles between them. */
export function handlesOf(shape: Shape, metresPerPixel: number): Handle[] {
  if (shape.form === 'polygon') {
    const corners = outlineOf(shape);
    return corners.flatMap((at, index): Handle[] => {
      const next = corners[(index + 1) % corners.length]!;
      const between = { x: (at.x + next.x) / 2, y: (at.y + next.y) / 2 };
      return [
        { kind: 'vertex', index, at },
        { kind: 'newVertex', index, at: between },
      ];
    });
  }
  const { x, y, width, length, angle } = shape;
  const middle = middleOf(shape);
  const corners = [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + length },
    { x, y: y + length },
  ].map((p) => turned(p, middle, angle));
  const pulls = corners.map((at, index): Handle => ({ kind: 'corner', index, at }));
  if (shape.form === 'circle') return pulls;
  const top = { x: middle.x, y: y + length + TURN_PX * metresPerPixel };
  return [...pulls, { kind: 'turn', at: turned(top, middle, angle) }];
}

/** A shape with one of its handles at another place. @param step what lengths snap to, metres */
export function pulled(shape: Shape, handle: Handle, to: Point, step: number): Shape {
  const middle = middleOf(shape);
  if (handle.kind === 'turn') {
    const degrees = (Math.atan2(to.x - middle.x, to.y - middle.y) * 180) / Math.PI;
    const snapped = Math.round(degrees / 5) * 5;
    return { ...shape, angle: snapped === 180 ? -180 : snapped };
  }
  if (handle.kind === 'vertex' || handle.kind === 'newVertex') {
    const corners = outlineOf(shape);
    const at = { x: snapTo(to.x, step), y: snapTo(to.y, step) };
    if (handle.kind === 'vertex') corners[handle.index] = at;
    else corners.splice(handle.index + 1, 0, at);
    return polygonShape(corners);
  }
  // The corner across stays where it is, and the sides keep their directions.
  const opposite = (handle.index + 2) % 4;
  const fixed = (handlesOf(shape, 0)[opposite] as { at: Point }).at;
  const own = turned({ x: to.x - fixed.x, y: to.y - fixed.y }, { x: 0, y: 0 }, -shape.angle);
  let width = Math.max(LEAST_M, snapTo(Math.abs(own.x), step));
  let length = Math.max(LEAST_M, snapTo(Math.abs(own.y), step));
  if (shape.form === 'circle') width = length = Math.max(width, length);
  const out = { x: Math.sign(own.x || 1) * width, y: Math.sign(own.y || 1) * length };
  const half = turned({ x: out.x / 2, y: out.y / 2 }, { x: 0, y: 0 }, shape.angle);
  const centre = { x: fixed.x + half.x, y: fixed.y + half.y };
  return { ...shape, width, length, x: centre.x - width / 2, y: centre.y - length / 2 };
}

/** A line that a moved shape has snapped to. */
export interface Guide {
  axis: 'x' | 'y';
  at: number;
}

/**
 * How far a move goes once it has snapped: to the edges and middles of other shapes where one is near, else to the grid.
 * @param near how near is near, metres  @param step the grid, metres
 */
export function snappedMove(
  moving: readonly Shape[],
  others: readonly Shape[],
  by: Point,
  near: number,
  step: number,
): { by: Point; guides: Guide[] } {
  const box = boxAround(moving.flatMap(outlineOf));
  const boxes = others.map((shape) => boxAround(outlineOf(shape)));
  const guides: Guide[] = [];
  const along = (axis: 'x' | 'y'): number => {
    const [start, size] = axis === 'x' ? [box.x, box.width] : [box.y, box.length];
    const own = [start, start + size / 2, start + size].map((at) => at + by[axis]);
    const lines = boxes.flatMap((other) => {
      const [from, long] = axis === 'x' ? [other.x, other.width] : [other.y, other.length];
      return [from, from + long / 2, from + long];
    });
    let best: { off: number; at: number } | null = null;
    for (const at of lines) {
      for (const edge of own) {
        const off = at - edge;
        if (Math.abs(off) <= near && (!best || Math.abs(off) < Math.abs(best.off))) best = { off, at };
      }
    }
    if (!best) return snapTo(start + by[axis], step) - start;
    guides.push({ axis, at: best.at });
    return by[axis] + best.off;
  };
  const moved = { x: along('x'), y: along('y') };
  return { by: moved, guides };
}

/** The uppermost shape at a place. @param slack how far beside a small thing still means it, metres */
export function hit<S extends Shape>(shapes: readonly S[], place: Point, slack: number): S | undefined {
  const inside = shapes.findLast((shape) => contains(outlineOf(shape), place));
  if (inside) return inside;
  return shapes.findLast((shape) => {
    const middle = middleOf(shape);
    const size = Math.max(shape.width, shape.length) / 2;
    return size < 1 && Math.hypot(place.x - middle.x, place.y - middle.y) <= size + slack;
  });
}
