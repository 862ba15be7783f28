import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import fc from 'fast-check';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { normalCdf, normalQuantile, seeded } from '../../maths/index.ts';
import {
  almanacOf,
  climateOfFrosts,
  climateOfNormals,
  climateOfRecord,
  degreeDays,
  expectedDegreeDays,
  type FrostyPlace,
  freezeRisk,
  freezeYears,
  frostDates,
  growingDays,
  lastFreezeDay,
  laterQuantile,
  packRecord,
  StationReader,
  type StationRecord,
  shareAfter,
  simulateWeather,
  spreadAt,
  spreadOf,
  unpackRecord,
} from '../index.ts';

/*
 * Real daily weather: vega-datasets' weather.csv, Seattle and New York 2012 to 2015, from NOAA's Global Historical
 * Climatology Network. What is compared with is computed here anew from the file's own text.
 */
interface RealDay {
  city: string;
  date: string;
  low: number;
  high: number;
}
const entry = createRequire(import.meta.url).resolve('vega-datasets');
const folder = entry.slice(0, entry.lastIndexOf('vega-datasets') + 'vega-datasets'.length);
const file = readFileSync(join(folder, 'data/weather.csv'), 'utf8');
const real: (RealDay & { rain: string })[] = file
  .trim()
  .split('\n')
  .slice(1)
  .map((line) => {
    const [city = '', date = '', rain = '', high = '', low = ''] = line.split(',');
    return { city, date, rain, high: Number(high), low: Number(low) };
  });

function recordOf(city: string): StationRecord {
  const reader = new StationReader();
  reader.row(['DATE', 'TMIN', 'TMAX', 'PRCP'], 1);
  for (const [i, day] of real.filter((one) => one.city === city).entries()) {
    reader.row([day.date, String(day.low), String(day.high), day.rain], i + 2);
  }
  return reader.finish().record;
}

const cities = [
  ['Seattle', 47.61, -122.33],
  ['New York', 40.71, -74.01],
] as const;

describe.each(cities)('the real weather of %s', (city, latitude, longitude) => {
  const record = recordOf(city);
  const days = real.filter((day) => day.city === city);

  it.each([0, -2.2, -4.4])(
    'has its last spring and first autumn day at or below %d °C where NOAA defines them',
    (threshold) => {
      // Spring ends on 31 July, autumn begins on 1 August; a day counts at or below the threshold.
      const found = freezeYears(record, latitude, threshold);
      expect(found.length).toBeGreaterThanOrEqual(2);
      for (const { year, last, first } of found) {
        const cold = days.filter((day) => day.low <= threshold).map((day) => day.date);
        const spring = cold.filter((date) => date > `${year - 1}-07-31` && date <= `${year}-07-31`).at(-1);
        const autumn = cold.find((date) => date > `${year}-07-31` && date <= `${year + 1}-07-31`);
        expect(last).toBe(spring ?? null);
        expect(first).toBe(autumn ?? null);
      }
    },
  );

  it('has the mean and the spread of its last frosts that simple-statistics gives', () => {
    const lasts = freezeYears(record, latitude, 0).map(
      ({ year, last }) => (Date.parse(last!) - Date.parse(`${year}-01-01`)) / 86_400_000,
    );
    const spread = almanacOf(climateOfRecord(record, latitude, longitude)).lastFreeze(0);
    // A year with a leap day counts one day more after February.
    expect(Math.abs(spread.mean - mean(lasts))).toBeLessThanOrEqual(1);
    expect(Math.abs(spread.sd - sampleStandardDeviation(lasts))).toBeLessThanOrEqual(1);
  });

  it.each([0, 4.4, 10])('gathers the degree days above %d °C that its own days add up to', (base) => {
    const sum = days
      .filter((day) => day.date >= '2014-04-01' && day.date <= '2014-10-31')
      .reduce((total, day) => total + Math.max(0, (day.low + day.high) / 2 - base), 0);
    const ours = degreeDays(record, '2014-04-01', '2014-10-31', base);
    expect(ours.missing).toBe(0);
    // The record holds values in single precision.
    expect(ours.sum).toBeCloseTo(sum, 2);
  });

  it('has a smooth year that passes through its monthly means', () => {
    const almanac = almanacOf(climateOfRecord(record, latitude, longitude));
    let from = 0;
    for (const [m, length] of [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31].entries()) {
      const month = String(m + 1).padStart(2, '0');
      const theirs = mean(days.filter((day) => day.date.slice(5, 7) === month).map((day) => day.low));
      const ours = mean([...almanac.low.slice(from, from + length)]);
      expect(Math.abs(ours - theirs)).toBeLessThan(2);
      from += length;
    }
  });

  it('expects over the years the degree days that the years had', () => {
    const climate = climateOfRecord(record, latitude, longitude);
    const almanac = almanacOf(climate);
    const years = [2012, 2013, 2014, 2015].map((y) => degreeDays(record, `${y}-04-01`, `${y}-09-30`, 10).sum);
    let expected = 0;
    for (let day = 90; day < 273; day++)
      expected += expectedDegreeDays(almanac.mean[day]!, climate.spreadC, 10, 60);
    expect(Math.abs(expected / mean(years) - 1)).toBeLessThan(0.06);
  });
});

describe('the mixed distribution of Thom & Shaw', () => {
  it('counts years without frost', () => {
    // Half of the years have a frost, all on one day or the next: one year in four has it on the later one.
    const spread = spreadOf([50, 51, null, null]);
    expect(spread.share).toBe(0.5);
    expect(laterQuantile(spread, 0.5)).toBeNull();
    expect(laterQuantile(spread, 0.25)).toBeCloseTo(50.5, 6);
    expect(shareAfter(spread, 0)).toBeCloseTo(0.5, 6);
  });

  it('gives back the risk a day was asked for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.option(fc.integer({ min: 0, max: 200 })), { minLength: 5, maxLength: 60 }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (years, risk) => {
          const spread = spreadOf(years);
          const day = laterQuantile(spread, risk);
          if (day === null) expect(spread.share).toBeLessThanOrEqual(risk);
          else expect(shareAfter(spread, day)).toBeCloseTo(risk, 2);
        },
      ),
    );
  });

  it('has no frost dates where no day freezes, and none in most years where few do', () => {
    const days = 366 * 4;
    const warm = { low: new Float32Array(days).fill(12), high: new Float32Array(days).fill(25) };
    const record = { first: '2011-01-01', ...warm, rain: new Float32Array(days) };
    const almanac = almanacOf(climateOfRecord(record, 10, 0));
    expect(frostDates(almanac, 2026)).toEqual({ lastFrost: null, firstFrost: null });
    expect(growingDays(almanac)).toBe(365);
    expect(freezeRisk(almanac, '2026-01-15')).toBe(0);
    record.low[400] = -1;
    const rare = almanacOf(climateOfRecord(record, 10, 0));
    expect(frostDates(rare, 2026).lastFrost).toBeNull();
    expect(freezeRisk(rare, '2026-01-15')).toBeGreaterThan(0.2);
  });
});

// Abramowitz & Stegun, Handbook of Mathematical Functions, table 26.1.
it.each([
  [0, 0.5],
  [1, 0.841344746],
  [1.28, 0.899727432],
  [2, 0.977249868],
  [-1, 0.158655254],
])('normal share below %d is %d, and back', (z, share) => {
  expect(normalCdf(z)).toBeCloseTo(share, 6);
  expect(normalQuantile(share)).toBeCloseTo(z, 3);
});

const north: FrostyPlace = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };
const south: FrostyPlace = { latitude: -44.5, longitude: -88, lastFrost: '11-08', firstFrost: '04-03' };

describe('a place known by its median frosts', () => {
  it('keeps them to the day, in every year', () => {
    for (const year of [2026, 2027, 2028]) {
      expect(frostDates(almanacOf(climateOfFrosts(north)), year)).toEqual({
        lastFrost: `${year}-05-10`,
        firstFrost: `${year}-10-03`,
      });
      expect(frostDates(almanacOf(climateOfFrosts(south)), year)).toEqual({
        lastFrost: `${year}-11-08`,
        firstFrost: `${year + 1}-04-03`,
      });
    }
  });

  it('has frost risk even at the medians, high in winter, small in summer, falling through the spring', () => {
    const almanac = almanacOf(climateOfFrosts(north));
    expect(freezeRisk(almanac, '2026-05-10')).toBeCloseTo(0.5, 2);
    expect(freezeRisk(almanac, '2026-10-03')).toBeCloseTo(0.5, 2);
    expect(freezeRisk(almanac, '2026-03-01')).toBeGreaterThan(0.99);
    expect(freezeRisk(almanac, '2026-07-15')).toBeLessThan(0.001);
    for (let n = 1; n < 60; n++) {
      const day = (offset: number) => almanac.day(2026, 100 + offset);
      expect(freezeRisk(almanac, day(n))).toBeLessThanOrEqual(freezeRisk(almanac, day(n - 1)));
    }
  });

  it('has harder freezes end sooner: severe before hard before light', () => {
    const almanac = almanacOf(climateOfFrosts(north));
    const [severe, hard, light] = [-4.4, -2.2, 0].map((c) => lastFreezeDay(almanac, 2026, c, 0.5)!);
    expect(severe! < hard! && hard! < light!).toBe(true);
    // One year in ten is later, one in ten earlier, by the same days.
    expect(lastFreezeDay(almanac, 2026, 0, 0.1)! > '2026-05-10').toBe(true);
    expect(lastFreezeDay(almanac, 2026, 0, 0.9)! < '2026-05-10').toBe(true);
  });

  it('is colder in a hollow and warmer at a wall, with frosts to match', () => {
    const climate = climateOfFrosts(north);
    const [hollow, open, wall] = [-2, 0, 1.5].map((offset) => almanacOf(climate, { offsetC: offset }));
    const last = (almanac: typeof open) => frostDates(almanac!, 2026).lastFrost!;
    expect(last(hollow) > last(open) && last(open) > last(wall)).toBe(true);
  });

  it('has its year half a year later on the other side of the earth', () => {
    const [n, s] = [north, south].map((place) => almanacOf(climateOfFrosts(place)));
    for (const day of [0, 60, 128, 200, 300]) expect(s!.low[day]).toBeCloseTo(n!.low[day]!, 0);
  });
});

it('takes monthly means as they are: the smooth year has them again', () => {
  const normals = {
    low: [-13.5, -12, -6, 0.3, 6.2, 11.8, 14.4, 13.4, 9, 3.2, -2.5, -9.5],
    high: [-4.5, -2.5, 3.6, 11.6, 18.8, 24, 26.5, 25.3, 21.2, 13.7, 5.8, -1.6],
    rain: new Array<number>(12).fill(70),
  };
  const almanac = almanacOf(climateOfNormals(north, normals));
  let from = 0;
  for (const [m, length] of [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31].entries()) {
    expect(Math.abs(mean([...almanac.low.slice(from, from + length)]) - normals.low[m]!)).toBeLessThan(0.8);
    from += length;
  }
});

describe('a record', () => {
  it('packs into tenths and back', () => {
    const record = recordOf('Seattle');
    record.low[3] = Number.NaN;
    const again = unpackRecord(packRecord(record));
    expect(again.first).toBe(record.first);
    expect(again.low[3]).toBeNaN();
    for (const i of [0, 1, 2, 700]) expect(again.high[i]).toBeCloseTo(record.high[i]!, 4);
  });

  it('says of its nights when they stay: seven in a row whose mean reaches the threshold, none 3 °C short', () => {
    const years = 4;
    const days = Math.round(365.25 * years);
    const low = new Float32Array(days);
    // 5 °C until day 99, then 10 °C; in each year one night of 6 °C on day 103, four degrees short.
    for (let i = 0; i < days; i++) {
      const day = Math.floor(i % 365.25);
      low[i] = day < 100 || day > 260 ? 5 : day === 103 ? 6 : 10.5;
    }
    const record = { first: '2013-01-01', low, high: low.map((t) => t + 10), rain: new Float32Array(days) };
    const { mean: from } = spreadAt(climateOfRecord(record, 44, 0).nightsFrom, 10);
    expect(Math.abs(from - 104)).toBeLessThanOrEqual(1);
  });
});

it('simulates weather like the record it was fitted on', () => {
  const climate = climateOfRecord(recordOf('New York'), 40.71, -74.01);
  const days = simulateWeather(climate.weather, climate, '2001-01-01', 365 * 40, seeded(7));
  const theirs = real.filter((day) => day.city === 'New York');
  const july = (list: { month: string; value: number }[]) =>
    list.filter(({ month }) => month === '07').map(({ value }) => value);
  const ours = july(days.map((day) => ({ month: day.on.slice(5, 7), value: day.low })));
  const seen = july(theirs.map((day) => ({ month: day.date.slice(5, 7), value: day.low })));
  expect(Math.abs(mean(ours) - mean(seen))).toBeLessThan(1);
  expect(sampleStandardDeviation(ours) / sampleStandardDeviation(seen)).toBeGreaterThan(0.75);
  expect(sampleStandardDeviation(ours) / sampleStandardDeviation(seen)).toBeLessThan(2);
  const wet = (rains: number[]) => rains.filter((mm) => mm >= 0.254).length / rains.length;
  expect(
    Math.abs(wet(days.map((day) => day.rain)) - wet(theirs.map((day) => Number(day.rain)))),
  ).toBeLessThan(0.05);
  expect(simulateWeather(climate.weather, climate, '2001-01-01', 10, seeded(7))).toEqual(days.slice(0, 10));
});
