import { describe, expect, it } from 'vitest';
import { almanacOf } from '../almanac/index.ts';
import type { MonthlyNormals, Place } from '../place.ts';
import { seasonDayOf, YEAR } from '../seasonYear.ts';
import type { Climate } from './climate.ts';
import { type DateSpread, spreadAt } from './dateSpread.ts';
import { climateOfExtremes, climateOfFrosts, climateOfNormals, frostsOfNormals } from './supposedClimate.ts';

const north = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };
const south = { latitude: -41, longitude: 174, lastFrost: '10-05', firstFrost: '05-01' };
const noFrost: Place = { latitude: 21, longitude: -157, lastFrost: null, firstFrost: null };

describe('a climate of two frost dates alone', () => {
  const climate = climateOfFrosts(north);
  const almanac = almanacOf(climate);

  // By hand: 10 May and 3 October are the days 129 and 275; half the season is 73 days, a fifth of a turn, whose cosine is
  // 0.309; the range is 0.29 · 44.5 = 12.9, so that the mean minimum of the year is 5.5 − 12.9 · 0.309 = 1.5.
  it('has nights that pass 5.5 °C on both dates, and are warmest half way between', () => {
    expect(almanac.low[129]).toBeCloseTo(5.5, 0);
    expect(almanac.low[275]).toBeCloseTo(5.5, 0);
    expect(Math.max(...almanac.low)).toBeCloseTo(1.5 + 12.9, 1);
    expect(Math.min(...almanac.low)).toBeCloseTo(1.5 - 12.9, 1);
    expect(Math.abs(almanac.low.indexOf(Math.max(...almanac.low)) - 202)).toBeLessThanOrEqual(1);
  });

  it('has days twelve degrees warmer than nights all year, and says what it rests on', () => {
    for (const seasonDay of [0, 90, 202, 300])
      expect(almanac.high[seasonDay]! - almanac.low[seasonDay]!).toBeCloseTo(12, 2);
    expect(climate).toMatchObject({ basis: 'frosts', years: [], spreadC: 4 });
    expect(almanacOf(climateOfFrosts(south)).climate.basis).toBe('frosts');
  });

  it('has the same amount of rain in every month', () => {
    // Seventy millimetres, on ten wet days.
    expect(climate.weather.rainMm).toEqual(new Array(12).fill(7));
  });

  it('has a season across the turn of the year in the south', () => {
    const spot = almanacOf(climateOfFrosts(south));
    const days = [seasonDayOf(-41, 2026, '2026-10-05'), seasonDayOf(-41, 2026, '2027-05-01')];
    for (const seasonDay of days) expect(spot.low[seasonDay]).toBeCloseTo(5.5, 0);
    expect(spot.low.indexOf(Math.max(...spot.low))).toBeCloseTo((days[0]! + days[1]!) / 2, -1);
    expect(spot.climate.lastFreeze.spreads[20]!.mean).toBe(days[0]);
    expect(spot.climate.firstFreeze.spreads[20]!.mean).toBe(days[1]);
  });

  it('swings by three degrees at the least, near the equator too', () => {
    const { low } = almanacOf(climateOfFrosts({ ...north, latitude: 2 }));
    expect((Math.max(...low) - Math.min(...low)) / 2).toBeCloseTo(3, 1);
  });
});

/** Nights of a year that is coldest in a month and warmest half a year on, as monthly means. */
const swinging = (mean: number, swing: number, coldestMonth = 0): MonthlyNormals => {
  const low = Array.from(
    { length: 12 },
    (_, m) => mean - swing * Math.cos((2 * Math.PI * (m - coldestMonth)) / 12),
  );
  return { low, high: low.map((one) => one + 8), rain: new Array<number>(12).fill(60) };
};
const at = (climate: Climate, table: 'lastFreeze' | 'firstFreeze', threshold: number): DateSpread =>
  spreadAt(climate[table], threshold);

describe('freezes of a place with typed frosts', () => {
  const normals = swinging(2, 13);
  const climate = climateOfNormals(north, normals);
  const { low } = almanacOf(climate);

  it('stand on the typed days, with a wide spread, in every year', () => {
    expect(climate.basis).toBe('normals');
    expect(at(climate, 'lastFreeze', 0)).toEqual({ mean: 129, sd: 13, share: 1 });
    expect(at(climate, 'firstFreeze', 0)).toEqual({ mean: 275, sd: 13, share: 1 });
  });

  it('stand for other thresholds where nights differ by as much from those days', () => {
    for (const threshold of [-6, -3, 3]) {
      const spring = at(climate, 'lastFreeze', threshold).mean;
      expect(low[spring]!, `${threshold}`).toBeLessThan(low[129]! + threshold);
      expect(low[spring + 1]!, `${threshold}`).toBeGreaterThanOrEqual(low[129]! + threshold);
      const autumn = at(climate, 'firstFreeze', threshold).mean;
      expect(low[autumn]!, `${threshold}`).toBeLessThan(low[275]! + threshold);
      expect(low[autumn - 1]!, `${threshold}`).toBeGreaterThanOrEqual(low[275]! + threshold);
    }
  });
});

describe('freezes that come in some years only', () => {
  // A mild coast: nights from 2 to 12 °C, coldest in mid-January.
  const mild = { latitude: 47, longitude: -123, lastFrost: '03-01', firstFrost: '11-20' };
  const climate = climateOfNormals(mild, swinging(7, 5));
  const { low } = almanacOf(climate);
  const coldest = low.indexOf(Math.min(...low));
  const [last, first] = [59, 323];

  it('are rarer the further the coldest nights are from them, and none where that is four degrees', () => {
    const above = (threshold: number, anchor: number) => low[coldest]! - (low[anchor]! + threshold);
    for (const [table, anchor] of [
      ['lastFreeze', last],
      ['firstFreeze', first],
    ] as const) {
      for (const threshold of [-3, -4]) {
        const share = 1 - above(threshold, anchor) / 4;
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThan(1);
        expect(at(climate, table, threshold).share, `${table} ${threshold}`).toBeCloseTo(share, 2);
        expect(at(climate, table, threshold).sd).toBe(13);
      }
      expect(at(climate, table, -10)).toEqual({ mean: 0, sd: 1, share: 0 });
    }
  });

  it('come the nearer to midwinter, from both sides of the new year', () => {
    const spring = at(climate, 'lastFreeze', -4);
    expect(spring.mean).toBeCloseTo(coldest + (last - coldest) * spring.share, 0);
    const autumn = at(climate, 'firstFreeze', -4);
    expect(autumn.mean).toBeCloseTo(coldest + YEAR + (first - coldest - YEAR) * autumn.share, 0);
    expect(autumn.mean).toBeGreaterThan(first);
  });

  it('come nearer to a midwinter that lies before the new year, too', () => {
    const december = climateOfNormals(mild, swinging(7, 5, 11));
    const nights = almanacOf(december).low;
    const cold = nights.indexOf(Math.min(...nights));
    expect(cold).toBeGreaterThan(330);
    const spring = at(december, 'lastFreeze', -5);
    expect(spring.share).toBeGreaterThan(0);
    expect(spring.share).toBeLessThan(1);
    expect(spring.mean).toBeCloseTo(cold - YEAR + (last - cold + YEAR) * spring.share, 0);
    const autumn = at(december, 'firstFreeze', -3.5);
    expect(autumn.mean).toBeCloseTo(cold + (first - cold) * autumn.share, 0);
  });
});

describe('a place without frosts', () => {
  const climate = climateOfNormals(noFrost, swinging(12, 8));
  const { low } = almanacOf(climate);

  it('has no freeze, and cool nights where its own are 5.5 °C above them', () => {
    for (const threshold of [-10, -0.5, 0]) {
      expect(at(climate, 'lastFreeze', threshold), `${threshold}`).toEqual({ mean: 0, sd: 1, share: 0 });
      expect(at(climate, 'firstFreeze', threshold), `${threshold}`).toEqual({ mean: 0, sd: 1, share: 0 });
    }
    const spring = at(climate, 'lastFreeze', 3).mean;
    expect(low[spring]!).toBeLessThan(8.5);
    expect(low[spring + 1]!).toBeGreaterThanOrEqual(8.5);
    // Nights of 4 °C and more never come so near to freezing.
    expect(at(climateOfNormals(noFrost, swinging(20, 3)), 'lastFreeze', 6).share).toBe(0);
  });
});

describe('nights that stay at or above a threshold', () => {
  const climate = climateOfNormals(north, swinging(6, 9));
  const { low } = almanacOf(climate);

  it('last from the day after the last that is colder to the day before the first', () => {
    const from = spreadAt(climate.nightsFrom, 10);
    expect(from).toMatchObject({ sd: 10, share: 1 });
    expect(low[from.mean]!).toBeLessThan(10);
    expect(low[from.mean + 1]!).toBeGreaterThanOrEqual(10);
    const until = spreadAt(climate.nightsUntil, 10);
    expect(low[until.mean]!).toBeLessThan(10);
    expect(low[until.mean - 1]!).toBeGreaterThanOrEqual(10);
    expect(from.mean).toBeLessThan(until.mean);
  });

  it('are none above the warmest, and last from year to year below the coldest', () => {
    expect(spreadAt(climate.nightsFrom, 16).share).toBe(0);
    const warm = climateOfNormals(noFrost, swinging(20, 3));
    expect(spreadAt(warm.nightsFrom, 15)).toEqual({ mean: -YEAR / 2, sd: 10, share: 1 });
    expect(spreadAt(warm.nightsUntil, 15)).toEqual({ mean: 1.5 * YEAR, sd: 10, share: 1 });
  });
});

describe('frosts that monthly means let one expect', () => {
  it('are the first and the last day of nights above 5.5 °C', () => {
    const normals = swinging(4, 11);
    const frosts = frostsOfNormals(45, normals)!;
    const { low } = almanacOf(climateOfNormals({ ...north, latitude: 45 }, normals));
    const [last, first] = [frosts.lastFrost, frosts.firstFrost].map((day) =>
      seasonDayOf(45, 2023, `2023-${day}`),
    );
    expect(low[last!]!).toBeGreaterThanOrEqual(5.5);
    expect(low[last! - 1]!).toBeLessThan(5.5);
    expect(low[first!]!).toBeLessThan(5.5);
    expect(low[first! - 1]!).toBeGreaterThanOrEqual(5.5);
  });

  it('are none where no month is so cold, nor any so warm', () => {
    expect(frostsOfNormals(21, swinging(20, 3))).toBeNull();
    expect(frostsOfNormals(68, swinging(-8, 10))).toBeNull();
  });
});

it('makes a year of a warmest and a coldest month, and says that it rests on them', () => {
  const climate = climateOfExtremes(north, {
    warmest: { low: 14, high: 26 },
    coldest: { low: -12, high: -3 },
  });
  expect(climate.basis).toBe('extremes');
  const { low, high } = almanacOf(climate);
  expect(Math.abs(Math.max(...low) - 14)).toBeLessThan(0.7);
  expect(Math.abs(Math.min(...high) + 3)).toBeLessThan(0.7);
});
