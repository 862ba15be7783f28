import type { Crop } from '../crops/index.ts';
import type { DepthSchool } from './rules.ts';

/** Thickness below which seed is only pressed in, mm: dust-like seed needs light and air. */
const DUST_MM = 0.8;

const factors: Record<Exclude<DepthSchool, 'packet'>, [number, number]> = {
  oneAndHalf: [1.5, 1.5],
  double: [2, 2],
  twoToThree: [2, 3],
};

/**
 * How deep a crop is sown by the garden's school: a multiple of the seed's thickness, or what the packet says.
 * Common practice, no source (KNOWLEDGE 3.5).
 * @returns metres, from and to; dust-like seed lies on the surface
 */
export function sowingDepth(crop: Crop, school: DepthSchool): { from: number; to: number } {
  if (school === 'packet' || crop.seedMm === undefined) return crop.depth;
  if (crop.seedMm <= DUST_MM) return { from: 0, to: crop.seedMm / 1000 };
  const [least, most] = factors[school];
  return { from: (least * crop.seedMm) / 1000, to: (most * crop.seedMm) / 1000 };
}
