import type { Day } from '../calendar/index.ts';
import { daysBetween } from '../calendar/index.ts';
import type { Crop, Method, Turn, Variety } from '../crops/index.ts';
import { type Almanac, shareBy } from '../place/index.ts';
import { isWinterKilled } from './covers.ts';
import { startOf } from './milestone.ts';
import { killsAt } from './outdoors.ts';
import { milestones } from './reckon.ts';
import type { HouseRules } from './rules.ts';

/** Something that can be started on a day. */
export interface StillSown {
  crop: Crop;
  /** the variety with the fewest days */
  variety: Variety;
  method: Method;
  turn: Turn;
  year: number;
  /** the last day for it, and how many days are left */
  latest: Day;
  daysLeft: number;
  /** where the day stands in the window */
  stands: 'early' | 'best' | 'late';
  firstPick: Day | null;
  clear: Day | null;
  /** chance that frost comes before the first pick; null where it is not picked in its own season */
  lost: number | null;
}

/** Days on both sides of the best day that count as it. */
const BEST_GIVE_DAYS = 7;

/**
 * What can be started on a day: every crop, method and part of the season whose window is open, with what would come
 * of it. The most urgent first.
 */
export function stillSown(crops: readonly Crop[], almanac: Almanac, rules: HouseRules, on: Day): StillSown[] {
  const year = almanac.seasonYear(on);
  const open: StillSown[] = [];
  for (const crop of crops) {
    if (crop.harvest.sign === 'winterKills' && !isWinterKilled(crop, almanac)) continue;
    const variety = crop.varieties.reduce((a, b) =>
      b.daysToMaturity.usual < a.daysToMaturity.usual ? b : a,
    );
    for (const method of crop.methods) {
      for (const turn of crop.turns) {
        const plan = { crop, variety, method, turn, year, startOn: on };
        const steps = milestones(plan, almanac, rules);
        const start = steps && startOf(steps);
        if (!steps || !start || on < start.window.earliest || on > start.window.latest) continue;
        const off = daysBetween(start.window.best, on);
        const firstPick = steps.find(({ kind }) => kind === 'firstPick')?.on ?? null;
        const last =
          steps.find(({ kind }) => kind === 'clear') ?? steps.find(({ kind }) => kind === 'lastPick');
        open.push({
          crop,
          variety,
          method,
          turn,
          year,
          latest: start.window.latest,
          daysLeft: daysBetween(on, start.window.latest),
          stands: off < -BEST_GIVE_DAYS ? 'early' : off > BEST_GIVE_DAYS ? 'late' : 'best',
          firstPick,
          clear: last?.on ?? null,
          lost:
            firstPick === null || turn === 'overwinter' ? null : lostShare(crop, almanac, year, firstPick),
        });
      }
    }
  }
  return open.sort((a, b) => a.daysLeft - b.daysLeft || (a.crop.id < b.crop.id ? -1 : 1));
}

/** Share of years in which the frost that ends a crop comes before a day. */
function lostShare(crop: Crop, almanac: Almanac, year: number, firstPick: Day): number {
  const spread = almanac.firstFreeze(crop.temperament === 'hardy' ? crop.frostDamageC : killsAt(crop));
  return shareBy(spread, almanac.placeOf(year, firstPick));
}
