import { addDays, type Day, daysBetween, laterOf } from '../../calendar/index.ts';
import type { Crop } from '../../crops/index.ts';
import {
  type Almanac,
  almanacOfYear,
  inYear,
  SEED_DEPTH_MM,
  type SeasonDay,
  shareAfter,
  shareBy,
} from '../../place/index.ts';
import { killsAt } from '../windows/index.ts';
import { inGroundOf, type Milestone, startOf } from './milestone.ts';

/** How far a planting stands outside the time for it, and what that likely costs. */
export interface Outside {
  how: 'early' | 'late';
  /** from its window to the day it stands on */
  days: number;
  /** the first day of the window, or the last */
  bound: Day;
  /** share of years in which frost kills it: before it is past, or before the first pick; null where seed rots in cold soil */
  lost: number | null;
}

/**
 * How far outside its window a planting begins or goes into the ground; null where it does neither.
 * @param year the season year it is planned for
 * @param today frost of days that are past has not come
 */
export function outsideWindow(
  crop: Crop,
  steps: readonly Milestone[],
  spot: Almanac,
  year: number,
  today: Day | null = null,
): Outside | null {
  const almanac = almanacOfYear(spot, year);
  const found = [startOf(steps), inGroundOf(steps)].flatMap((step) => (step ? [stands(step)] : []));
  const worst = found.reduce<Outside | null>(
    (most, one) => (one && (!most || one.days > most.days) ? one : most),
    null,
  );
  if (!worst) return null;
  const seasonDayOf = (day: Day) => almanac.seasonDayOf(year, day);
  if (worst.how === 'early') {
    const sown = steps.find(({ kind }) => kind === 'sow');
    if (sown && !sown.done && isTooCold(crop, almanac, seasonDayOf(sown.on))) return { ...worst, lost: null };
    // What is sown is exposed once it is up.
    const out = (sown && steps.find(({ kind }) => kind === 'emerge')) ?? inGroundOf(steps)!;
    const exposed = today === null ? out.on : laterOf(out.on, today);
    return { ...worst, lost: shareAfter(almanac.lastFreeze(crop.frostDamageC), seasonDayOf(exposed)) };
  }
  const pick = steps.find(({ kind }) => kind === 'firstPick');
  // What frost cuts short would have been ready later.
  const cut = pick?.reasons.best.find((reason) => reason.code === 'mayNotFinish');
  const ready = cut ? addDays(inGroundOf(steps)!.on, cut.maturity) : pick?.on;
  if (!ready || crop.perennial) return worst;
  return { ...worst, lost: shareBy(almanac.firstFreeze(killsAt(crop)), seasonDayOf(ready)) };
}

/** Soil colder than the least a seed comes up in by more than this rots it, °C. Common practice, no source. */
const ROTS_C = 2;

const isTooCold = (crop: Crop, almanac: Almanac, seasonDay: SeasonDay): boolean =>
  almanac.soil(SEED_DEPTH_MM)[inYear(Math.round(seasonDay))]! < crop.germination.least - ROTS_C;

function stands({ on, window }: Milestone): Outside | null {
  if (on < window.earliest)
    return { how: 'early', days: daysBetween(on, window.earliest), bound: window.earliest, lost: 0 };
  if (on > window.latest)
    return { how: 'late', days: daysBetween(window.latest, on), bound: window.latest, lost: 0 };
  return null;
}
