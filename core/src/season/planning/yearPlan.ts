import type { Day } from '../../calendar/index.ts';
import type { ChosenPractices, Crop, Cropping, Evidence, Method, Variety } from '../../crops/index.ts';
import type { Pattern, Shape } from '../../ground/index.ts';
import type { Almanac, Protection } from '../../place/index.ts';
import type { OwnSpacing } from '../amounts/index.ts';
import type { Milestone } from '../milestones/index.ts';
import type { HouseRules } from '../rules.ts';
import type { PlaceInBed } from './bedLayout.ts';

/** A bed as a season's plan knows it. */
export interface PlannedBed extends Shape {
  id: string;
  name: string;
  /** how high its soil lies, metres */
  height: number;
  /** depth of loose soil, metres; null where nobody has dug */
  soilDepth: number | null;
  /** how it is held in the season; null where nobody has said */
  tenure: string | null;
  /** hours of sun a day in the growing season; null where they have not been computed */
  sunHours: number | null;
}

/** A planting with its steps, as a season's plan knows it. */
export interface PlannedPlanting {
  id: string;
  bedId: string;
  crop: Crop;
  variety: Variety;
  method: Method;
  cropping: Cropping;
  pattern: Pattern;
  width: number;
  length: number;
  betweenId: string | null;
  pinned: boolean;
  protection: Protection;
  /** how it is spaced where that is not as its crop is; its crop has it already */
  spacing: OwnSpacing;
  /** how it is looked after where that is not as the garden does it */
  practices: ChosenPractices;
  /** the place in its bed that was chosen for it; null where it is laid out with the others */
  at: PlaceInBed | null;
  steps: readonly Milestone[];
}

/** What stood in a bed in an earlier season, in the order in which it did. */
export interface Grown {
  bedId: string;
  year: number;
  crop: Crop;
}

/** Everything a season's plan is judged and made from. */
export interface YearPlan {
  year: number;
  beds: readonly PlannedBed[];
  plantings: readonly PlannedPlanting[];
  /** seasons before, for rotation */
  before: readonly Grown[];
  /** plantings of the season after, as far as they are planned */
  after: readonly PlannedPlanting[];
  latitude: number;
  /** degrees that true north lies clockwise from the top of the plan */
  north: number;
  rules: HouseRules;
  evidence: readonly Evidence[];
  today: Day;
  /** the first day of the season, for what stands from before it */
  seasonFirst: Day;
  /** cover crops the garden can choose from */
  covers: readonly Crop[];
  /** the almanac of a bed, with its own offset, under what protects a planting */
  almanacOf(bedId: string, protection?: Protection): Almanac;
}

/** A bed sees the same family again after so many years at the earliest. Common practice, no source (KNOWLEDGE 6). */
export const ROTATION_YEARS = 4;
/** What rotation does not count: it feeds the soil, or is there for the bees. */
const uncounted = ['coverCrops'];
export const rotates = (crop: Crop): boolean =>
  !crop.perennial && !uncounted.includes(crop.family) && crop.harvest.style !== 'flowers';

/** The last season before `year`, within the span of rotation, in which a bed bore a family; null for none. */
export function lastYearOf(
  plan: Pick<YearPlan, 'before'>,
  bedId: string,
  family: string,
  year: number,
): number | null {
  const years = plan.before
    .filter(
      (grown) =>
        grown.bedId === bedId &&
        grown.crop.family === family &&
        rotates(grown.crop) &&
        grown.year < year &&
        grown.year > year - ROTATION_YEARS,
    )
    .map((grown) => grown.year);
  return years.length > 0 ? Math.max(...years) : null;
}

/**
 * For how many years a bed has been without a family: 0 where it grows there in this one, and no more than rotation counts.
 * @param bore families that it bore, each in a year
 */
export function yearsWithout(
  family: string,
  year: number,
  bore: readonly { family: string; year: number }[],
): number {
  const years = bore.filter((one) => one.family === family).map((one) => year - one.year);
  return Math.min(ROTATION_YEARS, ...years);
}
