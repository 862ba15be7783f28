import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../../calendar/index.ts';
import {
  almanacOf,
  climateOfFrosts,
  expectedWarmth,
  type FrostyPlace,
  firstFreezeDay,
  freezeRisk,
  frostDates,
  growingDays,
  growthRate,
  lastFreezeDay,
  type Protection,
  protections,
  seasonYearOf,
  shelters,
  steadyNightShare,
  YEAR,
} from '../index.ts';

const north: FrostyPlace = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };
const south: FrostyPlace = { latitude: -44.5, longitude: 170, lastFrost: '11-08', firstFrost: '04-03' };
const northern = almanacOf(climateOfFrosts(north));
const southern = almanacOf(climateOfFrosts(south));
const latitudes = fc.integer({ min: -60, max: 60 }).filter((latitude) => latitude !== 0);

describe('a season year', () => {
  it('finds every day again by its number', () => {
    fc.assert(
      fc.property(latitudes, fc.integer({ min: 0, max: 3000 }), (latitude, n) => {
        const almanac = latitude < 0 ? southern : northern;
        const day = addDays('2023-01-01', n);
        const year = almanac.seasonYear(day);
        const seasonDay = almanac.seasonDayOf(year, day);
        expect(seasonDay).toBeGreaterThanOrEqual(0);
        expect(seasonDay).toBeLessThan(YEAR);
        // The leap day shares the number of the day before it.
        if (!day.endsWith('02-29')) expect(almanac.day(year, seasonDay)).toBe(day);
      }),
    );
  });

  it('begins at midwinter on both sides of the earth', () => {
    expect(northern.day(2026, 0)).toBe('2026-01-01');
    expect(southern.day(2026, 0)).toBe('2026-07-01');
    expect(seasonYearOf(-40, '2027-03-01')).toBe(2026);
    expect(seasonYearOf(40, '2027-03-01')).toBe(2027);
  });

  it('has its warmest nights in its middle, wherever it is', () => {
    for (const almanac of [northern, southern]) {
      const warmest = almanac.low.indexOf(Math.max(...almanac.low));
      expect(Math.abs(warmest - 182)).toBeLessThan(45);
    }
  });
});

describe('frosts', () => {
  it('stand at their medians', () => {
    expect(frostDates(northern, 2026)).toEqual({ lastFrost: '2026-05-10', firstFrost: '2026-10-03' });
    expect(frostDates(southern, 2026)).toEqual({ lastFrost: '2026-11-08', firstFrost: '2027-04-03' });
    expect(growingDays(northern)).toBe(daysBetween('2026-05-10', '2026-10-03'));
  });

  it('lie later in spring and earlier in autumn for who dares less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        fc.double({ min: 0.02, max: 0.98, noNaN: true }),
        fc.constantFrom(0, -2.2, -4.4),
        (a, b, at) => {
          const [less, more] = [Math.min(a, b), Math.max(a, b)];
          expect(lastFreezeDay(northern, 2026, at, less)! >= lastFreezeDay(northern, 2026, at, more)!).toBe(
            true,
          );
          expect(firstFreezeDay(northern, 2026, at, less)! <= firstFreezeDay(northern, 2026, at, more)!).toBe(
            true,
          );
        },
      ),
    );
  });

  it('come in as many years after the day of a risk as the risk says', () => {
    for (const risk of [0.1, 0.25, 0.5, 0.9]) {
      const day = lastFreezeDay(northern, 2026, 0, risk)!;
      expect(freezeRisk(northern, day)).toBeGreaterThan(risk - 0.06);
      expect(freezeRisk(northern, day)).toBeLessThan(risk + 0.06);
    }
  });

  it('are certain at midwinter and hardly ever at midsummer', () => {
    for (const [almanac, winter, summer] of [
      [northern, '2026-01-15', '2026-07-20'],
      [southern, '2026-07-15', '2027-01-20'],
    ] as const) {
      expect(freezeRisk(almanac, winter)).toBeGreaterThan(0.99);
      expect(freezeRisk(almanac, summer)).toBeLessThan(0.01);
    }
  });
});

describe('a spot in the garden', () => {
  it('has its frosts later the colder it is, its nights steady later, and its soil colder', () => {
    const offsets = [-3, -1.5, 0, 1.5, 3].map((offset) => almanacOf(northern.climate, { offsetC: offset }));
    for (const [i, warmer] of offsets.slice(1).entries()) {
      const colder = offsets[i]!;
      expect(frostDates(warmer, 2026).lastFrost! < frostDates(colder, 2026).lastFrost!).toBe(true);
      expect(frostDates(warmer, 2026).firstFrost! > frostDates(colder, 2026).firstFrost!).toBe(true);
      expect(steadyNightShare(warmer, '2026-06-05', 10)).toBeGreaterThanOrEqual(
        steadyNightShare(colder, '2026-06-05', 10),
      );
      expect(warmer.soil(50)[140]!).toBeGreaterThan(colder.soil(50)[140]!);
    }
  });

  it('is made once and then looked up', () => {
    const hollow = { offsetC: -1 };
    expect(almanacOf(northern.climate, hollow)).toBe(almanacOf(northern.climate, { ...hollow }));
    expect(northern.soil(30)).toBe(northern.soil(30));
    const warmth = { base: 5, cap: 26, usual: 17 };
    expect(northern.growth(warmth)).toBe(northern.growth({ ...warmth }));
  });
});

describe('protection', () => {
  const under = (protection: Protection) => almanacOf(northern.climate, { protection });

  it('lies on the soil as film alone: under cloth, tunnels and hoop houses it is bare', () => {
    const bare = protections.filter((kind) => shelters[kind].soil === 'bare');
    expect(bare).toEqual(['none', 'cloth', 'tunnel', 'hoopHouse']);
    expect(shelters.film.soil).toBe('film');
  });

  it('keeps frost off and nights warm by what it is said to, and by no more', () => {
    for (const kind of protections) {
      const { frostC, nightsC, meanC } = shelters[kind];
      expect(under(kind).lastFreeze(0)).toEqual(northern.lastFreeze(-frostC));
      expect(under(kind).firstFreeze(-1)).toEqual(northern.firstFreeze(-1 - frostC));
      expect(under(kind).nightsFrom(10)).toEqual(northern.nightsFrom(10 - nightsC));
      expect(under(kind).nightsUntil(10)).toEqual(northern.nightsUntil(10 - nightsC));
      expect(under(kind).mean[150]! - northern.mean[150]!).toBeCloseTo(meanC, 9);
      expect(under(kind).low[150]! - northern.low[150]!).toBeCloseTo(nightsC, 9);
    }
    expect(under('none')).toBe(northern);
  });

  it('of black film warms the soil alone', () => {
    expect(under('film').soil(50)).toEqual(northern.soil(50, 'film'));
    expect(under('film').soil(50)[130]!).toBeGreaterThan(northern.soil(50)[130]!);
    expect(under('film').low).toEqual(northern.low);
  });
});

describe('warmth', () => {
  it('only grows through the year, and grows less above a higher base', () => {
    const low = expectedWarmth(northern, 4);
    const high = expectedWarmth(northern, 10);
    for (let seasonDay = 1; seasonDay <= YEAR; seasonDay++) {
      expect(low[seasonDay]! >= low[seasonDay - 1]!).toBe(true);
      expect(low[seasonDay]! >= high[seasonDay]!).toBe(true);
    }
  });

  it('brings a day of growth on a day as warm as is usual, less in short days, none in cold or dark', () => {
    expect(growthRate(1, 12)).toBeCloseTo(1, 10);
    expect(growthRate(1, 11)).toBeCloseTo(1, 10);
    expect(growthRate(1, 9.5)).toBeCloseTo(0.5, 10);
    expect(growthRate(1, 8)).toBe(0);
    expect(growthRate(0, 12)).toBe(0);
  });

  it('brings less and less the warmer it is, and never two days of growth in one', () => {
    const rates = [0, 0.25, 0.5, 1, 1.5, 2, 4, 100].map((warmth) => growthRate(warmth, 12));
    for (const [i, rate] of rates.slice(1).entries()) expect(rate).toBeGreaterThan(rates[i]!);
    expect(rates[2]! - rates[1]!).toBeGreaterThan(rates[4]! - rates[3]!);
    expect(rates.at(-1)!).toBeLessThan(2);
  });

  it('adds up growth from midwinter on, over three years', () => {
    const sums = northern.growth({ base: 5, cap: 26, usual: 17 });
    expect(sums.length).toBe(3 * YEAR + 1);
    for (let seasonDay = 1; seasonDay <= 3 * YEAR; seasonDay++)
      expect(sums[seasonDay]! >= sums[seasonDay - 1]!).toBe(true);
    expect(sums[2 * YEAR]! - sums[YEAR]!).toBeCloseTo(sums[YEAR]!, 6);
  });

  it('follows the air into the soil, later the deeper', () => {
    const at = (depth: number) => northern.soil(depth);
    const warmest = (depth: number) => at(depth).indexOf(Math.max(...at(depth)));
    expect(warmest(300) >= warmest(50)).toBe(true);
    const swing = (depth: number) => Math.max(...at(depth)) - Math.min(...at(depth));
    expect(swing(300)).toBeLessThan(swing(50));
  });
});
