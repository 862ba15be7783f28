import { addDays, type Day } from '../../calendar/index.ts';
import { groundArea, workedOutline } from '../../ground/index.ts';
import { amounts } from '../amounts.ts';
import { startOf } from '../milestone.ts';
import { milestones } from '../reckon.ts';
import { overfull } from '../space.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from '../yearPlan.ts';
import { findingsOfBed, ofPlanting, takenBy } from './byBed.ts';
import type { Finding, Remedy } from './finding.ts';
import { apart, BLOCK_ROWS } from './together.ts';

/** So many other beds are offered. */
const MOST_BEDS = 3;

/**
 * Changes that would end a finding, the best first. Each was tried: what is offered fits and brings nothing of its kind
 * elsewhere. What is logged already is never moved.
 */
export function remediesFor(plan: YearPlan, finding: Finding): Remedy[] {
  const involved = finding.plantingIds.flatMap((id) => plan.plantings.find((one) => one.id === id) ?? []);
  const free = involved.filter(({ steps }) => !steps.some(({ done }) => done));
  const last = free.at(-1);
  switch (finding.code) {
    case 'overfull':
      return [
        ...free.toReversed().flatMap((one) => waits(plan, one)),
        ...free.toReversed().flatMap((one) => between(plan, one, involved)),
        ...(last ? shorter(plan, last, finding.share) : []),
        ...free.toReversed().flatMap((one) => elsewhere(plan, one)),
      ].slice(0, 6);
    case 'ripeTogether':
      return last ? later(plan, last, 14) : [];
    case 'kindsCross':
      return last ? later(plan, last, finding.needed - finding.days) : [];
    case 'pollinationBlock':
      return last ? asBlock(plan, last) : [];
    case 'coverInTheWay':
      return last ? winterKilled(plan, last) : [];
    case 'noPlaceLeft':
    case 'rotation':
    case 'apart':
    case 'shadesLower':
    case 'soilDepth':
    case 'sun':
    case 'tenderScattered':
    case 'heavyAfterHeavy':
      return last ? elsewhere(plan, last, finding.code === 'tenderScattered' ? 'tender' : undefined) : [];
    default:
      return [];
  }
}

/** A planting moved to a bed, its steps reckoned there; null where the crop does not grow there so. */
function movedTo(plan: YearPlan, planting: PlannedPlanting, bed: PlannedBed): PlannedPlanting | null {
  const { across, along } = workedOutline(bed);
  const width = Math.min(planting.width, across);
  // As much ground as before, where the bed is narrower.
  const length = Math.min(along, (planting.width * planting.length) / width);
  if (width * length < planting.width * planting.length * 0.95) return null;
  const steps = reckoned(plan, { ...planting, bedId: bed.id }, startOf(planting.steps)?.on ?? null);
  return steps && { ...planting, bedId: bed.id, width, length, betweenId: null, steps };
}

/** The steps of a planting with another start. */
function reckoned(plan: YearPlan, planting: PlannedPlanting, startOn: Day | null) {
  const { crop, variety, method, turn, bedId } = planting;
  return milestones(
    { crop, variety, method, turn, year: plan.year, startOn },
    plan.almanacOf(bedId),
    plan.rules,
  );
}

function elsewhere(plan: YearPlan, planting: PlannedPlanting, prefer?: 'tender'): Remedy[] {
  const from = plan.beds.find(({ id }) => id === planting.bedId);
  const tenderIn = (bed: PlannedBed) =>
    plan.plantings.filter(({ bedId, crop }) => bedId === bed.id && crop.temperament !== 'hardy').length;
  const order = [...plan.beds]
    .filter((bed) => bed.id !== planting.bedId && bed.tenure === (from?.tenure ?? null))
    .sort((a, b) => (prefer ? tenderIn(b) - tenderIn(a) : 0));
  const offers: Remedy[] = [];
  for (const bed of order) {
    const moved = movedTo(plan, planting, bed);
    if (!moved || !fits(plan, bed, moved)) continue;
    offers.push({ kind: 'moveBed', plantingId: planting.id, bedId: bed.id });
    if (offers.length === MOST_BEDS) break;
  }
  return offers;
}

/** True where a bed takes a planting without a word: room, rotation, soil, sun, feeding, neighbours. */
function fits(plan: YearPlan, bed: PlannedBed, planting: PlannedPlanting): boolean {
  const here = plan.plantings.filter(({ bedId, id }) => bedId === bed.id && id !== planting.id);
  const with_ = [...here, planting];
  if (ofPlanting(plan, bed, planting).length > 0) return false;
  const names = (found: Finding[]) => found.filter(({ plantingIds }) => plantingIds.includes(planting.id));
  return names(findingsOfBed(plan, bed, with_)).length === 0 && names(apart(plan, with_)).length === 0;
}

/** The planting begins after the ground is free, as far as its window goes. */
function waits(plan: YearPlan, planting: PlannedPlanting): Remedy[] {
  const start = startOf(planting.steps);
  if (!start || planting.betweenId !== null) return [];
  const bed = plan.beds.find(({ id }) => id === planting.bedId);
  if (!bed) return [];
  const others = plan.plantings
    .filter(({ bedId, id }) => bedId === bed.id && id !== planting.id)
    .map((one) => takenBy(one, plan));
  for (let days = 1; days <= 60; days += 1) {
    const startOn = addDays(start.on, days);
    if (startOn > start.window.latest) return [];
    const steps = reckoned(plan, planting, startOn);
    if (!steps) return [];
    const taken = takenBy({ ...planting, steps }, plan);
    if (overfull([...others, taken], groundArea(bed)).length === 0) {
      return [{ kind: 'startOn', plantingId: planting.id, startOn }];
    }
  }
  return [];
}

/** A low, quick crop between the rows of a slow one, where the two are known to share room. */
function between(plan: YearPlan, planting: PlannedPlanting, others: readonly PlannedPlanting[]): Remedy[] {
  const own = takenBy(planting, plan);
  return others.flatMap((host): Remedy[] => {
    if (host.id === planting.id || host.betweenId !== null || host.crop.family === planting.crop.family)
      return [];
    const taken = takenBy(host, plan);
    const isQuick = own.until <= taken.until && planting.crop.height <= 0.4;
    const isRoomy = host.crop.betweenRows >= 2 * planting.crop.intensive;
    return isQuick && isRoomy ? [{ kind: 'between', plantingId: planting.id, betweenId: host.id }] : [];
  });
}

function shorter(plan: YearPlan, planting: PlannedPlanting, share: number): Remedy[] {
  const bed = plan.beds.find(({ id }) => id === planting.bedId);
  if (!bed) return [];
  const over = (share - 1) * groundArea(bed);
  const length = Math.floor(((planting.width * planting.length - over) / planting.width) * 100) / 100;
  const { crop, method, pattern, width } = planting;
  if (length <= crop.inRow || amounts(crop, method, pattern, width, length, bed).plants === 0) return [];
  return [{ kind: 'length', plantingId: planting.id, length }];
}

function later(plan: YearPlan, planting: PlannedPlanting, days: number): Remedy[] {
  const start = startOf(planting.steps);
  if (!start) return [];
  const pickOf = (steps: PlannedPlanting['steps'] | null) =>
    steps?.find(({ kind }) => kind === 'firstPick')?.on;
  const wanted = addDays(pickOf(planting.steps) ?? start.on, days);
  for (let more = 1; more <= 70; more++) {
    const startOn = addDays(start.on, more);
    if (startOn > start.window.latest) return [];
    const pick = pickOf(reckoned(plan, planting, startOn));
    if (pick && pick >= wanted) return [{ kind: 'startOn', plantingId: planting.id, startOn }];
  }
  return [];
}

function asBlock(plan: YearPlan, planting: PlannedPlanting): Remedy[] {
  const bed = plan.beds.find(({ id }) => id === planting.bedId);
  const { crop, method, width, length } = planting;
  const { rows } = amounts(crop, method, 'square', width, length, bed).packing;
  return rows >= BLOCK_ROWS ? [{ kind: 'square', plantingId: planting.id }] : [];
}

/** A mix that winter kills, where one is known. The catalogue's cover crops say how they end. */
function winterKilled(plan: YearPlan, planting: PlannedPlanting): Remedy[] {
  const known = plan.covers.find(({ harvest }) => harvest.sign === 'winterKills');
  return known
    ? [{ kind: 'crop', plantingId: planting.id, cropId: known.id, varietyId: known.varieties[0]!.id }]
    : [];
}
