import type { Crop } from '../../crops/index.ts';
import type { DepthSchool } from '../rules.ts';

/** Width below which seed is only pressed in, mm: dust-like seed needs light and air. Common practice, no source. */
const DUST_MM = 0.8;

/** Multiples of the seed's width, least and most. Common practice, no source. */
const factors: Record<Exclude<DepthSchool, 'packet'>, [number, number]> = {
  oneAndHalf: [1.5, 1.5],
  double: [2, 2],
  twoToThree: [2, 3],
};

/**
 * How deep a crop is sown: what the packet says, or by another school of the garden a multiple of the seed's width, which
 * never leaves half to double of what the packet says.
 * Common practice, no source.
 * @returns metres, from and to; dust-like seed lies on the surface
 */
export function sowingDepth(crop: Crop, school: DepthSchool): { from: number; to: number } {
  if (school === 'packet' || crop.seedMm === undefined) return crop.depth;
  const width = crop.seedMm / 1000;
  if (crop.seedMm <= DUST_MM) return { from: 0, to: width };
  const [least, most] = factors[school];
  const withinPacket = (depth: number) =>
    Math.max(crop.depth.from / 2, Math.min(crop.depth.to * 2, depth * width));
  return { from: withinPacket(least), to: withinPacket(most) };
}
