import { addDays, type Day } from '@unity-acre/core/calendar';
import { describe, expect, it } from 'vitest';
import { type Dates, datesIn } from './datesIn.ts';

/** The same by the runtime's own tables (ICU), which know nothing of ours. */
const styles: [keyof Dates, Intl.DateTimeFormatOptions][] = [
  ['short', { weekday: 'short', day: 'numeric', month: 'short' }],
  ['long', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }],
  ['longInYear', { weekday: 'long', day: 'numeric', month: 'long' }],
  ['field', { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' }],
  ['bare', { day: 'numeric', month: 'short' }],
  ['weekday', { weekday: 'short' }],
  ['month', { month: 'short' }],
];
const days = Array.from({ length: 2 * 366 }, (_, i) => addDays('2027-02-25', i));
const times = Array.from(
  { length: 24 * 4 },
  (_, i) => `${String(Math.floor(i / 4)).padStart(2, '0')}:${String((i % 4) * 15).padStart(2, '0')}`,
);

describe.each([
  ['en', 'american', 'en-US', (text: string) => text],
  // Without commas, which few write between a day and its date; "Sep" in all of English.
  [
    'en',
    'international',
    'en-GB',
    (text: string) => text.replaceAll(',', '').replace('Sept ', 'Sep ').replace(/Sept$/, 'Sep'),
  ],
  ['es', 'american', 'es-419', (text: string) => text.replaceAll(',', '').replaceAll(' de ', ' ')],
  ['es', 'international', 'es-419', (text: string) => text.replaceAll(',', '').replaceAll(' de ', ' ')],
] as const)('dates in %s, %s', (language, style, locale, plain) => {
  const dates = datesIn(language, style);
  const ofOurs = language === 'es' ? (text: string) => text.replaceAll(' de ', ' ') : (text: string) => text;

  it.each(styles)('are as the runtime writes them: %s', (name, options) => {
    const format = new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options });
    const ours = days.map((day) => ofOurs((dates[name] as (day: Day) => string)(day)));
    expect(ours).toEqual(days.map((day) => plain(format.format(new Date(`${day}T00:00:00Z`)))));
  });

  it('have times as the runtime writes them', () => {
    const format = new Intl.DateTimeFormat(locale, {
      ...{ timeZone: 'UTC', hour: style === 'american' ? 'numeric' : '2-digit', minute: '2-digit' },
      hourCycle: style === 'american' ? 'h12' : 'h23',
    });
    const theirs = times.map((time) =>
      // Narrow spaces between "a. m." are none on a phone's line.
      format
        .format(new Date(`2026-05-23T${time}:00Z`))
        .replaceAll(/[\u202f\u00a0]/g, ' ')
        .replace(/([ap])\. m\./, '$1.m.'),
    );
    expect(times.map(dates.time)).toEqual(theirs);
  });
});

describe('times from one to another', () => {
  const { times, time } = datesIn('en', 'american');
  it('say the half of the day once where both are in it', () => {
    expect(times('09:00', '11:30')).toBe('9:00–11:30 AM');
    expect(times('12:00', '13:30')).toBe('12:00–1:30 PM');
    expect(times('10:00', '13:00')).toBe('10:00 AM–1:00 PM');
    expect(times('00:15', '12:00')).toBe('12:15 AM–12:00 PM');
    expect(datesIn('es', 'american').times('09:00', '11:30')).toBe('9:00–11:30 a.m.');
    expect(datesIn('en', 'international').times('09:00', '11:30')).toBe('09:00–11:30');
  });
  it('leave what is no time as it is', () => {
    expect(time('')).toBe('');
    expect(time('nine')).toBe('nine');
    expect(times('', '11:30')).toBe('–11:30 AM');
  });
});

it('says dates as people of each language do', () => {
  expect(datesIn('en', 'american').long('2026-05-23')).toBe('Saturday, May 23, 2026');
  expect(datesIn('en', 'international').short('2026-05-23')).toBe('Sat 23 May');
  expect(datesIn('es', 'american').long('2026-05-23')).toBe('sábado 23 de mayo de 2026');
});
