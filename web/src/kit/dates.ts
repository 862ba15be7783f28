import { addDays, type Day } from '@unity-acre/core/calendar';
import { useMemo } from 'react';
import { usePreferences } from './preferences.ts';

const A_MONDAY = '2024-01-01';
const utc = (day: Day): Date => new Date(`${day}T00:00:00Z`);

/** Plain dates in the reader's language. */
export interface Dates {
  /** Sat 23 May */
  short(day: Day): string;
  /** Saturday 23 May 2026 */
  long(day: Day): string;
  /** 23 May */
  bare(day: Day): string;
  /** Sat */
  weekday(day: Day): string;
  /** Mon for 1 to Sun for 7 */
  ofWeek(weekday: number): string;
  /** May */
  month(day: Day): string;
  /** an instant, in the reader's own time zone */
  moment(instant: string): string;
}

function datesIn(language: string): Dates {
  // British order for English: day before month reads the same way in both languages.
  const locale = language === 'en' ? 'en-GB' : language;
  const format = (options: Intl.DateTimeFormatOptions) => {
    const formatter = new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options });
    return (day: Day) => formatter.format(utc(day)).replace(/,/g, '');
  };
  const moment = new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' });
  const weekday = format({ weekday: 'short' });
  return {
    short: format({ weekday: 'short', day: 'numeric', month: 'short' }),
    long: format({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }),
    bare: format({ day: 'numeric', month: 'short' }),
    weekday,
    ofWeek: (number) => weekday(addDays(A_MONDAY, number - 1)),
    month: format({ month: 'short' }),
    moment: (instant) => moment.format(new Date(instant)),
  };
}

export function useDates(): Dates {
  const language = usePreferences((preferences) => preferences.language);
  return useMemo(() => datesIn(language), [language]);
}
