import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import { seeded } from '../../maths/index.ts';
import type { StationRecord } from '../record/index.ts';
import { fitWeather } from './fitWeather.ts';
import { memory, memoryOf } from './memory.ts';
import { simulateWeather, type WeatherDay } from './simulateWeather.ts';
import { type WeatherModel, wetShare } from './weatherModel.ts';
import { weatherOfNormals } from './weatherOfNormals.ts';

/*
 * Richardson 1981: the residuals of one day are A times those of the day before and B times fresh noise, where
 * A = M1 M0⁻¹ and B Bᵀ = M0 − A M1ᵀ, M0 and M1 being the correlations of one day and of two in a row.
 */
type Pair = [number, number, number, number];
const times = ([a, b, c, d]: Pair, [e, f, g, h]: Pair): Pair => [
  a * e + b * g,
  a * f + b * h,
  c * e + d * g,
  c * f + d * h,
];
const turned = ([a, b, c, d]: Pair): Pair => [a, c, b, d];

describe('what a day remembers of the one before', () => {
  it.each<[number, Pair]>([
    [0.63, [0.62, 0.44, 0.48, 0.67]],
    [0.3, [0.5, 0.2, 0.1, 0.6]],
    [0, [0.4, 0, 0, 0.7]],
  ])('solves the equations of the two correlations, %j and %j', (together, m1) => {
    const { a, b } = memoryOf(together, m1);
    const m0: Pair = [1, together, together, 1];
    for (const [i, value] of times(a, m0).entries()) expect(value).toBeCloseTo(m1[i]!, 10);
    const left = times(a, turned(m1));
    for (const [i, value] of times(b, turned(b)).entries()) expect(value).toBeCloseTo(m0[i]! - left[i]!, 10);
    expect(b[1]).toBe(0);
  });

  it('leaves some noise, however much alike the days are', () => {
    const { a, b } = memoryOf(0.95, [1, 0.95, 0.95, 1]);
    expect([...a, ...b].every(Number.isFinite)).toBe(true);
    expect(b[0]).toBeCloseTo(Math.sqrt(0.05), 10);
    expect(b[3]).toBeGreaterThanOrEqual(0.1);
  });

  it('is found again in days that it has made, gaps or not', () => {
    const model = { ...weatherOfNormals(new Array<number>(12).fill(0), 4), ...flat(0, 0) };
    const days = simulateWeather(
      { ...model, highSd: ones, lowSd: ones },
      level(0, 10),
      '1900-01-01',
      36_500,
      seeded(3),
    );
    const high = Float64Array.from(days, (day) => day.high - 10);
    const low = Float64Array.from(days, (day) => day.low);
    const found = memory(high, low);
    for (const [i, value] of found.a.entries()) expect(Math.abs(value - model.a[i]!)).toBeLessThan(0.03);
    for (const [i, value] of found.b.entries()) expect(Math.abs(value - model.b[i]!)).toBeLessThan(0.03);
    for (let i = 0; i < high.length; i += 7) high[i] = Number.NaN;
    const withGaps = memory(high, low);
    for (const [i, value] of withGaps.a.entries()) expect(Math.abs(value - model.a[i]!)).toBeLessThan(0.04);
  });

  it('is nothing where nothing varies', () => {
    const none = memory(new Float64Array(50), new Float64Array(50));
    expect(none.a.map(Math.abs)).toEqual([0, 0, 0, 0]);
    expect(none.b).toEqual([1, 0, 0, 1]);
  });
});

const ones = new Array<number>(12).fill(1);
const zeros = new Array<number>(12).fill(0);
const flat = (wetHighC: number, wetLowC: number) => ({ wetHighC, wetLowC });
/** Curves that are level all year, °C. */
const level = (low: number, high: number) => ({ low: [low, 0, 0], high: [high, 0, 0] });
/** A model whose temperatures do not vary by themselves. */
const still = (over: Partial<WeatherModel>): WeatherModel => ({
  ...weatherOfNormals(new Array<number>(12).fill(60), 4),
  ...{ highSd: zeros, lowSd: zeros },
  ...over,
});
const simulated = (model: WeatherModel, curves = level(5, 15), days = 365, seed = 1) =>
  simulateWeather(model, curves, '2026-01-01', days, seeded(seed));
const meanOf = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('days that are simulated', () => {
  it('follow one another from the first', () => {
    const days = simulated(still({}), level(5, 15), 60);
    expect(days.map(({ on }) => on)).toEqual(Array.from({ length: 60 }, (_, i) => addDays('2026-01-01', i)));
  });

  it('are dry where it never rains, and stand on their curves', () => {
    const days = simulated(still({ wetAfterDry: zeros, wetAfterWet: zeros, ...flat(-3, 2) }));
    for (const { low, high, rain } of days) expect([low, high, rain]).toEqual([5, 15, 0]);
  });

  it('are wet where it always rains, by as much as the month has, varying exponentially', () => {
    const rainMm = Array.from({ length: 12 }, (_, m) => 2 + m);
    const days = simulated(
      still({ wetAfterDry: ones, wetAfterWet: ones, rainMm, ...flat(-3, 2) }),
      level(5, 15),
      36_500,
    );
    for (const month of ['01', '07', '12']) {
      const rain = days.filter(({ on }) => on.slice(5, 7) === month).map((day) => day.rain);
      const mean = 2 + Number(month) - 1;
      expect(Math.abs(meanOf(rain) / mean - 1), month).toBeLessThan(0.06);
      // The standard deviation of an exponential is its mean.
      const sd = Math.sqrt(meanOf(rain.map((one) => (one - mean) ** 2)));
      expect(Math.abs(sd / mean - 1), month).toBeLessThan(0.1);
      expect(Math.min(...rain)).toBeGreaterThan(0);
    }
    expect(days.every(({ high }) => Math.abs(high - 15) < 1e-9)).toBe(true);
  });

  it('are wet as often as the chain of the month comes to, and stand apart by what the model says', () => {
    const chain = {
      wetAfterDry: new Array<number>(12).fill(0.2),
      wetAfterWet: new Array<number>(12).fill(0.6),
    };
    const days = simulated(still({ ...chain, ...flat(-6, 3) }), level(5, 15), 36_500);
    const wet = days.filter(({ rain }) => rain > 0);
    // A third: 0.2 / (1 + 0.2 − 0.6).
    expect(wetShare(still(chain), 0)).toBeCloseTo(1 / 3, 10);
    expect(Math.abs(wet.length / days.length - 1 / 3)).toBeLessThan(0.02);
    const again = days.filter((_, i) => i > 0 && days[i - 1]!.rain > 0);
    expect(Math.abs(again.filter(({ rain }) => rain > 0).length / again.length - 0.6)).toBeLessThan(0.02);
    const dry = days.find(({ rain }) => rain === 0)!;
    // A wet day two thirds of the shift to one side, a dry one a third to the other: the mean is the curve.
    expect(wet[0]!.high).toBeCloseTo(15 - 6 * (2 / 3), 10);
    expect(wet[0]!.low).toBeCloseTo(5 + 3 * (2 / 3), 10);
    expect(dry.high).toBeCloseTo(15 + 6 / 3, 10);
    expect(dry.low).toBeCloseTo(5 - 3 / 3, 10);
    expect(meanOf(days.map(({ high }) => high))).toBeCloseTo(15, 0);
  });

  it('go by the chances of their own month', () => {
    const only = (month: number) => Array.from({ length: 12 }, (_, m) => (m === month ? 1 : 0));
    const days = simulated(still({ wetAfterDry: only(6), wetAfterWet: only(6) }));
    const wet = days.filter(({ rain }) => rain > 0).map(({ on }) => on.slice(5, 7));
    expect(new Set(wet)).toEqual(new Set(['07']));
    expect(wet).toHaveLength(31);
  });

  it('vary by the month’s own spread about the curve, and never have a night within a degree of the day', () => {
    const highSd = Array.from({ length: 12 }, (_, m) => (m === 0 ? 5 : 2));
    const dry = { wetAfterDry: zeros, wetAfterWet: zeros };
    const days = simulated(still({ ...dry, highSd, lowSd: ones }), level(-20, 15), 36_500);
    const sdIn = (month: string) => {
      const of = days.filter(({ on }) => on.slice(5, 7) === month);
      return Math.sqrt(meanOf(of.map(({ high }) => (high - 15) ** 2)));
    };
    expect(Math.abs(sdIn('01') / 5 - 1)).toBeLessThan(0.1);
    expect(Math.abs(sdIn('07') / 2 - 1)).toBeLessThan(0.1);
    for (const { low, high } of simulated(still({ ...dry, highSd: ones, lowSd: ones }), level(15, 5)))
      expect(high - low).toBeGreaterThanOrEqual(1 - 1e-9);
  });

  it('are the same for the same numbers, and others for others', () => {
    expect(simulated(still({ highSd: ones }))).toEqual(simulated(still({ highSd: ones })));
    expect(simulated(still({ highSd: ones }))).not.toEqual(
      simulated(still({ highSd: ones }), level(5, 15), 365, 2),
    );
  });
});

describe('a model fitted to a record', () => {
  const recordOf = (
    days: Pick<WeatherDay, 'low' | 'high' | 'rain'>[],
    first = '2026-01-01',
  ): StationRecord => ({
    first,
    low: Float32Array.from(days, ({ low }) => low),
    high: Float32Array.from(days, ({ high }) => high),
    rain: Float32Array.from(days, ({ rain }) => rain),
  });
  const curves = level(0, 10);

  it('counts wet days after dry and after wet ones, and the rain of the wet', () => {
    // Dry, wet, wet, unknown, wet, dry (0.25 mm is none), wet, dry: 0.254 mm is a wet day.
    const rain = [0, 1, 2, Number.NaN, 0.254, 0.25, 3, 0];
    const { model } = fitWeather(
      recordOf(rain.map((mm) => ({ low: 0, high: 10, rain: mm }))),
      curves.low,
      curves.high,
    );
    expect(model.wetAfterDry[0]).toBe(1);
    expect(model.wetAfterWet[0]).toBeCloseTo(1 / 3, 10);
    expect(model.rainMm[0]).toBeCloseTo((1 + 2 + 0.254 + 3) / 4, 5);
    // What no day tells is supposed, from memory.
    expect([model.wetAfterDry[5], model.wetAfterWet[5], model.rainMm[5], model.highSd[5]]).toEqual([
      0.25, 0.45, 5, 4,
    ]);
  });

  it('measures spreads about the curves, month by month, and by how much wet days differ', () => {
    const days = [
      { low: 2, high: 13, rain: 0 },
      { low: -2, high: 9, rain: 5 },
      { low: 4, high: 7, rain: 0 },
      { low: Number.NaN, high: 30, rain: 5 },
    ];
    const { model, spreadC } = fitWeather(recordOf(days), curves.low, curves.high);
    expect(model.highSd[0]).toBeCloseTo(Math.sqrt((9 + 1 + 9 + 400) / 4), 5);
    expect(model.lowSd[0]).toBeCloseTo(Math.sqrt((4 + 4 + 16) / 3), 5);
    // The day without a night is left out: wet −1 and −2, dry 0 and 3.
    expect(model.wetHighC).toBeCloseTo(-1, 5);
    expect(model.wetLowC).toBeCloseTo(-5, 5);
    expect(spreadC).toBeCloseTo(Math.sqrt((2.5 ** 2 + 1.5 ** 2 + 0.5 ** 2) / 3), 5);
  });

  it('takes a record that hardly varies for a faulty one, and one of dry days alone for one without shifts', () => {
    const { model } = fitWeather(
      recordOf(new Array(20).fill({ low: 0, high: 10, rain: 0 })),
      curves.low,
      curves.high,
    );
    expect([model.highSd[0], model.lowSd[0], model.wetHighC, model.wetLowC]).toEqual([0.5, 0.5, 0, 0]);
    const none = fitWeather(
      recordOf(new Array(5).fill({ low: Number.NaN, high: 10, rain: 1 })),
      curves.low,
      curves.high,
    );
    expect(none.spreadC).toBe(4);
  });

  it('is the model that made the record, over ninety years', () => {
    const model: WeatherModel = {
      ...weatherOfNormals(
        Array.from({ length: 12 }, (_, m) => 40 + 5 * m),
        4,
      ),
      wetAfterDry: Array.from({ length: 12 }, (_, m) => 0.15 + 0.02 * m),
      wetAfterWet: Array.from({ length: 12 }, (_, m) => 0.6 - 0.02 * m),
      highSd: Array.from({ length: 12 }, (_, m) => 6 - 0.3 * m),
      lowSd: Array.from({ length: 12 }, (_, m) => 2 + 0.2 * m),
      ...flat(-4, 1),
    };
    const wide = level(-30, 20);
    const days = simulateWeather(
      model,
      wide,
      '1900-01-01',
      daysBetween('1900-01-01', '1990-01-01'),
      seeded(7),
    );
    const { model: found } = fitWeather(recordOf(days, '1900-01-01'), wide.low, wide.high);
    for (let m = 0; m < 12; m++) {
      expect(Math.abs(found.wetAfterDry[m]! - model.wetAfterDry[m]!), `${m}`).toBeLessThan(0.04);
      // A twentieth of the wet days has less rain than a wet day must have.
      expect(Math.abs(found.wetAfterWet[m]! - 0.95 * model.wetAfterWet[m]!), `${m}`).toBeLessThan(0.06);
      expect(Math.abs(found.rainMm[m]! / model.rainMm[m]! - 1), `${m}`).toBeLessThan(0.15);
    }
    expect(Math.abs(found.wetHighC + 4)).toBeLessThan(0.3);
    expect(Math.abs(found.wetLowC - 1)).toBeLessThan(0.3);
    // The seasons follow the calendar: January varies most by day, December by night.
    expect(found.highSd[0]! / found.highSd[11]!).toBeGreaterThan(1.5);
    expect(found.lowSd[11]! / found.lowSd[0]!).toBeGreaterThan(1.4);
  });
});

describe('a model of monthly sums', () => {
  it('rains on every third day, a tenth of the month’s sum each time, and a little in a month without', () => {
    const rain = [0, 30, 88, ...new Array<number>(9).fill(50)];
    const model = weatherOfNormals(rain, 4);
    expect(model.rainMm.slice(0, 3)).toEqual([0.5, 3, 8.8]);
    expect(wetShare(model, 0)).toBeCloseTo(1 / 3, 2);
    expect([model.highSd[0], model.lowSd[11]]).toEqual([5, 4.4]);
    expect([model.wetAfterDry.length, model.highSd.length, model.rainMm.length]).toEqual([12, 12, 12]);
  });
});
