import type { Crop, Method } from '../../crops/index.ts';
import {
  cutAt,
  type Packing,
  type Pattern,
  type Point,
  pack,
  packOutline,
  type Shape,
  workedOutline,
} from '../../ground/index.ts';
import { isCover } from '../windows/index.ts';
import { type SeedCount, seedCount } from './seedCount.ts';

/** What a planting needs, computed from its ground. */
export interface Amounts {
  packing: Packing;
  plants: number;
  /** what is sown of good seed; null for bought plants and sets */
  sown: SeedCount | null;
}

/**
 * Plants and seeds for a piece of ground.
 * @param width,length metres; rows run along `length`
 * @param bed the bed it lies in, where that is no rectangle: its edges take their share
 * @throws RangeError for ground without size
 */
export function amounts(
  crop: Crop,
  method: Method,
  pattern: Pattern,
  width: number,
  length: number,
  bed: Shape | null = null,
): Amounts {
  const outline = bed && plantedOutline(bed, width, length);
  const packed = (as: Pattern): Packing =>
    outline
      ? packOutline(as, outline, spacingOf(crop, as), crop.betweenRows)
      : pack(as, width, length, spacingOf(crop, as), crop.betweenRows);
  const packing = packed(pattern);
  // A cover is sown by weight over all of its ground, however its rows are drilled.
  const holes = isCover(crop) ? packed('broadcast').count : packing.count;
  const sown = method === 'setPlants' ? null : seedCount(crop, holes);
  return { packing, plants: packing.count, sown };
}

/**
 * The ground of a planting in a bed that is no rectangle: so wide a strip of it, from its near end so far along; null for
 * a rectangle, whose plantings are rectangles too.
 */
export function plantedOutline(bed: Shape, width: number, length: number): Point[] | null {
  if (bed.form === 'rectangle') return null;
  const { across, outline } = workedOutline(bed);
  const aside = Math.max(0, (across - width) / 2);
  const upTo = cutAt(outline, 'y', length, 'below');
  if (aside < 1e-6) return upTo;
  return cutAt(cutAt(upTo, 'x', aside, 'above'), 'x', across - aside, 'below');
}

/**
 * The spacing in the row that a pattern goes by, metres: a square grid, a square of a foot and broadcast sowing are for a
 * bed reached from the side, where the close spacing holds both ways.
 */
export const spacingOf = (crop: Crop, pattern: Pattern): number =>
  pattern === 'rows' || pattern === 'staggered' ? crop.inRow : crop.intensive;
