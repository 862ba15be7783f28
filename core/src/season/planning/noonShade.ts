import type { YearPlan } from './yearPlan.ts';

/** The share of a piece of ground in noon shadow from which on it counts as shaded. */
export const SHADED_SHARE = 0.3;
/** The sun's declination that stands for high summer, degrees. */
const SUMMER_DECLINATION = 18;

/** Where the sun stands at noon in high summer, degrees: as high as it is over a place, and in the south or the north of it. */
export const summerNoon = ({
  latitude,
}: Pick<YearPlan, 'latitude'>): { altitude: number; azimuth: number } => ({
  altitude: Math.min(89, 90 - Math.abs(latitude) + SUMMER_DECLINATION),
  azimuth: latitude >= 0 ? 180 : 0,
});
