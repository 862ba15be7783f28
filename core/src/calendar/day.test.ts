import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  dayNumber,
  daysBetween,
  isClockTime,
  isDay,
  isMonthDay,
  weekday,
  weekStart,
} from './day.ts';

const anyDay = fc
  .date({ min: new Date('1901-01-01'), max: new Date('2199-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

it('counts as the Temporal reference implementation does', () => {
  fc.assert(
    fc.property(anyDay, anyDay, fc.integer({ min: -4000, max: 4000 }), (day, other, days) => {
      const theirs = Temporal.PlainDate.from(day);
      expect(addDays(day, days)).toBe(theirs.add({ days }).toString());
      expect(daysBetween(day, other)).toBe(theirs.until(other).days);
      expect(weekday(day)).toBe(theirs.dayOfWeek);
    }),
  );
});

describe('days', () => {
  it.each(['2026-02-29', '2026-13-01', '2026-00-10', '2026-1-1', '2026-04-31', 'soon', ''])(
    '%j is no day',
    (text) => expect(isDay(text)).toBe(false),
  );

  it.each([
    '2026-02-31',
    '2026-02-29',
    '1900-02-29',
    '2026-04-31',
    '2026-11-31',
    '2026-01-32',
    '2026-13-01',
    '2026-1-1',
  ])('%j has no number, and nothing is counted from it', (text) => {
    expect(() => dayNumber(text)).toThrow(RangeError);
    expect(() => addDays(text, 1)).toThrow(RangeError);
    expect(() => daysBetween('2026-01-01', text)).toThrow(RangeError);
  });

  it('numbers the last of every month', () => {
    for (const day of ['2000-02-29', '2028-02-29', '2026-02-28', '2026-01-31', '2026-04-30', '2026-12-31'])
      expect(addDays(day, 1).slice(8)).toBe('01');
  });

  it('knows leap years', () => {
    expect(isDay('2028-02-29')).toBe(true);
    expect(isMonthDay('02-29')).toBe(false);
    expect(isMonthDay('05-10')).toBe(true);
  });

  it('adds and counts days so that one undoes the other', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: -800, max: 800 }), (day, days) => {
        expect(daysBetween(day, addDays(day, days))).toBe(days);
        expect(addDays(addDays(day, days), -days)).toBe(day);
      }),
    );
  });

  it('starts weeks on Monday', () => {
    // 20 May 2026 is a Wednesday (any almanac).
    expect(weekday('2026-05-20')).toBe(3);
    expect(weekStart('2026-05-20')).toBe('2026-05-18');
    expect(weekStart('2026-05-18')).toBe('2026-05-18');
    expect(weekStart('2026-05-24')).toBe('2026-05-18');
  });

  it('reads clock times', () => {
    expect(['00:00', '09:30', '23:59'].every(isClockTime)).toBe(true);
    expect(['24:00', '9:30', '12:60', ''].some(isClockTime)).toBe(false);
  });
});
