import { type Day, weekday, yearOf } from '@unity-acre/core/calendar';
import type { UnitSystem } from '@unity-acre/core/units';

/** What days and months are called. The test beside it holds them against the runtime's own tables. */
const names = {
  en: {
    weekdays: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
    shortWeekdays: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
    months: [
      ...['January', 'February', 'March', 'April', 'May', 'June'],
      ...['July', 'August', 'September', 'October', 'November', 'December'],
    ],
    shortMonths: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
    halves: ['AM', 'PM'],
  },
  es: {
    weekdays: ['lunes', 'martes', 'miércoles', 'jueves', 'viernes', 'sábado', 'domingo'],
    shortWeekdays: ['lun', 'mar', 'mié', 'jue', 'vie', 'sáb', 'dom'],
    months: [
      ...['enero', 'febrero', 'marzo', 'abril', 'mayo', 'junio'],
      ...['julio', 'agosto', 'septiembre', 'octubre', 'noviembre', 'diciembre'],
    ],
    shortMonths: ['ene', 'feb', 'mar', 'abr', 'may', 'jun', 'jul', 'ago', 'sept', 'oct', 'nov', 'dic'],
    halves: ['a.m.', 'p.m.'],
  },
} as const;

export type DateLanguage = keyof typeof names;

/** How dates and times are written: as where one counts in feet (May 23, 2:30 PM), or as where one counts in metres (23 May, 14:30). */
export const dateStyles = ['american', 'international'] as const;
export type DateStyle = (typeof dateStyles)[number];

export const dateStyleOf = (units: UnitSystem): DateStyle =>
  units === 'imperial' ? 'american' : 'international';

/** Plain dates and times of day in somebody's language and style. The examples are American, then international. */
export interface Dates {
  /** whether 5/23 is May 23 */
  isMonthFirst: boolean;
  /** Sat, May 23; Sat 23 May */
  short(day: Day): string;
  /** Saturday, May 23, 2026; Saturday 23 May 2026 */
  long(day: Day): string;
  /** Saturday, May 23; Saturday 23 May */
  longInYear(day: Day): string;
  /** Sat, May 23, 2026; Sat 23 May 2026, as a field shows it */
  field(day: Day): string;
  /** May 23; 23 May */
  bare(day: Day): string;
  /** Sat */
  weekday(day: Day): string;
  /** Saturday */
  weekdayLong(day: Day): string;
  /** Mon for 1 to Sun for 7 */
  ofWeek(weekday: number): string;
  /** May */
  month(day: Day): string;
  /** the names of the months, from January */
  months: readonly string[];
  /** 9:30 AM; 09:30. @param time HH:MM; what is none is given back as it is */
  time(time: string): string;
  /** 9:00–11:30 AM; 09:00–11:30 */
  times(from: string, to: string): string;
  /** an instant, in the reader's own time zone: Sat, May 23, 2026, 2:30 PM */
  moment(instant: string): string;
}

const two = (number: number): string => String(number).padStart(2, '0');

/**
 * Dates in a language and a style; Spanish has the day first in both. Not by `Intl.DateTimeFormat`: to make its first takes
 * the browser a twentieth of a second, which every first screen would wait for.
 */
export function datesIn(language: DateLanguage, style: DateStyle): Dates {
  const own = names[language];
  const isMonthFirst = language === 'en' && style === 'american';
  const dated = (day: Day, months: readonly string[], between: string) => {
    const parts = [String(Number(day.slice(8))), months[Number(day.slice(5, 7)) - 1]!];
    return (isMonthFirst ? parts.reverse() : parts).join(between);
  };
  const bare = (day: Day) => dated(day, own.shortMonths, ' ');
  const inWords = (day: Day) => dated(day, own.months, language === 'es' ? ' de ' : ' ');
  const ofWeek = (number: number) => own.shortWeekdays[number - 1]!;
  const comma = isMonthFirst ? ',' : '';
  const short = (day: Day) => `${ofWeek(weekday(day))}${comma} ${bare(day)}`;
  const field = (day: Day) => `${short(day)}${comma} ${yearOf(day)}`;
  const longInYear = (day: Day) => `${own.weekdays[weekday(day) - 1]!}${comma} ${inWords(day)}`;
  const clock = clockIn(own.halves, style);
  return {
    isMonthFirst,
    short,
    longInYear,
    long: (day) => `${longInYear(day)}${language === 'es' ? ' de' : comma} ${yearOf(day)}`,
    weekdayLong: (day) => own.weekdays[weekday(day) - 1]!,
    field,
    bare,
    weekday: (day) => ofWeek(weekday(day)),
    ofWeek,
    month: (day) => own.shortMonths[Number(day.slice(5, 7)) - 1]!,
    months: own.months,
    ...clock,
    moment: (instant) => {
      const at = new Date(instant);
      const day = `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
      return `${field(day)}, ${clock.time(`${two(at.getHours())}:${two(at.getMinutes())}`)}`;
    },
  };
}

const isTime = (text: string): boolean => /^\d{2}:\d{2}$/.test(text);

/** Times of day by the clock of twelve hours where the style is American, of 24 otherwise. */
function clockIn(halves: readonly [string, string], style: DateStyle): Pick<Dates, 'time' | 'times'> {
  if (style === 'international') return { time: (time) => time, times: (from, to) => `${from}–${to}` };
  const read = (time: string) => {
    const hour = Number(time.slice(0, 2));
    return { hours: `${hour % 12 || 12}:${time.slice(3)}`, half: halves[hour < 12 ? 0 : 1] };
  };
  const time = (text: string) => {
    if (!isTime(text)) return text;
    const { hours, half } = read(text);
    return `${hours} ${half}`;
  };
  return {
    time,
    times: (from, to) => {
      if (!isTime(from) || !isTime(to)) return `${time(from)}–${time(to)}`;
      const [begin, end] = [read(from), read(to)];
      return begin.half === end.half
        ? `${begin.hours}–${end.hours} ${end.half}`
        : `${time(from)}–${time(to)}`;
    },
  };
}
