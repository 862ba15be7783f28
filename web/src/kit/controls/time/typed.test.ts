import { datesIn } from '@unity-acre/contract/wording';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typedDay, typedMonthDay } from './typedDay.ts';
import { movedTime, typedTime } from './typedTime.ts';

const english = datesIn('en', 'american');
const spanish = datesIn('es', 'american');

describe('a day that is typed', () => {
  const near = '2026-05-20';
  it.each([
    ['2026-05-23', '2026-05-23'],
    ['May 23', '2026-05-23'],
    ['may 23, 2027', '2027-05-23'],
    ['23 May 2026', '2026-05-23'],
    ['Sat 23 May 2026', '2026-05-23'],
    ['5/23', '2026-05-23'],
    ['5/23/27', '2027-05-23'],
    // It can only be meant so.
    ['23/5', '2026-05-23'],
    // The year that is nearest.
    ['Dec 30', '2025-12-30'],
    ['Jan 4', '2026-01-04'],
    ['nov 21', '2025-11-21'],
  ])('in English, "%s" is %s', (text, day) => expect(typedDay(text, english, near)).toBe(day));
  it.each([
    ['23/5', '2026-05-23'],
    ['4/3', '2026-03-04'],
    ['23 mayo', '2026-05-23'],
    ['23 de mayo de 2027', '2027-05-23'],
    ['sáb 23 may 2026', '2026-05-23'],
  ])('in Spanish, "%s" is %s', (text, day) => expect(typedDay(text, spanish, near)).toBe(day));
  it('has its day before its month in English too, where the garden counts in meters', () =>
    expect(typedDay('4/3', datesIn('en', 'international'), near)).toBe('2026-03-04'));
  it.each(['Sat, May 23, 2026', 'Saturday, May 23, 2026'])('is read as it is shown: %s', (text) =>
    expect(typedDay(text, english, near)).toBe('2026-05-23'),
  );
  it.each(['', 'soon', 'May', '31 April', '13/13', '2026-02-30', '5'])('cannot be read from "%s"', (text) =>
    expect(typedDay(text, english, near)).toBeNull(),
  );
});

describe('a date of every year that is typed', () => {
  it.each([
    ['05-10', '05-10'],
    ['May 10', '05-10'],
    ['10 May', '05-10'],
    ['april 25', '04-25'],
    ['5/10', '05-10'],
    ['25/4', '04-25'],
  ])('in English, "%s" is %s', (text, day) => expect(typedMonthDay(text, english)).toBe(day));
  it.each([
    // As it is kept: the month first in every language.
    ['05-10', '05-10'],
    ['10/5', '05-10'],
    ['10 de mayo', '05-10'],
    ['25 abr', '04-25'],
  ])('in Spanish, "%s" is %s', (text, day) => expect(typedMonthDay(text, spanish)).toBe(day));
  it.each(['', 'February 29', '02-30', '13-40', 'May', '2026-05-10'])('"%s" is none', (text) =>
    expect(typedMonthDay(text, english)).toBeNull(),
  );
});

describe('a time that is typed', () => {
  it.each([
    ['9', '09:00'],
    ['9:30', '09:30'],
    ['930', '09:30'],
    ['9.30', '09:30'],
    ['14:00', '14:00'],
    ['14h', '14:00'],
    ['2 pm', '14:00'],
    ['2:15pm', '14:15'],
    ['12 am', '00:00'],
    ['12 pm', '12:00'],
    ['9 a.m.', '09:00'],
  ])('"%s" is %s', (text, time) => expect(typedTime(text)).toBe(time));
  it.each(['', '25', '9:75', '13 pm', '0 am', 'noon', '24:00'])('cannot be read from "%s"', (text) =>
    expect(typedTime(text)).toBeNull(),
  );
  it('reads back every time of the day as itself, and is moved within it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: -90, max: 90 }), (minute, by) => {
        const text = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
        expect(typedTime(text)).toBe(text);
        const [hour = 0, rest = 0] = movedTime(text, by).split(':').map(Number);
        expect(hour * 60 + rest).toBe(Math.min(1439, Math.max(0, minute + by)));
      }),
    );
  });
});
