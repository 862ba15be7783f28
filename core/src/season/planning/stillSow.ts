import type { Day } from '../../calendar/index.ts';
import { daysBetween } from '../../calendar/index.ts';
import type { Crop, Cropping, Method, Variety } from '../../crops/index.ts';
import { type Almanac, almanacOfYear, shareBy } from '../../place/index.ts';
import { computeMilestones, startOf } from '../milestones/index.ts';
import type { HouseRules } from '../rules.ts';
import { doubtsOf, killsAt } from '../windows/index.ts';

/** Something that can be started on a day. */
export interface StillSown {
  crop: Crop;
  /** the variety with the fewest days */
  variety: Variety;
  method: Method;
  cropping: Cropping;
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
 * What can be started on a day: every crop, method and part of the season whose window is open and that the place is not
 * against, with what would come of it. A window of another season year counts where it reaches to the day. The most urgent
 * first.
 */
export function stillSown(crops: readonly Crop[], almanac: Almanac, rules: HouseRules, on: Day): StillSown[] {
  const here = almanac.seasonYear(on);
  const open = crops.flatMap((crop) =>
    crop.methods.flatMap((method) => {
      const ways = crop.croppings.flatMap((cropping) =>
        [here - 1, here, here + 1].flatMap((year) => startedOn(crop, method, cropping, year) ?? []),
      );
      // Where spring's window and autumn's are one, it is told once, as the one whose best day is nearer.
      return ways.sort((a, b) => Math.abs(a.off) - Math.abs(b.off)).slice(0, 1);
    }),
  );
  return open
    .map(({ off: _, ...way }) => way)
    .sort((a, b) => a.daysLeft - b.daysLeft || (a.crop.id < b.crop.id ? -1 : 1));

  function startedOn(
    crop: Crop,
    method: Method,
    cropping: Cropping,
    year: number,
  ): (StillSown & { off: number }) | null {
    const variety = quickest(crop);
    const plan = { crop, variety, method, cropping, year, startOn: on };
    const steps = computeMilestones(plan, almanac, rules);
    const start = steps && startOf(steps);
    if (!steps || !start || on < start.window.earliest || on > start.window.latest) return null;
    if (doubtsOf(steps).length > 0) return null;
    const off = daysBetween(start.window.best, on);
    const firstPick = steps.find(({ kind }) => kind === 'firstPick')?.on ?? null;
    const last = steps.find(({ kind }) => kind === 'clear') ?? steps.find(({ kind }) => kind === 'lastPick');
    const isOwnSeason = firstPick !== null && cropping !== 'overwinter';
    return {
      crop,
      variety,
      method,
      cropping,
      year,
      latest: start.window.latest,
      daysLeft: daysBetween(on, start.window.latest),
      stands: off < -BEST_GIVE_DAYS ? 'early' : off > BEST_GIVE_DAYS ? 'late' : 'best',
      firstPick,
      clear: last?.on ?? null,
      lost: isOwnSeason ? lostShare(crop, almanac, year, firstPick) : null,
      off,
    };
  }
}

const quickest = ({ varieties }: Crop): Variety =>
  varieties.reduce((a, b) => (b.daysToMaturity.usual < a.daysToMaturity.usual ? b : a));

/** Share of years in which the frost that ends a crop comes before a day. */
function lostShare(crop: Crop, spot: Almanac, year: number, firstPick: Day): number {
  const almanac = almanacOfYear(spot, year);
  const spread = almanac.firstFreeze(killsAt(crop));
  return shareBy(spread, almanac.seasonDayOf(year, firstPick));
}
