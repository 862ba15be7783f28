import type { Day } from '../../calendar/index.ts';
import { FULL_SUN_HOURS, groundArea, PART_SUN_HOURS, workedOutline } from '../../ground/index.ts';
import { inGroundOf } from '../milestone.ts';
import { type GroundTaken, inGroundSpan, laidOut, overfull } from '../space.ts';
import { lastYearOf, type PlannedBed, type PlannedPlanting, rotates, type YearPlan } from '../yearPlan.ts';
import type { Finding } from './finding.ts';

/** A planting as it takes ground in a season's plan. */
export const takenBy = (
  planting: PlannedPlanting,
  { seasonFirst }: Pick<YearPlan, 'seasonFirst'>,
): GroundTaken => {
  const { id, width, length, betweenId } = planting;
  return { id, width, length, betweenId, ...inGroundSpan(planting.steps, seasonFirst) };
};

/** What the ground of one bed says: room by day, rotation, feeding, sun, soil, cover crops. */
export function findingsOfBed(plan: YearPlan, bed: PlannedBed, here: readonly PlannedPlanting[]): Finding[] {
  return [
    ...room(plan, bed, here),
    ...here.flatMap((planting) => ofPlanting(plan, bed, planting)),
    ...feeding(plan, bed, here),
    ...covers(plan, bed, here),
  ];
}

function room(plan: YearPlan, bed: PlannedBed, here: readonly PlannedPlanting[]): Finding[] {
  const taken = here.map((planting) => takenBy(planting, plan));
  const area = groundArea(bed);
  const full = overfull(taken, area).map((span): Finding => {
    const { from, until } = span;
    const involved = taken.filter((one) => one.from <= until && from <= one.until).map(({ id }) => id);
    return { code: 'overfull', bedId: bed.id, plantingIds: involved, from, until, share: span.area / area };
  });
  if (full.length > 0) return full;
  const { across, along } = workedOutline(bed);
  const lying = laidOut(across, along, taken);
  // A round bed or a wedge has less ground than its box: there the area decides alone.
  const left = bed.form === 'rectangle' ? taken.filter(({ id }) => !lying.has(id)) : [];
  return left.map(({ id }) => ({ code: 'noPlaceLeft', bedId: bed.id, plantingIds: [id] }));
}

/** What a bed does not have that a planting needs, and what stood there before. */
export function ofPlanting(plan: YearPlan, bed: PlannedBed, { id, crop }: PlannedPlanting): Finding[] {
  const at = { bedId: bed.id, plantingIds: [id] };
  const found: Finding[] = [];
  const last = rotates(crop) ? lastYearOf(plan, bed.id, crop.family, plan.year) : null;
  if (last !== null) {
    found.push({ code: 'rotation', ...at, family: crop.family, last, again: last + 4 });
  }
  if (bed.soilDepth !== null && crop.soilDepth > bed.soilDepth + 0.005) {
    found.push({ code: 'soilDepth', ...at, needed: crop.soilDepth, there: bed.soilDepth });
  }
  const needed = crop.sun === 'full' ? FULL_SUN_HOURS : PART_SUN_HOURS;
  if (bed.sunHours !== null && bed.sunHours < needed - 0.05) {
    found.push({ code: 'sun', ...at, needed, there: bed.sunHours });
  }
  return found;
}

/** Heavy feeders that follow heavy feeders, within the season or from the one before. */
function feeding(plan: YearPlan, bed: PlannedBed, here: readonly PlannedPlanting[]): Finding[] {
  const heavy = here
    .filter(({ crop, betweenId }) => crop.feeding === 'heavy' && !crop.perennial && betweenId === null)
    .map((planting) => ({ planting, span: inGroundSpan(planting.steps, plan.seasonFirst) }))
    .sort((a, b) => a.span.from.localeCompare(b.span.from));
  const followed = heavy.flatMap(({ planting, span }): Finding[] => {
    const before = heavy.find((other) => other.span.until < span.from);
    return before
      ? [{ code: 'heavyAfterHeavy', bedId: bed.id, plantingIds: [before.planting.id, planting.id] }]
      : [];
  });
  const lastYear = plan.before.filter(({ bedId, year }) => bedId === bed.id && year === plan.year - 1);
  const first = heavy[0];
  const stoodHeavy = lastYear.some(({ crop }) => crop.feeding === 'heavy' && !crop.perennial);
  const rested = lastYear.some(({ crop }) => crop.family === 'coverCrops' || crop.feeding === 'fixes');
  if (first && stoodHeavy && !rested) {
    followed.push({ code: 'heavyAfterHeavy', bedId: bed.id, plantingIds: [first.planting.id] });
  }
  return followed;
}

/** The first day on which the season after needs a bed; null where nothing is planned there. */
function firstNeedOf(plan: YearPlan, bedId: string): Day | null {
  const days = plan.after
    .filter((planting) => planting.bedId === bedId && !planting.crop.perennial)
    .flatMap(({ steps }) => inGroundOf(steps)?.on ?? []);
  return days.length > 0 ? days.reduce((a, b) => (a.localeCompare(b) <= 0 ? a : b)) : null;
}

/** A cover crop that is still growing when the next year's first crop goes in. */
function covers(plan: YearPlan, bed: PlannedBed, here: readonly PlannedPlanting[]): Finding[] {
  const next = firstNeedOf(plan, bed.id);
  if (next === null) return [];
  return here.flatMap((planting): Finding[] => {
    if (planting.crop.harvest.style !== 'cover') return [];
    const { until } = inGroundSpan(planting.steps, plan.seasonFirst);
    return until >= next
      ? [{ code: 'coverInTheWay', bedId: bed.id, plantingIds: [planting.id], until, next }]
      : [];
  });
}
