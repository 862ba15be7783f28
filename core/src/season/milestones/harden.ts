import { addDays, type Day } from '../../calendar/index.ts';
import type { HardeningSchool, HouseRules } from '../rules.ts';

/** One day of hardening off. */
export interface HardeningDay {
  on: Day;
  /** minutes outdoors; a whole day and night is 1440 */
  minutes: number;
  sun: 'shade' | 'filteredMorning' | 'morning' | 'afternoon' | 'full';
  /** true where the plants stay out for the night */
  night: boolean;
  /** true for a day on which they stay in and the count waits */
  paused: boolean;
}

type Step = Omit<HardeningDay, 'on' | 'paused'>;

export const DAY_MINUTES = 1440;

/** The schools day by day. Common practice, no source (KNOWLEDGE 3.6). */
const schools: Record<HardeningSchool, Step[]> = {
  // One hour on the first day, an hour more each day, for a week.
  hourMore: Array.from({ length: 7 }, (_, n) => ({
    minutes: 60 * (n + 1),
    sun: n < 2 ? 'filteredMorning' : n < 4 ? 'morning' : 'full',
    night: false,
  })),
  // Half an hour of filtered morning sun first, the full afternoon sun last.
  sevenDays: [
    { minutes: 30, sun: 'filteredMorning', night: false },
    { minutes: 60, sun: 'filteredMorning', night: false },
    { minutes: 120, sun: 'morning', night: false },
    { minutes: 180, sun: 'morning', night: false },
    { minutes: 300, sun: 'morning', night: false },
    { minutes: 420, sun: 'afternoon', night: false },
    { minutes: 600, sun: 'full', night: false },
  ],
  // Two weeks out by day and in by night, the last nights out too unless it freezes.
  twoWeeks: Array.from({ length: 14 }, (_, n) => ({
    minutes: n < 3 ? 120 : n < 7 ? 300 : n < 11 ? 600 : DAY_MINUTES,
    sun: n < 3 ? 'shade' : n < 7 ? 'morning' : 'full',
    night: n >= 11,
  })),
};

/** Days of hardening off by the garden's school. */
export const hardeningDays = ({ hardening }: Pick<HouseRules, 'hardening'>): number =>
  schools[hardening].length;

/**
 * Hardening off, day by day.
 * @param begin the first day
 * @param bad days too cold or windy to be out: the plants stay in, and the rest moves on by a day
 * @returns as many days out as the school has, and the paused ones between
 */
export function hardeningPlan(
  { hardening }: Pick<HouseRules, 'hardening'>,
  begin: Day,
  bad: ReadonlySet<Day> = new Set(),
): HardeningDay[] {
  const days: HardeningDay[] = [];
  let on = begin;
  for (const step of schools[hardening]) {
    while (bad.has(on)) {
      days.push({ on, minutes: 0, sun: 'shade', night: false, paused: true });
      on = addDays(on, 1);
    }
    days.push({ on, ...step, paused: false });
    on = addDays(on, 1);
  }
  return days;
}

/** Daily maxima below this keep plants in while they harden, °C (50 °F). Common practice, no source. */
const TOO_COLD_HIGH_C = 10;
/** Nights below this bring plants in, °C. */
const TOO_COLD_LOW_C = 1;

/** Days of a forecast on which plants that harden off stay in. */
export const badForHardening = (days: readonly { on: Day; low: number; high: number }[]): Set<Day> =>
  new Set(days.filter(({ low, high }) => high < TOO_COLD_HIGH_C || low < TOO_COLD_LOW_C).map(({ on }) => on));
