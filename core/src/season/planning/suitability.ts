import { addDays, type Day, daysBetween } from '../../calendar/index.ts';
import { type Crop, type Neighbour, neighboursOf } from '../../crops/index.ts';
import { FULL_SUN_HOURS, gapBetween, outlineOf, PART_SUN_HOURS } from '../../ground/index.ts';
import type { Milestone } from '../milestones/index.ts';
import { isCover } from '../windows/index.ts';
import { inGroundSpan } from './space.ts';
import {
  lastYearOf,
  type PlannedBed,
  type PlannedPlanting,
  ROTATION_YEARS,
  rotates,
  type YearPlan,
} from './yearPlan.ts';

/* What makes a bed fit for a crop: the one answer that findings, placement and the roll-over into the next season go by. */

/** Hours of sun are told to a tenth: half of that does not decide. */
const TOLD_HOURS = 0.05;
/** Depths are measured to half a centimetre. */
const MEASURED_M = 0.005;

/** What a bed lacks for a crop, whenever it would stand there. */
export type Lack =
  /** it bore the family in `last`, and may again in `again` */
  | { is: 'rotation'; last: number; again: number }
  /** hours of sun a day */
  | { is: 'sun'; needed: number; there: number }
  /** loose soil, metres */
  | { is: 'soilDepth'; needed: number; there: number };

type LackOf<Is extends Lack['is']> = Extract<Lack, { is: Is }>;

/** Hours of sun a day that a crop wants. */
export const sunWanted = ({ sun }: Crop): number => (sun === 'full' ? FULL_SUN_HOURS : PART_SUN_HOURS);

/** What a bed lacks for a crop in the season of a plan; nothing where it is fit, or where that is not known of it. */
export function lacksOf(plan: Pick<YearPlan, 'before' | 'year'>, bed: PlannedBed, crop: Crop): Lack[] {
  const lacks: Lack[] = [];
  const last = rotates(crop) ? lastYearOf(plan, bed.id, crop.family, plan.year) : null;
  if (last !== null) lacks.push({ is: 'rotation', last, again: last + ROTATION_YEARS });
  const needed = sunWanted(crop);
  if (bed.sunHours !== null && bed.sunHours < needed - TOLD_HOURS) {
    lacks.push({ is: 'sun', needed, there: bed.sunHours });
  }
  if (bed.soilDepth !== null && crop.soilDepth > bed.soilDepth + MEASURED_M) {
    lacks.push({ is: 'soilDepth', needed: crop.soilDepth, there: bed.soilDepth });
  }
  return lacks;
}

/** One lack of a bed for a crop; undefined where it does not lack that. */
export const lackOf = <Is extends Lack['is']>(
  is: Is,
  plan: Pick<YearPlan, 'before' | 'year'>,
  bed: PlannedBed,
  crop: Crop,
): LackOf<Is> | undefined => lacksOf(plan, bed, crop).find((lack): lack is LackOf<Is> => lack.is === is);

/** What keeps two crops apart, as far as a garden goes by it; undefined where nothing does. */
export const keptApart = (
  a: Crop,
  b: Crop,
  { evidence }: Pick<YearPlan, 'evidence'>,
): Neighbour | undefined =>
  a.id === b.id
    ? undefined
    : neighboursOf(a, evidence).find(
        (one) => one.is === 'apart' && (one.with === b.id || one.with === b.family),
      );

/** Something in the ground for a time, both days included. */
export interface Stand {
  bedId: string;
  crop: Crop;
  from: Day;
  until: Day;
}

/** A planting as it stands in its bed. */
export const standOf = (
  { bedId, crop, steps }: Pick<PlannedPlanting, 'bedId' | 'crop' | 'steps'>,
  { seasonFirst }: Pick<YearPlan, 'seasonFirst'>,
): Stand => ({ bedId, crop, ...inGroundSpan(steps, seasonFirst) });

/** What keeps two apart that stand in one bed on a day at least; undefined where nothing does. */
export const harmTogether = (a: Stand, b: Stand, plan: Pick<YearPlan, 'evidence'>): Neighbour | undefined =>
  a.bedId === b.bedId && a.from <= b.until && b.from <= a.until ? keptApart(a.crop, b.crop, plan) : undefined;

/** Days between the tassels of two kinds of corn that keep them apart. Common practice, no source (KNOWLEDGE 4). */
export const TASSEL_DAYS = 14;
/**
 * Days from tassel to the first ears: sweet corn is picked milky, three weeks on; popcorn and flour corn ripen for seven to
 * eight weeks and then dry on the stalk. From memory.
 */
const TASSEL_BEFORE_PICK = { milky: 21, dry: 52 };

/** Whether its kernels come true only where no other kind's pollen blows in. */
export const isCorn = (crop: Crop): boolean =>
  crop.isolation.by === 'wind' && crop.family === 'grasses' && !isCover(crop);

/** The day a planting of corn tassels; null where it is never picked. */
export function tasselOf(crop: Crop, steps: readonly Milestone[]): Day | null {
  const pick = steps.find(({ kind }) => kind === 'firstPick')?.on;
  return pick ? addDays(pick, -TASSEL_BEFORE_PICK[crop.harvest.style === 'seed' ? 'dry' : 'milky']) : null;
}

/** Corn in a bed, with its steps. */
export interface CornStand {
  crop: Crop;
  bed: PlannedBed | undefined;
  steps: readonly Milestone[];
}

/**
 * Days between the tassels of two kinds of corn whose pollen reaches each other; null where they are one kind, too far apart, or
 * far enough in time.
 */
export function tasselsMeet(a: CornStand, b: CornStand): number | null {
  if (a.crop.id === b.crop.id || !isCorn(a.crop) || !isCorn(b.crop)) return null;
  const [first, second] = [tasselOf(a.crop, a.steps), tasselOf(b.crop, b.steps)];
  if (!first || !second) return null;
  const days = Math.abs(daysBetween(first, second));
  const gap = a.bed && b.bed ? gapBetween(outlineOf(a.bed), outlineOf(b.bed)) : 0;
  return days >= TASSEL_DAYS || gap > a.crop.isolation.metres ? null : days;
}
