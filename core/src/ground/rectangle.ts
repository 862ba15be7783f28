/** A rectangle on the ground, metres; `x` runs to the plan's right and `y` to its top from the garden's corner. */
export interface Rectangle {
  x: number;
  y: number;
  width: number;
  length: number;
}

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
