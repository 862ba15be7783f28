import { type Day, dayNumber, dayOfNumber, yearDay } from '../calendar/index.ts';
import { gaussian, type Harmonics, harmonicAt } from '../maths/index.ts';
import type { StationRecord } from './record.ts';

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

/** Rain below this is not a wet day, mm. Source: U.S. practice, 0.01 in. */
const WET_MM = 0.254;

/** Fits the model to a record, with its seasonal curves. @returns the model, and the spread of daily means, °C */
export function fitWeather(
  record: StationRecord,
  low: Harmonics,
  high: Harmonics,
): { model: WeatherModel; spreadC: number } {
  const days = record.low.length;
  const first = dayNumber(record.first);
  const month = new Uint8Array(days);
  const offHigh = new Float64Array(days);
  const offLow = new Float64Array(days);
  for (let i = 0; i < days; i++) {
    const day = dayOfNumber(first + i);
    month[i] = Number(day.slice(5, 7)) - 1;
    offHigh[i] = record.high[i]! - curveAt(high, yearDay(day));
    offLow[i] = record.low[i]! - curveAt(low, yearDay(day));
  }
  const isWet = (i: number) => record.rain[i]! >= WET_MM;
  const isKnown = (i: number) => !Number.isNaN(record.rain[i]!);

  const after = [0, 1].map(() => Array.from({ length: 12 }, () => ({ days: 0, wet: 0 })));
  const rain = Array.from({ length: 12 }, () => ({ sum: 0, days: 0 }));
  const byState = [0, 1].map(() => ({ high: 0, low: 0, days: 0 }));
  let meanSquares = 0;
  let means = 0;
  for (let i = 0; i < days; i++) {
    const known = !Number.isNaN(offHigh[i]!) && !Number.isNaN(offLow[i]!);
    if (known) {
      meanSquares += ((offHigh[i]! + offLow[i]!) / 2) ** 2;
      means += 1;
    }
    if (!isKnown(i)) continue;
    const m = month[i]!;
    if (isWet(i)) {
      rain[m]!.sum += record.rain[i]!;
      rain[m]!.days += 1;
    }
    if (known) {
      const state = byState[isWet(i) ? 1 : 0]!;
      state.high += offHigh[i]!;
      state.low += offLow[i]!;
      state.days += 1;
    }
    if (i > 0 && isKnown(i - 1)) {
      const chain = after[isWet(i - 1) ? 1 : 0]![m]!;
      chain.days += 1;
      if (isWet(i)) chain.wet += 1;
    }
  }
  const shift = (name: 'high' | 'low') =>
    byState.every((state) => state.days > 0)
      ? byState[1]![name] / byState[1]!.days - byState[0]![name] / byState[0]!.days
      : 0;
  const share = ({ days: n, wet }: { days: number; wet: number }, ifNone: number) =>
    n > 0 ? wet / n : ifNone;
  const highSd = monthlySd(offHigh, month);
  const lowSd = monthlySd(offLow, month);
  const departures = (values: Float64Array, sd: number[]) => values.map((value, i) => value / sd[month[i]!]!);
  return {
    model: {
      wetAfterDry: after[0]!.map((chain) => share(chain, 0.25)),
      wetAfterWet: after[1]!.map((chain) => share(chain, 0.45)),
      rainMm: rain.map(({ sum, days: n }) => (n > 0 ? sum / n : 5)),
      wetHighC: shift('high'),
      wetLowC: shift('low'),
      highSd,
      lowSd,
      ...memory(departures(offHigh, highSd), departures(offLow, lowSd)),
    },
    spreadC: means > 0 ? Math.sqrt(meanSquares / means) : 4,
  };
}

/** A curve's values are asked for every day of many years: each curve is drawn once. */
const drawn = new WeakMap<Harmonics, Float64Array>();
export function curveAt(curve: Harmonics, place: number): number {
  let values = drawn.get(curve);
  if (!values) {
    values = Float64Array.from({ length: 365 }, (_, p) => harmonicAt(curve, p));
    drawn.set(curve, values);
  }
  return values[place]!;
}

function monthlySd(values: Float64Array, month: Uint8Array): number[] {
  const sums = Array.from({ length: 12 }, () => ({ squares: 0, days: 0 }));
  for (let i = 0; i < values.length; i++) {
    if (Number.isNaN(values[i]!)) continue;
    const sum = sums[month[i]!]!;
    sum.squares += values[i]! ** 2;
    sum.days += 1;
  }
  return sums.map(({ squares, days }) => (days > 1 ? Math.max(0.5, Math.sqrt(squares / days)) : 4));
}

/** Richardson's matrices from the lag-0 and lag-1 correlations: A = M1 M0⁻¹, B Bᵀ = M0 − A M1ᵀ. */
function memory(high: Float64Array, low: Float64Array): Pick<WeatherModel, 'a' | 'b'> {
  const correlation = (x: Float64Array, y: Float64Array, lag: number): number => {
    let xy = 0;
    let xx = 0;
    let yy = 0;
    for (let i = lag; i < x.length; i++) {
      const u = x[i]!;
      const v = y[i - lag]!;
      if (Number.isNaN(u) || Number.isNaN(v)) continue;
      xy += u * v;
      xx += u * u;
      yy += v * v;
    }
    return xx > 0 && yy > 0 ? xy / Math.sqrt(xx * yy) : 0;
  };
  const together = Math.min(0.95, correlation(high, low, 0));
  const m1 = [
    correlation(high, high, 1),
    correlation(high, low, 1),
    correlation(low, high, 1),
    correlation(low, low, 1),
  ] as const;
  return memoryOf(together, m1);
}

function memoryOf(
  together: number,
  m1: readonly [number, number, number, number],
): Pick<WeatherModel, 'a' | 'b'> {
  const determinant = 1 - together ** 2;
  const a: WeatherModel['a'] = [
    (m1[0] - m1[1] * together) / determinant,
    (m1[1] - m1[0] * together) / determinant,
    (m1[2] - m1[3] * together) / determinant,
    (m1[3] - m1[2] * together) / determinant,
  ];
  // C = M0 − A M1ᵀ, and B its Cholesky root.
  const c00 = Math.max(0.05, 1 - (a[0] * m1[0] + a[1] * m1[1]));
  const c10 = together - (a[2] * m1[0] + a[3] * m1[1]);
  const c11 = Math.max(0.05, 1 - (a[2] * m1[2] + a[3] * m1[3]));
  const b00 = Math.sqrt(c00);
  const b10 = c10 / b00;
  return { a, b: [b00, 0, b10, Math.sqrt(Math.max(0.01, c11 - b10 ** 2))] };
}

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

/** A day's weather. */
export interface WeatherDay {
  on: Day;
  /** °C */
  low: number;
  high: number;
  /** mm */
  rain: number;
}

/**
 * Days of weather from the model: the same for the same stream of random numbers.
 * @param curves the seasonal curves the departures stand about
 */
export function simulateWeather(
  model: WeatherModel,
  curves: { low: Harmonics; high: Harmonics },
  from: Day,
  days: number,
  random: () => number,
): WeatherDay[] {
  const first = dayNumber(from);
  let wet = random() < 0.3;
  let high = gaussian(random);
  let low = gaussian(random);
  const { a, b } = model;
  return Array.from({ length: days }, (_, i) => {
    const on = dayOfNumber(first + i);
    const month = Number(on.slice(5, 7)) - 1;
    wet = random() < (wet ? model.wetAfterWet : model.wetAfterDry)[month]!;
    const rain = wet ? -Math.log(1 - random()) * model.rainMm[month]! : 0;
    const e1 = gaussian(random);
    const e2 = gaussian(random);
    [high, low] = [a[0] * high + a[1] * low + b[0] * e1, a[2] * high + a[3] * low + b[2] * e1 + b[3] * e2];
    const place = yearDay(on);
    const chance = wetShare(model, month);
    // Wet and dry days lie on both sides of the curve, so that their mean is the curve.
    const side = wet ? 1 - chance : -chance;
    const top = curveAt(curves.high, place) + side * model.wetHighC + high * model.highSd[month]!;
    const bottom = curveAt(curves.low, place) + side * model.wetLowC + low * model.lowSd[month]!;
    return { on, low: Math.min(bottom, top - 1), high: top, rain };
  });
}

/** The share of wet days that the chain of a month comes to. @param month 0 for January */
export const wetShare = ({ wetAfterDry, wetAfterWet }: WeatherModel, month: number): number =>
  wetAfterDry[month]! / Math.max(1e-6, 1 + wetAfterDry[month]! - wetAfterWet[month]!);
