import { boxAround, deepest, distanceFrom, outlinesOverlap, type Point, signedArea } from './polygon.ts';
import type { Rectangle } from './rectangle.ts';

export const forms = ['rectangle', 'polygon', 'circle'] as const;
export type Form = (typeof forms)[number];

/**
 * A piece of ground. `x`, `y`, `width` and `length` are its box before it is turned; a circle's two sides are its
 * diameter.
 */
export interface Shape extends Rectangle {
  form: Form;
  /** degrees clockwise around the middle of the box */
  angle: number;
  /** a polygon's corners, metres from the box's lower left corner; null for other forms */
  points: readonly Point[] | null;
}

/** Corners by which a circle is drawn and measured where an outline is wanted. */
const CIRCLE_CORNERS = 48;

export const middleOf = ({ x, y, width, length }: Rectangle): Point => ({
  x: x + width / 2,
  y: y + length / 2,
});

/** `p` turned clockwise around `about`. @param degrees clockwise */
export function turned(p: Point, about: Point, degrees: number): Point {
  if (degrees === 0) return { x: p.x, y: p.y };
  const a = (-degrees * Math.PI) / 180;
  const [dx, dy] = [p.x - about.x, p.y - about.y];
  return {
    x: about.x + dx * Math.cos(a) - dy * Math.sin(a),
    y: about.y + dx * Math.sin(a) + dy * Math.cos(a),
  };
}

/** The outline before it is turned, from the box's own lower left corner, counterclockwise. */
export function ownOutline({ form, width, length, points }: Omit<Shape, 'x' | 'y' | 'angle'>): Point[] {
  if (form === 'polygon' && points) {
    const own = points.map(({ x, y }) => ({ x, y }));
    return signedArea(own) < 0 ? own.reverse() : own;
  }
  if (form === 'circle') {
    return Array.from({ length: CIRCLE_CORNERS }, (_, i) => {
      const a = (2 * Math.PI * i) / CIRCLE_CORNERS;
      return { x: (width / 2) * (1 + Math.cos(a)), y: (length / 2) * (1 + Math.sin(a)) };
    });
  }
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: length },
    { x: 0, y: length },
  ];
}

/** Where the edges of a piece of ground run, metres, counterclockwise. */
export function outlineOf(shape: Shape): Point[] {
  const about = middleOf(shape);
  return ownOutline(shape).map((p) => turned({ x: p.x + shape.x, y: p.y + shape.y }, about, shape.angle));
}

/** m² */
export function groundArea({
  form,
  width,
  length,
  points,
}: Pick<Shape, 'form' | 'width' | 'length' | 'points'>): number {
  if (form === 'circle') return (Math.PI * width * length) / 4;
  return form === 'polygon' && points ? Math.abs(signedArea(points)) : width * length;
}

/** A polygon from corners anywhere on the ground. */
export function polygonShape(corners: readonly Point[]): Shape {
  const box = boxAround(corners);
  return {
    form: 'polygon',
    ...box,
    angle: 0,
    points: corners.map(({ x, y }) => ({ x: x - box.x, y: y - box.y })),
  };
}

/** A rectangle that is not turned. */
export const uprightRectangle = (box: Rectangle): Shape => ({
  form: 'rectangle',
  x: box.x,
  y: box.y,
  width: box.width,
  length: box.length,
  angle: 0,
  points: null,
});

/** True where two pieces of ground share some; touching edges do not count. */
export const shapesOverlap = (a: Shape, b: Shape): boolean => outlinesOverlap(outlineOf(a), outlineOf(b));

/** Straight distance from the nearest edge of `from` to the middle of `to`, metres; 0 where it lies inside. */
export const distanceTo = (from: Shape, to: Rectangle): number => distanceFrom(outlineOf(from), middleOf(to));

/** The smallest upright rectangle around all shapes, or null for none. */
export const extentOf = (shapes: readonly Shape[]): Rectangle | null =>
  shapes.length === 0 ? null : boxAround(shapes.flatMap(outlineOf));

/**
 * How people work a bed: rows run along its longer side. `across` and `along` are the sides of its box; `ownOutline`
 * turned so that `x` runs across and `y` along.
 */
export function workedOutline(shape: Shape): { across: number; along: number; outline: Point[] } {
  const outline = ownOutline(shape);
  if (shape.length >= shape.width) return { across: shape.width, along: shape.length, outline };
  return {
    across: shape.length,
    along: shape.width,
    // A quarter turn, so that the outline stays counterclockwise.
    outline: outline.map(({ x, y }) => ({ x: shape.length - y, y: x })),
  };
}

/** A place of the worked frame as it lies on the ground. */
export function workedPlace(shape: Shape, { x, y }: Point): Point {
  const own = shape.length >= shape.width ? { x, y } : { x: y, y: shape.length - x };
  return turned({ x: own.x + shape.x, y: own.y + shape.y }, middleOf(shape), shape.angle);
}

/**
 * The widest bed an adult reaches the middle of, metres: about 2 ft from each side between two paths.
 * Common practice, no source.
 */
export const WIDEST_REACH_M = 1.2192;

/** True where the middle of a bed worked from all its sides is out of reach. @param widest metres between two paths */
export const beyondReach = (bed: Shape, widest = WIDEST_REACH_M): boolean =>
  (bed.form === 'polygon' ? 2 * deepest(outlineOf(bed)).depth : Math.min(bed.width, bed.length)) >
  widest + 1e-6;
