import { memoryOf } from './memory.ts';
import type { WeatherModel } from './weatherModel.ts';

/**
 * A model where no record tells one: rain of every third day or so in the given monthly sums, and Richardson's own mean
 * correlations (his table 3, from memory).
 */
export function weatherOfNormals(rain: readonly number[], spreadC: number): WeatherModel {
  const wetDays = 10;
  return {
    wetAfterDry: new Array<number>(12).fill(0.26),
    wetAfterWet: new Array<number>(12).fill(0.48),
    rainMm: rain.map((mm) => Math.max(0.5, mm / wetDays)),
    wetHighC: -2.5,
    wetLowC: 0.5,
    highSd: new Array<number>(12).fill(spreadC * 1.25),
    lowSd: new Array<number>(12).fill(spreadC * 1.1),
    ...memoryOf(0.63, [0.62, 0.44, 0.48, 0.67]),
  };
}
