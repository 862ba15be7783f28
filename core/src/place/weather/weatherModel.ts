/**
 * How days follow one another at a place: rain as a two-state chain by month, the two temperatures as correlated
 * departures from the season's curve that remember the day before.
 * Source: Richardson, "Stochastic simulation of daily precipitation, temperature, and solar radiation", Water Resources
 * Research 17 (1981), without radiation.
 */
export interface WeatherModel {
  /** chance of rain by month after a dry and after a wet day */
  wetAfterDry: number[];
  wetAfterWet: number[];
  /** mean rain of a wet day by month, mm; amounts vary exponentially about it */
  rainMm: number[];
  /** by how much a wet day's maximum and minimum differ from a dry one's, °C */
  wetHighC: number;
  wetLowC: number;
  /** standard deviation of maxima and minima about the curve by month, °C */
  highSd: number[];
  lowSd: number[];
  /** today's two departures = a · yesterday's + b · two fresh normal numbers (rows: maximum, minimum) */
  a: [number, number, number, number];
  b: [number, number, number, number];
}

/** The share of wet days that the chain of a month comes to. @param month 0 for January */
export const wetShare = ({ wetAfterDry, wetAfterWet }: WeatherModel, month: number): number =>
  wetAfterDry[month]! / Math.max(1e-6, 1 + wetAfterDry[month]! - wetAfterWet[month]!);
