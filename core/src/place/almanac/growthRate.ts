/** What a crop asks of warmth: no growth below `base`, no more above a mean of `cap`, quoted days at `usual`, °C. */
export interface Warmth {
  base: number;
  cap: number;
  usual: number;
}

/**
 * How soon growth levels off as it gets warmer. Growth does not rise in step with degree days: afternoons of a cool summer
 * are warmer than its means, and a hot one brings little more than a warm one. No warmth brings more than 1.8 days' growth
 * in one, so that nothing is ready in half its quoted days. Fitted by eye to sowing-date trials, from memory.
 */
const LEVELLING = 0.8;
/** Daylight in which growth stands still, and from which it is as fast as warmth allows, hours. From memory. */
const LIGHT_HOURS = { none: 8, full: 11 };

/**
 * A day's growth, in days of growth at the usual warmth.
 * @param warmth degree days of the day over those of the usual warmth  @param light hours of daylight
 */
export function growthRate(warmth: number, light: number): number {
  const { none, full } = LIGHT_HOURS;
  const lit = Math.min(1, Math.max(0, (light - none) / (full - none)));
  return ((warmth * (1 + LEVELLING)) / (warmth + LEVELLING)) * lit;
}
