/** A rectangle on the ground, metres; `x` runs east and `y` north from the garden's corner. */
export interface Rectangle {
  x: number;
  y: number;
  width: number;
  length: number;
}

/** m² */
export const areaOf = (shape: Pick<Rectangle, 'width' | 'length'>): number => shape.width * shape.length;

/** True where two rectangles share ground; touching edges do not count. */
export const overlaps = (a: Rectangle, b: Rectangle): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.length && b.y < a.y + a.length;

/** The rectangle spanned by two corners in any order. */
export const spanned = (ax: number, ay: number, bx: number, by: number): Rectangle => ({
  x: Math.min(ax, bx),
  y: Math.min(ay, by),
  width: Math.abs(ax - bx),
  length: Math.abs(ay - by),
});

/** `value` on the nearest multiple of `step`. @param step metres, > 0 */
export const snapTo = (value: number, step: number): number =>
  Number((Math.round(value / step) * step).toFixed(6));

/** The smallest rectangle around all shapes, or null for none. */
export function extentOf(shapes: readonly Rectangle[]): Rectangle | null {
  if (shapes.length === 0) return null;
  const left = Math.min(...shapes.map((s) => s.x));
  const low = Math.min(...shapes.map((s) => s.y));
  const right = Math.max(...shapes.map((s) => s.x + s.width));
  const high = Math.max(...shapes.map((s) => s.y + s.length));
  return { x: left, y: low, width: right - left, length: high - low };
}

/** Straight distance from the nearest edge of `from` to the middle of `to`, metres; 0 where it lies inside. */
export function distanceTo(from: Rectangle, to: Rectangle): number {
  const px = to.x + to.width / 2;
  const py = to.y + to.length / 2;
  const dx = Math.max(from.x - px, 0, px - (from.x + from.width));
  const dy = Math.max(from.y - py, 0, py - (from.y + from.length));
  return Math.hypot(dx, dy);
}

/**
 * The widest bed an adult reaches the middle of, metres: about 2 ft from each side between two paths.
 * Common practice, no source.
 */
export const WIDEST_REACH_M = 1.2192;

/** True where the middle of a bed worked from both sides is out of reach. */
export const beyondReach = (bed: Pick<Rectangle, 'width' | 'length'>): boolean =>
  Math.min(bed.width, bed.length) > WIDEST_REACH_M + 1e-6;
