import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { almanacOf } from '../almanac/index.ts';
import { climateOfNormals, yearSoFar } from '../climate/index.ts';
import { FORECAST_ERROR_C } from '../weather/index.ts';
import { departuresOf, spellsOf } from './departures.ts';

// Invented: a cold inland place.
const climate = climateOfNormals(
  { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' },
  {
    low: [-13.5, -12, -6, 0.2, 5.7, 11.6, 14.6, 13.5, 8.3, 2.7, -2.6, -9.3],
    high: [-4.5, -2.5, 3.8, 12, 19, 24.3, 26.8, 25.6, 21, 13.5, 5.8, -1.6],
    rain: new Array<number>(12).fill(60),
  },
);
const usual = almanacOf(climate);
const TODAY = '2026-04-11';
const until = 100;
/** Days from a season day on that are so much warmer than usual by night and by day. */
const days = (from: number, count: number, lowC: number, highC: number) =>
  Array.from({ length: count }, (_, i) => ({
    on: addDays('2026-01-01', from + i),
    low: usual.low[from + i]! + lowC,
    high: usual.high[from + i]! + highC,
  }));
const departures = (foretold: ReturnType<typeof days> = [], seen = days(0, until, 2, -1)) =>
  departuresOf(climate, yearSoFar(climate.latitude, TODAY, seen, foretold));

describe('by how much a year departs from the usual', () => {
  it('is what was measured, by night and by day', () => {
    const { low, high } = departures();
    for (const seasonDay of [0, 50, 99]) {
      // The station's days are kept in tenths.
      expect(Math.abs(low[seasonDay]! - 2)).toBeLessThan(0.06);
      expect(Math.abs(high[seasonDay]! + 1)).toBeLessThan(0.06);
    }
  });

  it('halves in three days beyond what is known, and ends', () => {
    const { low } = departures();
    expect(low[until]).toBeCloseTo(2 * 0.5 ** (1 / 3), 1);
    expect(low[until + 2]).toBeCloseTo(1, 1);
    expect(low[until + 5]).toBeCloseTo(0.5, 1);
    expect(low[until + 12]).toBeGreaterThan(0);
    expect(low[until + 20]).toBe(0);
    expect(low[364]).toBe(0);
  });

  it('leans on the last ten days, and not on those before', () => {
    const { low } = departures([], [...days(0, 90, -6, 0), ...days(90, 10, 3, 0)]);
    expect(low[until + 2]).toBeCloseTo(1.5, 1);
  });

  it('counts what is foretold by how sure it is: the weight of two estimates is by their variances', () => {
    const { low } = departures(days(until, 8, 4, 0));
    for (const lead of [0, 3, 7]) {
      const error = FORECAST_ERROR_C[Math.min(lead, FORECAST_ERROR_C.length - 1)]!;
      const weight = 4 ** 2 / (4 ** 2 + error ** 2);
      expect(Math.abs(low[until + lead]! - 4 * weight), `${lead}`).toBeLessThan(0.06);
    }
    expect(low[until]!).toBeGreaterThan(low[until + 7]!);
  });

  it('takes a missing day for one as the day before, and the first for a usual one', () => {
    const seen = days(0, until, 2, 2).filter(({ on }) => on !== '2026-01-01' && on !== '2026-03-01');
    const { low } = departures([], seen);
    expect(low[0]).toBe(0);
    expect(low[59]).toBeCloseTo(low[58]!, 6);
  });
});

describe('a spell', () => {
  const spike = (at: number) => Float64Array.from({ length: 365 }, (_, i) => (i === at ? 7 : 0));

  it('is the mean of a measured day with three before and three after it', () => {
    const { low, high } = spellsOf({ low: spike(50), high: spike(60) }, until);
    expect([46, 47, 50, 53, 54].map((day) => low[day])).toEqual([0, 1, 1, 1, 0]);
    expect(high[60]).toBe(1);
  });

  it('is shorter at the ends of what was measured', () => {
    expect(spellsOf({ low: spike(0), high: spike(0) }, until).low[0]).toBe(7 / 4);
    expect(spellsOf({ low: spike(until - 1), high: spike(0) }, until).low[until - 1]).toBe(7 / 4);
  });

  it('leaves what is foretold as it is', () => {
    const { low } = spellsOf({ low: spike(until), high: spike(0) }, until);
    expect(low[until]).toBe(7);
    expect(low[until - 1]).toBe(0);
  });
});
