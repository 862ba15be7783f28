import { groundRadiation } from '../sun/index.ts';

/** What lies on the soil: nothing, black film, or straw. */
export type SoilCover = 'bare' | 'film' | 'mulch';

/** Depth at which soil is judged for seed and roots, and read with a thermometer, mm. */
export const SEED_DEPTH_MM = 50;

/** Share of yesterday's soil temperature in today's. Source: SWAT, as below. */
const LAG = 0.8;
/** Depth at which the year no longer shows, mm, for loam of middling moisture. Source: SWAT, as below, at 1.3 g/cm³. */
const DAMPING_MM = 1100;
const ALBEDO: Record<SoilCover, number> = { bare: 0.23, film: 0.05, mulch: 0.35 };
/**
 * By how much sun beyond what the soil sends out again warms the surface, °C for each MJ per m² and day, and the sun at
 * which the two are even. Fitted, from memory, to four-inch soil under bare ground at stations of the U.S. Corn Belt: about
 * as warm as the air in April and October, two to three degrees warmer in July.
 */
const SUN_GAIN_C = 0.45;
const SUN_EVEN_MJ = 8;
/**
 * What a cover does to the mean temperature of the surface beside its albedo, °C. Black film warms the soil about a
 * week ahead, straw holds it back. Common practice, no source.
 */
const COVER_C: Record<SoilCover, number> = { bare: 0, film: 0.8, mulch: -0.8 };

/** Days of a year or of weather, as daily minima and maxima in °C. */
export interface DailyAir {
  low: ArrayLike<number>;
  high: ArrayLike<number>;
  /** day of the calendar year of each day, 1 for 1 January */
  dayOfYear(i: number): number;
}

/**
 * Daily mean soil temperature at a depth, from the air above it: the surface follows air and sun, the depth follows
 * the surface damped, and every day keeps four fifths of the day before.
 * Source of depth and lag: Neitsch et al., Soil and Water Assessment Tool, Theoretical Documentation (2009), 1:1.3.3,
 * equations 1:1.3.2 to 1:1.3.6; radiation by FAO-56 equation 50; the surface as above, since the tool's own leaves bare soil
 * colder than the air all summer.
 * @param depthMm depth, mm  @param yearMean mean air temperature of the year, °C
 * @param start soil temperature of the day before the first, °C
 * @returns °C for every day of `air`
 */
export function soilTemperatures(
  air: DailyAir,
  latitude: number,
  depthMm: number,
  cover: SoilCover,
  yearMean: number,
  start: number,
): Float64Array {
  const ratio = depthMm / DAMPING_MM;
  const damping = ratio / (ratio + Math.exp(-0.867 - 2.078 * ratio));
  const soil = new Float64Array(air.low.length);
  let before = start;
  for (let i = 0; i < soil.length; i++) {
    const low = air.low[i]!;
    const high = air.high[i]!;
    const sun = groundRadiation(latitude, air.dayOfYear(i), low, high) * (1 - ALBEDO[cover]);
    const surface = (low + high) / 2 + Math.max(0, sun - SUN_EVEN_MJ) * SUN_GAIN_C + COVER_C[cover];
    before = LAG * before + (1 - LAG) * (damping * (yearMean - surface) + surface);
    soil[i] = before;
  }
  return soil;
}
