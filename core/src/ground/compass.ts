import { type Shape, workedOutline, workedPlace } from './shape.ts';

export const compassPoints = [
  'north',
  'northEast',
  'east',
  'southEast',
  'south',
  'southWest',
  'west',
  'northWest',
] as const;
export type CompassPoint = (typeof compassPoints)[number];

const DEGREES = 180 / Math.PI;

/** The nearest of eight points of the compass. @param bearing degrees clockwise from true north */
export const compassPoint = (bearing: number): CompassPoint =>
  compassPoints[(((Math.round(bearing / 45) % 8) + 8) % 8) as 0]!;

/** Sides of a bed in its worked frame: the ends of its long axis, and its long sides. */
export type BedSide = 'near' | 'far' | 'left' | 'right';

/**
 * The way a side of a bed faces.
 * @param north degrees that true north lies clockwise from the top of the plan
 */
export function sideFacing(bed: Shape, side: BedSide, north: number): CompassPoint {
  const { across, along } = workedOutline(bed);
  const middle = workedPlace(bed, { x: across / 2, y: along / 2 });
  const edges = {
    near: { x: across / 2, y: 0 },
    far: { x: across / 2, y: along },
    left: { x: 0, y: along / 2 },
    right: { x: across, y: along / 2 },
  };
  const edge = workedPlace(bed, edges[side]);
  return compassPoint(Math.atan2(edge.x - middle.x, edge.y - middle.y) * DEGREES - north);
}
