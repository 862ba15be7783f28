import { addDays, type Day } from '@unity-acre/core/calendar';
import { describe, expect, it } from 'vitest';
import { type Dates, datesIn } from './datesIn.ts';

/** The same by the runtime's own tables (ICU), which know nothing of ours. */
const styles: [keyof Dates, Intl.DateTimeFormatOptions][] = [
  ['short', { weekday: 'short', day: 'numeric', month: 'short' }],
  ['long', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }],
  ['field', { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' }],
  ['bare', { day: 'numeric', month: 'short' }],
  ['weekday', { weekday: 'short' }],
  ['month', { month: 'short' }],
];
const days = Array.from({ length: 2 * 366 }, (_, i) => addDays('2027-02-25', i));

describe.each(['en', 'es'] as const)('dates in %s', (language) => {
  it.each(styles)('are as the runtime writes them: %s', (style, options) => {
    const locale = language === 'en' ? 'en-GB' : language;
    const format = new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options });
    const dates = datesIn(language);
    const ours = days.map((day) => (dates[style] as (day: Day) => string)(day));
    expect(ours).toEqual(days.map((day) => format.format(new Date(`${day}T00:00:00Z`)).replaceAll(',', '')));
  });
});
