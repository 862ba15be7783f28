import { describe, expect, it } from 'vitest';
import { addDays, type Day } from '../../calendar/index.ts';
import { gaussian, seeded } from '../../maths/index.ts';
import { almanacOf } from '../almanac/almanac.ts';
import { SEED_DEPTH_MM } from '../almanac/soilTemperature.ts';
import type { Climate } from '../climate/climate.ts';
import { earlierQuantile, laterQuantile, shareBy } from '../climate/dateSpread.ts';
import { climateOfNormals } from '../climate/supposedClimate.ts';
import { daysOfSeason, yearSoFar } from '../climate/yearSoFar.ts';
import { calendarDay, YEAR } from '../seasonYear.ts';
import { curveAt } from '../weather/curve.ts';
import { stationWeather } from '../weather/station.ts';
import { aheadOn, readingOn, soilOn, yearWarmth } from './ahead.ts';
import { almanacOfYear, usualYear } from './almanacOfYear.ts';
import { departuresOf } from './departures.ts';

// Invented: a cold inland place.
const climate = climateOfNormals(
  { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' },
  {
    low: [-13.5, -12, -6, 0.2, 5.7, 11.6, 14.6, 13.5, 8.3, 2.7, -2.6, -9.3],
    high: [-4.5, -2.5, 3.8, 12, 19, 24.3, 26.8, 25.6, 21, 13.5, 5.8, -1.6],
    rain: [30, 26, 48, 68, 80, 98, 88, 85, 78, 66, 54, 37],
  },
);
const usual = almanacOf(climate);
const cool = { base: 4, cap: 24, usual: 15 };

/** Days that differ from the usual by as much as is said. */
const days = (from: Day, count: number, offC: (n: number) => number) =>
  Array.from({ length: count }, (_, n) => {
    const on = addDays(from, n);
    const seasonDay = calendarDay(climate.latitude, usual.seasonDayOf(2026, on));
    return {
      on,
      low: curveAt(climate.low, seasonDay) + offC(n),
      high: curveAt(climate.high, seasonDay) + offC(n),
    };
  });

/** The climate on 20 April 2026 after days from New Year that differ so. */
const on = (
  today: Day,
  offC: (n: number) => number,
  more: Partial<NonNullable<Climate['thisYear']>> = {},
) => {
  const seen = days('2026-01-01', usual.seasonDayOf(2026, today), offC);
  return almanacOf({ ...climate, thisYear: { ...yearSoFar(climate.latitude, today, seen), ...more } });
};
const APRIL_20 = usual.seasonDayOf(2026, '2026-04-20');

describe('a year like any other', () => {
  const year = almanacOfYear(
    on('2026-04-20', () => 0),
    2026,
  );

  it('has the soil, the growth and the dates of the usual year', () => {
    for (const seasonDay of [20, 100, APRIL_20, 150, 250]) {
      expect(year.soil(SEED_DEPTH_MM)[seasonDay]).toBeCloseTo(usual.soil(SEED_DEPTH_MM)[seasonDay]!, 1);
      expect(Math.abs(year.growth(cool)[seasonDay]! - usual.growth(cool)[seasonDay]!)).toBeLessThan(0.5);
    }
    expect(year.lastFreeze(0).mean).toBeCloseTo(usual.lastFreeze(0).mean, 1);
    expect(year.firstFreeze(0)).toEqual(usual.firstFreeze(0));
  });

  it('is neither ahead nor behind but for what a mean of days hides', () => {
    // The usual year counts what single warm days bring while the mean is below the base: a year without any has less.
    const ahead = aheadOn(on('2026-07-01', () => 0))!;
    expect(Math.abs(ahead.days)).toBeLessThanOrEqual(4);
  });
});

describe('a warm spring', () => {
  const spot = on('2026-04-20', () => 4);
  const year = almanacOfYear(spot, 2026);

  it('warms the soil by nearly as much, and is forgotten within a month', () => {
    const warmer = (seasonDay: number) =>
      year.soil(SEED_DEPTH_MM)[seasonDay]! - usual.soil(SEED_DEPTH_MM)[seasonDay]!;
    expect(warmer(APRIL_20 - 1)).toBeGreaterThan(2.5);
    expect(warmer(APRIL_20 + 7)).toBeGreaterThan(0.3);
    expect(warmer(APRIL_20 + 35)).toBeLessThan(0.2);
  });

  it('brings growth on, which is kept', () => {
    const gained = (seasonDay: number) => year.growth(cool)[seasonDay]! - usual.growth(cool)[seasonDay]!;
    expect(gained(APRIL_20)).toBeGreaterThan(5);
    expect(gained(YEAR)).toBeGreaterThanOrEqual(gained(APRIL_20));
  });

  it('is days ahead, by the day on which a usual year is as warm', () => {
    const { days: ahead, sum, usual: by } = aheadOn(spot)!;
    expect(sum).toBeGreaterThan(by);
    const { usual: sums } = yearWarmth(spot)!;
    expect(sums[APRIL_20 + ahead]!).toBeGreaterThanOrEqual(sum);
    expect(sums[APRIL_20 + ahead - 1]!).toBeLessThan(sum);
    expect(ahead).toBeGreaterThan(5);
  });

  it('has frost past sooner only as far as it will last, and never before today', () => {
    const late = on('2026-05-08', () => 4);
    const frost = almanacOfYear(late, 2026).lastFreeze(0);
    expect(frost.mean).toBeLessThan(usual.lastFreeze(0).mean);
    expect(frost.mean).toBeGreaterThanOrEqual(usual.seasonDayOf(2026, '2026-05-08'));
    expect(year.lastFreeze(0).mean).toBeCloseTo(usual.lastFreeze(0).mean, 0);
  });

  it('moves nothing of other years, but for what grows through the winter into it', () => {
    for (const other of [2024, 2027]) expect(almanacOfYear(spot, other)).toBe(usualYear(spot));
    const before = almanacOfYear(spot, 2025).growth(cool);
    expect(before[YEAR]).toBeCloseTo(usual.growth(cool)[YEAR]!, 6);
    const gain = (sums: Float64Array, from: number) => sums[from + APRIL_20]! - sums[from]!;
    expect(gain(before, YEAR)).toBeCloseTo(gain(year.growth(cool), 0), 6);
    expect(almanacOfYear(spot, 2025).soil(SEED_DEPTH_MM)).toBe(spot.soil(SEED_DEPTH_MM));
  });

  it('is the same however the almanac is asked for', () => {
    expect(almanacOfYear(year, 2026)).toBe(year);
    expect(almanacOfYear(year, 2027)).toBe(spot);
  });
});

describe('what is foretold', () => {
  const today = '2026-04-20';
  const usualDays = days('2026-01-01', APRIL_20, () => 0);

  it('counts by how much surer it is than the climate, the less the farther ahead', () => {
    const { low } = departuresOf(
      climate,
      yearSoFar(
        44.5,
        today,
        usualDays,
        days(today, 8, () => 6),
      ),
    );
    // The weight of an estimate is the other's variance over the sum of both; errors of forecasts as the station has them.
    const spread = climate.spreadC ** 2;
    expect(low[APRIL_20]).toBeCloseTo((6 * spread) / (spread + 1.2 ** 2), 1);
    expect(low[APRIL_20 + 6]).toBeCloseTo((6 * spread) / (spread + 3.3 ** 2), 1);
    for (let n = 1; n < 7; n++) expect(low[APRIL_20 + n]!).toBeLessThan(low[APRIL_20 + n - 1]!);
    expect(low[APRIL_20 - 1]).toBeCloseTo(0, 1);
  });

  it('is half as much three days after it ends', () => {
    const { low } = departuresOf(
      climate,
      yearSoFar(
        44.5,
        today,
        days('2026-01-01', APRIL_20, () => 6),
      ),
    );
    expect(low[APRIL_20 + 3]! / low[APRIL_20]!).toBeCloseTo(0.5, 2);
    expect(low[APRIL_20]).toBeCloseTo(6 * 0.5 ** (1 / 3), 1);
  });

  it('and a day that is missing was as the day before it', () => {
    const seen = days('2026-01-01', 20, (n) => (n === 9 ? 5 : 0)).filter((_, n) => n !== 10);
    const { low } = departuresOf(climate, yearSoFar(44.5, today, seen));
    for (const [n, off] of [
      [9, 5],
      [10, 5],
      [11, 0],
    ] as const)
      expect(low[n]).toBeCloseTo(off, 0);
  });
});

it('is behind after a cold spring', () => {
  expect(aheadOn(on('2026-05-10', () => -3))!.days).toBeLessThan(-4);
});

it('says nothing of a year of which nothing is known, or too little', () => {
  expect(aheadOn(usual)).toBeNull();
  expect(aheadOn(on('2026-01-01', () => 0))).toBeNull();
  expect(aheadOn(on('2026-02-01', () => 2))).toBeNull();
  expect(almanacOfYear(usual, 2026)).toBe(usual);
});

it('neither gains nor loses over many years', () => {
  let growth = 0;
  let soil = 0;
  const years = 60;
  const growthOf = (almanac: typeof usual) => almanac.growth(cool)[270]! - almanac.growth(cool)[100]!;
  for (let n = 0; n < years; n++) {
    const seen = stationWeather(climate, `station ${n}`, '2026-01-01', '2026-09-30');
    const year = almanacOfYear(
      almanacOf({ ...climate, thisYear: yearSoFar(climate.latitude, '2026-10-01', seen) }),
      2026,
    );
    growth += growthOf(year) / growthOf(usual) / years;
    for (let seasonDay = 100; seasonDay < 260; seasonDay++)
      soil += (year.soil(SEED_DEPTH_MM)[seasonDay]! - usual.soil(SEED_DEPTH_MM)[seasonDay]!) / 160 / years;
  }
  expect(Math.abs(growth - 1)).toBeLessThan(0.03);
  expect(Math.abs(soil)).toBeLessThan(0.4);
});

describe('nights and frosts of the year', () => {
  const mildUntil = (today: Day) =>
    almanacOfYear(
      on(today, () => 3),
      2026,
    );

  it('has warm nights from the first week that had them', () => {
    const year = almanacOfYear(
      on('2026-06-30', (n) => (n >= 120 ? 6 : 0)),
      2026,
    );
    // Seven nights whose mean reaches 10 °C, none of them more than 3 °C short.
    const lows = days('2026-01-01', 180, (n) => (n >= 120 ? 6 : 0)).map(
      ({ low }) => Math.round(low * 10) / 10,
    );
    const first = lows.findIndex((_, n) => {
      const week = lows.slice(n, n + 7);
      return week.reduce((sum, low) => sum + low, 0) >= 70 && Math.min(...week) >= 7;
    });
    expect(Math.ceil(earlierQuantile(year.nightsFrom(10), 0.75)!)).toBe(first);
    expect(first).toBeLessThan(earlierQuantile(usual.nightsFrom(10), 0.5)!);
  });

  it('knows that nights which have not come to stay come later', () => {
    const today = '2026-06-20';
    const cold = almanacOfYear(
      on(today, () => -4),
      2026,
    );
    const seasonDay = usual.seasonDayOf(2026, today);
    expect(earlierQuantile(cold.nightsFrom(10), 0.5)!).toBeGreaterThan(seasonDay - 7);
    expect(shareBy(cold.nightsFrom(10), seasonDay - 7)).toBe(0);
  });

  it('ends with the first frost that came', () => {
    const autumn = on('2026-10-20', (n) => (n === 260 ? -12 : 2));
    const year = almanacOfYear(autumn, 2026);
    expect(Math.ceil(earlierQuantile(year.firstFreeze(0), 0.5)!)).toBe(260);
    // A wall keeps it off.
    const wall = almanacOfYear(almanacOf(autumn.climate, { offsetC: 6 }), 2026);
    expect(earlierQuantile(wall.firstFreeze(0), 0.5)!).toBeGreaterThan(260);
  });

  it('goes on while no frost has come', () => {
    const today = '2026-10-20';
    const seasonDay = usual.seasonDayOf(2026, today);
    const median = earlierQuantile(mildUntil(today).firstFreeze(0), 0.5)!;
    expect(earlierQuantile(usual.firstFreeze(0), 0.5)!).toBeLessThan(seasonDay);
    expect(median).toBeGreaterThanOrEqual(seasonDay);
    expect(median).toBeLessThan(seasonDay + 30);
  });

  it('leaves a spring that is past as it usually is', () => {
    expect(laterQuantile(mildUntil('2026-08-01').lastFreeze(0), 0.25)).toBe(
      laterQuantile(usual.lastFreeze(0), 0.25),
    );
  });
});

describe('a thermometer in the soil', () => {
  const read = [
    { bedId: 'a', seasonDay: 100, soilC: 15 },
    { bedId: 'a', seasonDay: 108, soilC: 9 },
    { bedId: 'b', seasonDay: 100, soilC: 2 },
  ];
  const spot = on('2026-04-20', () => 0, { soil: read });
  const of = (bedId: string) => almanacOf(spot.climate, { bedId });
  const plain = almanacOfYear(of('c'), 2026).soil(SEED_DEPTH_MM);
  const soil = almanacOfYear(of('a'), 2026).soil(SEED_DEPTH_MM);

  it('overrules the model for its bed for five days, then less and less', () => {
    expect(soil[99]).toBe(plain[99]);
    expect(soil[100]).toBeCloseTo(15, 6);
    const off = 15 - plain[100]!;
    for (const seasonDay of [101, 105]) expect(soil[seasonDay]! - plain[seasonDay]!).toBeCloseTo(off, 6);
    expect(soil[107]! - plain[107]!).toBeLessThan(off - 0.5);
  });

  it('goes by the last reading, and by the model again after two weeks', () => {
    expect(soil[108]).toBeCloseTo(9, 6);
    expect(soil[108 + 13]).not.toBe(plain[108 + 13]);
    expect(soil[108 + 14]).toBe(plain[108 + 14]);
  });

  it('is of its own bed alone', () => {
    expect(almanacOfYear(of('b'), 2026).soil(SEED_DEPTH_MM)[100]).toBeCloseTo(2, 6);
    expect(of('c')).toBe(almanacOf(spot.climate));
    expect(almanacOfYear(of('a'), 2027).soil(SEED_DEPTH_MM)).not.toBe(soil);
  });

  it('is told with its day for as long as soil goes by it', () => {
    expect(readingOn(of('a'), '2026-04-12')).toMatchObject({ on: '2026-04-11', soilC: 15 });
    expect(readingOn(of('a'), '2026-04-30')).toMatchObject({ on: '2026-04-19', soilC: 9 });
    expect(readingOn(of('a'), '2026-05-03')).toBeNull();
    expect(readingOn(of('c'), '2026-04-12')).toBeNull();
    expect(readingOn(usual, '2026-04-12')).toBeNull();
    expect(soilOn(of('a'), '2026-04-19')).toBeCloseTo(9, 6);
  });
});

describe('what is known of a year', () => {
  const random = seeded(3);
  const day = (on: Day) => ({ on, low: gaussian(random), high: 10 + gaussian(random) });

  it('is its own days before today, and what is foretold from there on without a gap', () => {
    const so = yearSoFar(
      44,
      '2026-01-04',
      ['2025-12-31', '2026-01-01', '2026-01-03', '2026-01-04'].map(day),
      ['2026-01-04', '2026-01-05', '2026-01-07'].map(day),
    );
    expect(so).toMatchObject({ year: 2026, until: 3 });
    expect(so.low).toHaveLength(5);
    expect(so.low.map((low) => low === null)).toEqual([false, true, false, false, false]);
  });

  it('runs from 1 July in the south', () => {
    const so = yearSoFar(-38, '2026-02-01', [day('2025-07-01'), day('2026-01-31'), day('2025-06-30')]);
    expect(so).toMatchObject({ year: 2025, until: 215 });
    expect(so.low[0]).not.toBeNull();
  });

  it('takes a record’s days of the season, without those that lack a temperature', () => {
    const record = {
      first: '2025-12-30',
      low: Float32Array.from([1, 2, 3, Number.NaN, 5]),
      high: Float32Array.from([11, 12, 13, 14, 15]),
      rain: new Float32Array(5),
    };
    expect(daysOfSeason(record, 44, '2026-03-01')).toEqual([
      { on: '2026-01-01', low: 3, high: 13 },
      { on: '2026-01-03', low: 5, high: 15 },
    ]);
    expect(daysOfSeason(record, 44, '2027-03-01')).toEqual([]);
  });

  it('keeps soil readings of its own days, in their order', () => {
    const soil = [
      { bedId: 'a', on: '2026-03-02', soilC: 4 },
      { bedId: 'a', on: '2025-11-02', soilC: 9 },
      { bedId: 'b', on: '2026-02-20', soilC: 2 },
    ];
    expect(yearSoFar(44, '2026-03-04', [], [], soil).soil.map(({ seasonDay }) => seasonDay)).toEqual([
      50, 60,
    ]);
  });
});
