import type { MonthlyNormals } from '../place.ts';

/** What everybody can find of a place: the usual low and high of a month, °C. */
export interface MonthMeans {
  low: number;
  high: number;
}

/** The warmest and the coldest month of a place. */
export interface Extremes {
  warmest: MonthMeans;
  coldest: MonthMeans;
}

/** When the warmest days come: about a month after the longest, as a share of the year. From memory: mid-latitude normals. */
const WARMEST = 6.7 / 12;
/** A month's rain where nobody has said anything of it, mm. */
const UNKNOWN_RAIN_MM = 60;

/**
 * Monthly means between the warmest and the coldest month, on a yearly cosine.
 * @param latitude south negative: there the warmest month is half a year away
 * @returns twelve means, °C, whose warmest and coldest are about those given
 */
export function normalsOfExtremes(latitude: number, { warmest, coldest }: Extremes): MonthlyNormals {
  const peak = latitude < 0 ? WARMEST - 0.5 : WARMEST;
  const of = (kind: keyof MonthMeans): number[] => {
    const middle = (warmest[kind] + coldest[kind]) / 2;
    const half = (warmest[kind] - coldest[kind]) / 2;
    return Array.from({ length: 12 }, (_, month) => {
      const angle = 2 * Math.PI * ((month + 0.5) / 12 - peak);
      return middle + half * Math.cos(angle);
    });
  };
  return { low: of('low'), high: of('high'), rain: new Array<number>(12).fill(UNKNOWN_RAIN_MM) };
}

/** The warmest and the coldest month of monthly means, by their mean temperature. */
export function extremesOf({ low, high }: MonthlyNormals): Extremes {
  const means = low.map((value, month) => value + high[month]!);
  const at = (month: number): MonthMeans => ({ low: low[month]!, high: high[month]! });
  return {
    warmest: at(means.indexOf(Math.max(...means))),
    coldest: at(means.indexOf(Math.min(...means))),
  };
}
