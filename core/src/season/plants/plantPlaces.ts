import type { Crop } from '../../crops/index.ts';
import {
  cutAt,
  type Pattern,
  type Point,
  pack,
  packOutline,
  positions,
  type Shape,
  workedOutline,
  workedPlace,
} from '../../ground/index.ts';
import { spacingOf } from '../amounts/index.ts';
import { outlineIn, type PlaceInBed } from '../planning/index.ts';

/** Where the plants of a planting stand. */
export interface PlantPlaces {
  /** x and y of each on the plan by turns, metres; empty for what is broadcast and for more than a drawing can tell apart */
  plants: Float32Array;
  /** the ground of the planting on the plan, counterclockwise, metres */
  ground: Point[];
}

/**
 * Where each plant of a planting stands on the plan: as its ground is packed for its card, moved to its place in its bed.
 * @param crop as it was planted: of its variety and with its own spacing
 * @param place of its near left corner in the worked frame of the bed, metres
 * @throws RangeError for ground without size
 */
export function plantPlaces(
  bed: Shape,
  crop: Crop,
  { pattern, width, length }: { pattern: Pattern; width: number; length: number },
  place: PlaceInBed,
): PlantPlaces {
  const inRow = spacingOf(crop, pattern);
  const found =
    bed.form === 'rectangle'
      ? positions(pattern, pack(pattern, width, length, inRow, crop.betweenRows), width, length, inRow).map(
          ({ x, y }) => ({ x: x + place.x, y: y + place.y }),
        )
      : packOutline(pattern, strip(bed, place, width, length), inRow, crop.betweenRows).plants;
  const plants = new Float32Array(found.length * 2);
  for (const [n, at] of found.entries()) {
    const { x, y } = workedPlace(bed, at);
    plants[2 * n] = x;
    plants[2 * n + 1] = y;
  }
  return { plants, ground: outlineIn(bed, { width, length }, place) };
}

/** The part of a bed of any form that a planting has, in the worked frame of the bed. */
function strip(bed: Shape, { x, y }: PlaceInBed, width: number, length: number): Point[] {
  const along = cutAt(cutAt(workedOutline(bed).outline, 'y', y + length, 'below'), 'y', y, 'above');
  return cutAt(cutAt(along, 'x', x + width, 'below'), 'x', x, 'above');
}
