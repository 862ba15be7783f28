import type { Planting } from '@unity-acre/contract/season';
import { type Day, daysBetween } from '@unity-acre/core/calendar';
import { inGroundOf, type MilestoneKind } from '@unity-acre/core/season';

/** A planting as it lies along the year; `indoors` is null for what starts outdoors. */
export interface Span {
  planting: Planting;
  indoors: Day | null;
  inGround: Day;
  firstPick: Day;
  lastPick: Day;
  /** the line of the band it lies in, from 0 */
  lane: number;
}

const dayOf = (planting: Planting, kind: MilestoneKind): Day | null =>
  planting.steps.find((step) => step.kind === kind)?.on ?? null;

/** What stands for years has no sowing in its later ones, and a cover crop no picking. */
function groundSpan(planting: Planting): Pick<Span, 'inGround' | 'firstPick' | 'lastPick'> {
  const last = planting.steps.at(-1)!.on;
  const end = dayOf(planting, 'lastPick') ?? dayOf(planting, 'clear') ?? last;
  return {
    inGround: inGroundOf(planting.steps)?.on ?? planting.steps[0]!.on,
    firstPick: dayOf(planting, 'firstPick') ?? end,
    lastPick: end,
  };
}

/** Lays the plantings of a bed along the year, side by side where they share time in the ground. */
export function spansOf(plantings: readonly Planting[]): Span[] {
  const spans = plantings
    .map((planting) => ({
      planting,
      indoors: dayOf(planting, 'startIndoors'),
      ...groundSpan(planting),
      lane: 0,
    }))
    .sort((a, b) => daysBetween(b.indoors ?? b.inGround, a.indoors ?? a.inGround));
  const free: Day[] = [];
  for (const span of spans) {
    const from = span.indoors ?? span.inGround;
    const lane = free.findIndex((day) => day < from);
    span.lane = lane === -1 ? free.length : lane;
    free[span.lane] = span.lastPick;
  }
  return spans;
}
