import { type Day, weekday, yearOf } from '@unity-acre/core/calendar';

/** What days and months are called, and what stands between the parts of a long date. The test beside it holds them against the browser's own. */
const names = {
  en: {
    weekdays: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
    shortWeekdays: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
    months: [
      ...['January', 'February', 'March', 'April', 'May', 'June'],
      ...['July', 'August', 'September', 'October', 'November', 'December'],
    ],
    shortMonths: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sept', 'Oct', 'Nov', 'Dec'],
    between: ' ',
  },
  es: {
    weekdays: ['lunes', 'martes', 'miércoles', 'jueves', 'viernes', 'sábado', 'domingo'],
    shortWeekdays: ['lun', 'mar', 'mié', 'jue', 'vie', 'sáb', 'dom'],
    months: [
      ...['enero', 'febrero', 'marzo', 'abril', 'mayo', 'junio'],
      ...['julio', 'agosto', 'septiembre', 'octubre', 'noviembre', 'diciembre'],
    ],
    shortMonths: ['ene', 'feb', 'mar', 'abr', 'may', 'jun', 'jul', 'ago', 'sept', 'oct', 'nov', 'dic'],
    between: ' de ',
  },
} as const;

/** The names of the months, from January. */
export const monthsIn = (language: string): readonly string[] =>
  names[language === 'es' ? 'es' : 'en'].months;

/** Plain dates in the reader's language. */
export interface Dates {
  /** Sat 23 May */
  short(day: Day): string;
  /** Saturday 23 May 2026 */
  long(day: Day): string;
  /** Sat 23 May 2026, as a field shows it */
  field(day: Day): string;
  /** 23 May */
  bare(day: Day): string;
  /** Sat */
  weekday(day: Day): string;
  /** Saturday */
  weekdayLong(day: Day): string;
  /** Mon for 1 to Sun for 7 */
  ofWeek(weekday: number): string;
  /** May */
  month(day: Day): string;
  /** an instant, in the reader's own time zone */
  moment(instant: string): string;
}

/**
 * Dates in a language, day before month in both, without commas. Not by `Intl.DateTimeFormat`: to make its first takes the
 * browser a twentieth of a second, which every first screen would wait for.
 */
export function datesIn(language: keyof typeof names): Dates {
  const own = names[language];
  const date = (day: Day) => String(Number(day.slice(8)));
  const month = (day: Day) => own.shortMonths[Number(day.slice(5, 7)) - 1]!;
  const bare = (day: Day) => `${date(day)} ${month(day)}`;
  const ofWeek = (number: number) => own.shortWeekdays[number - 1]!;
  const short = (day: Day) => `${ofWeek(weekday(day))} ${bare(day)}`;
  let moment: Intl.DateTimeFormat | undefined;
  return {
    short,
    long: (day) => {
      const inWords = [date(day), own.months[Number(day.slice(5, 7)) - 1], String(yearOf(day))];
      return `${own.weekdays[weekday(day) - 1]} ${inWords.join(own.between)}`;
    },
    weekdayLong: (day) => own.weekdays[weekday(day) - 1]!,
    field: (day) => `${short(day)} ${yearOf(day)}`,
    bare,
    weekday: (day) => ofWeek(weekday(day)),
    ofWeek,
    month,
    moment: (instant) => {
      const locale = language === 'en' ? 'en-GB' : language;
      moment ??= new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' });
      return moment.format(new Date(instant));
    },
  };
}
