import { type Day, dayNumber, daysBetween } from '../../calendar/index.ts';
import type { Crop } from '../../crops/index.ts';
import { degreeDaysOf, growthRate } from '../../place/index.ts';
import { inGroundOf, type Milestone } from '../milestones/index.ts';

/** Weather of one year, beginning on or before the planting goes out. */
export interface WeatherYear {
  first: Day;
  /** °C, day by day */
  low: ArrayLike<number>;
  high: ArrayLike<number>;
}

/** What a planting met in the years it was rehearsed in. */
export interface Rehearsal {
  years: number;
  /** share of years in which a frost it cannot stand caught it in spring or early summer, before its first pick */
  frostDamage: number;
  /** share of years in which it was not ready before the frost that ends it */
  unfinished: number;
  /** first picks of the years that had one, days after going out: early (1 in 10), middle, late (9 in 10) */
  daysToPick: { early: number; middle: number; late: number } | null;
}

/** Seed and sprouts below ground are safe from frost for so long after sowing, days; see `upAfterDays` of windows. */
const BELOW_GROUND_DAYS = 7;
/** Years have their killing frost in autumn from this many days after going out; sooner it is damage. */
const AUTUMN_FROM_DAYS = 60;

/** What is picked so long after going out is picked in another year, days. */
const LONGEST_DAYS = 240;

/**
 * Grows a planting through years of weather: gathers each day's warmth, and watches its nights.
 * @param steps the planting's milestones, as planned for the plan's year
 * @param years weather whose days lie in the same place of the year as the plan's
 * @param lightAt daylight hours on a day of the planting, counted from going out
 * @returns null for a planting that is not picked in its own season
 */
export function rehearse(
  crop: Crop,
  steps: readonly Milestone[],
  quotedDays: number,
  years: readonly WeatherYear[],
  lightAt: (days: number) => number,
): Rehearsal | null {
  const out = inGroundOf(steps);
  const first = steps.find(({ kind }) => kind === 'firstPick');
  if (!out || !first || daysBetween(out.on, first.on) > LONGEST_DAYS) return null;
  const safeDays = out.kind === 'sow' ? BELOW_GROUND_DAYS : 0;
  const { base, cap, usual } = crop.growth;
  let damaged = 0;
  let unfinished = 0;
  const picks: number[] = [];
  for (const year of years) {
    const start = dayNumber(out.on) - dayNumber(year.first);
    let grown = 0;
    let hurt = false;
    let pick: number | null = null;
    for (let n = 0; start + n < year.low.length && pick === null; n++) {
      const low = year.low[start + n]!;
      const warmth = degreeDaysOf(low, year.high[start + n]!, base, cap);
      grown += growthRate(warmth / (usual - base), lightAt(n));
      if (grown >= quotedDays) pick = n;
      else if (n >= safeDays && low <= crop.frostDamageC) {
        if (n >= AUTUMN_FROM_DAYS) break;
        hurt = true;
      }
    }
    if (hurt) damaged += 1;
    if (pick === null) unfinished += 1;
    else picks.push(pick);
  }
  picks.sort((a, b) => a - b);
  const at = (share: number) => picks[Math.min(picks.length - 1, Math.floor(share * picks.length))]!;
  return {
    years: years.length,
    frostDamage: damaged / years.length,
    unfinished: unfinished / years.length,
    daysToPick: picks.length > 0 ? { early: at(0.1), middle: at(0.5), late: at(0.9) } : null,
  };
}
