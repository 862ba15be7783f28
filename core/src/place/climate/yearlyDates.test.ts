import { describe, expect, it } from 'vitest';
import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import type { StationRecord } from '../record/index.ts';
import { climateOfRecord } from './climate.ts';
import { spreadAt } from './dateSpread.ts';
import { freezeYears, isSteadyAt, spreadTables } from './yearlyDates.ts';

/** A record of nights, 10 °C but for the days named; NaN is missing. */
function record(
  first: Day,
  last: Day,
  nights: Record<Day, number>,
  usual: (day: Day) => number = () => 10,
): StationRecord {
  const days = Array.from({ length: daysBetween(first, last) + 1 }, (_, i) => addDays(first, i));
  const low = Float32Array.from(days, (day) => nights[day] ?? usual(day));
  return { first, low, high: low.map((one) => one + 8), rain: low.map(() => 1) };
}
const span = (from: Day, days: number, value: number): Record<Day, number> =>
  Object.fromEntries(Array.from({ length: days }, (_, i) => [addDays(from, i), value]));
const frosts = { '2022-05-05': 0, '2022-10-02': -1 };

describe('the frosts of the years of a record', () => {
  it('are the last at or below the threshold before August, and the first from August on', () => {
    const years = freezeYears(record('2021-01-01', '2023-12-31', frosts), 45, 0);
    expect(years).toEqual([{ year: 2022, last: '2022-05-05', first: '2022-10-02' }]);
    // A tenth of a degree above is no frost.
    const warmer = freezeYears(record('2021-01-01', '2023-12-31', { ...frosts, '2022-05-20': 0.1 }), 45, 0);
    expect(warmer[0]!.last).toBe('2022-05-05');
  });

  it('turn on the last of July', () => {
    const turn = { '2022-07-31': -1, '2022-08-01': -1 };
    expect(freezeYears(record('2021-01-01', '2023-12-31', turn), 45, 0)).toEqual([
      { year: 2022, last: '2022-07-31', first: '2022-08-01' },
    ]);
  });

  it('are none in a year whose winters are known and had none', () => {
    expect(freezeYears(record('2020-08-01', '2024-07-31', frosts), 45, 0)).toEqual([
      { year: 2021, last: null, first: '2022-05-05' },
      { year: 2022, last: '2022-05-05', first: '2022-10-02' },
      { year: 2023, last: '2022-10-02', first: null },
    ]);
  });

  it('are not told of a year that lacks more than a tenth of a half', () => {
    const years = (missing: Record<Day, number>) =>
      freezeYears(record('2021-01-01', '2023-12-31', { ...frosts, ...missing }), 45, 0).length;
    // Of 212 days of spring 190.8 are nine tenths, of 153 of autumn 137.7.
    expect(years(span('2022-02-01', 21, Number.NaN))).toBe(1);
    expect(years(span('2022-02-01', 22, Number.NaN))).toBe(0);
    expect(years(span('2022-11-01', 15, Number.NaN))).toBe(1);
    expect(years(span('2022-11-01', 16, Number.NaN))).toBe(0);
  });

  it('count from the first day of a record to its last', () => {
    const edges = { '2022-01-01': -5, '2022-12-31': -5 };
    expect(freezeYears(record('2022-01-01', '2022-12-31', edges), 45, 0)).toEqual([
      { year: 2022, last: '2022-01-01', first: '2022-12-31' },
    ]);
  });

  it('go by the season year of the south', () => {
    const southern = { '2022-10-08': -1, '2023-04-20': -2 };
    expect(freezeYears(record('2022-07-01', '2023-06-30', southern), -41, 0)).toEqual([
      { year: 2022, last: '2022-10-08', first: '2023-04-20' },
    ]);
  });
});

describe('seven nights', () => {
  const nights = (...all: number[]) => isSteadyAt(Float32Array.from(all), 0, 10);

  it('are steady at their mean, with none more than three degrees below', () => {
    expect(nights(10, 10, 10, 10, 10, 10, 10)).toBe(true);
    expect(nights(10, 10, 10, 10, 10, 10, 9.9)).toBe(false);
    expect(nights(7, 13, 10, 10, 10, 10, 10)).toBe(true);
    expect(nights(6.9, 20, 20, 20, 20, 20, 20)).toBe(false);
  });

  it('are seven, and all of them known', () => {
    expect(nights(12, 12, 12, 12, 12, 12)).toBe(false);
    expect(nights(12, 12, 12, Number.NaN, 12, 12, 12)).toBe(false);
    expect(nights(12, 12, 12, 12, 12, 12, 12, -5)).toBe(true);
  });
});

describe('the tables of a record', () => {
  const isSummer = (day: Day) => day.slice(5) >= '05-01' && day.slice(5) <= '09-30';
  const every = (monthDay: string, low: number) =>
    Object.fromEntries(['2021', '2022', '2023'].map((year) => [`${year}-${monthDay}`, low]));
  const nights = { ...every('04-20', -1), ...every('10-10', -1), ...every('05-03', 7) };
  const whole = record('2021-01-01', '2023-12-31', nights, (day) => (isSummer(day) ? 12 : 2));
  const tables = spreadTables(whole, 45);

  it('have the days of the freezes, in all years that have one or are known to have none', () => {
    expect(tables.years).toEqual([2021, 2022, 2023]);
    // 20 April is the day 109, 10 October the day 282.
    expect(spreadAt(tables.lastFreeze, 0)).toEqual({ mean: 109, sd: 1, share: 1 });
    expect(spreadAt(tables.firstFreeze, 0)).toEqual({ mean: 282, sd: 1, share: 1 });
    expect(spreadAt(tables.lastFreeze, -5).share).toBe(0);
    // Every night of the winter is at or below 2 °C: the last is that of 30 April.
    expect(spreadAt(tables.lastFreeze, 2).mean).toBe(119);
    expect(spreadAt(tables.firstFreeze, 2).mean).toBe(273);
  });

  it('have the first and the last day of steady nights', () => {
    // From 1 May, the day 120, with a dip of just three degrees below ten; above that from the day after the dip.
    expect(spreadAt(tables.nightsFrom, 10)).toEqual({ mean: 120, sd: 1, share: 1 });
    expect(spreadAt(tables.nightsFrom, 11).mean).toBe(123);
    expect(spreadAt(tables.nightsUntil, 10)).toEqual({ mean: 272, sd: 1, share: 1 });
    expect(spreadAt(tables.nightsUntil, 12).mean).toBe(272);
    expect(spreadAt(tables.nightsFrom, 13).share).toBe(0);
    expect(spreadAt(tables.nightsUntil, 13).share).toBe(0);
    expect(spreadAt(tables.nightsFrom, 1).mean).toBe(0);
    expect(spreadAt(tables.nightsUntil, 1).mean).toBe(364);
  });

  it('leave out halves that are not known', () => {
    const gaps = { ...nights, ...span('2022-01-10', 60, Number.NaN), ...span('2021-08-10', 60, Number.NaN) };
    const partial = spreadTables(
      record('2021-01-01', '2023-12-31', gaps, (day) => (isSummer(day) ? 12 : 2)),
      45,
    );
    expect(partial.years).toEqual([2023]);
    expect(spreadAt(partial.lastFreeze, 0)).toEqual({ mean: 109, sd: 1, share: 1 });
    expect(spreadAt(partial.nightsUntil, 10).mean).toBe(272);
    // A year that says nothing of a threshold, its winter being unknown, is not one without.
    const once = spreadTables(record('2021-01-01', '2023-12-31', { '2022-03-01': -5 }), 45);
    expect(spreadAt(once.lastFreeze, -5)).toMatchObject({ share: 0.5 });
  });

  it('make a climate of three whole years, and of no fewer', () => {
    const climate = climateOfRecord(whole, 45.123456, -88.654321);
    expect(climate).toMatchObject({ basis: 'record', years: [2021, 2022, 2023] });
    // Rounded to thousandths, but for where it is.
    expect([climate.latitude, climate.longitude]).toEqual([45.123456, -88.654321]);
    const numbers = [...climate.low, ...climate.high, climate.spreadC];
    for (const one of numbers) expect(Math.round(one * 1000) / 1000).toBe(one);
    const short = record('2021-01-01', '2022-12-31', nights);
    expect(() => climateOfRecord(short, 45, -88)).toThrow(/3 whole years/);
  });
});
