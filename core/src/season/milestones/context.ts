import type { Day } from '../../calendar/index.ts';
import { type Almanac, almanacOfYear, laterQuantile } from '../../place/index.ts';
import type { PlantingPlan } from '../plan.ts';
import type { HouseRules } from '../rules.ts';
import type { Gates, SeasonWindow } from '../windows/index.ts';
import type { Chain } from './chain.ts';
import type { BoundReasons, Window } from './milestone.ts';

/** Everything a computation goes through, handed from step to step. */
export interface MilestoneContext {
  plan: PlantingPlan;
  almanac: Almanac;
  rules: HouseRules;
  gates: Gates;
  chain: Chain;
}

/** A window in days, with its reasons. */
export type DatedWindow = Window & { reasons: BoundReasons };

export function dated(almanac: Almanac, year: number, window: SeasonWindow): DatedWindow {
  const earliest = almanac.day(year, window.earliest);
  const best = window.best === window.earliest ? earliest : almanac.day(year, window.best);
  return { earliest, best, latest: almanac.day(year, window.latest), reasons: window.reasons };
}

/** The median last frost of a season year; where there is none, when the spring begins by the calendar. */
export function springAnchor(spot: Almanac, year: number): Day {
  const almanac = almanacOfYear(spot, year);
  return almanac.day(year, laterQuantile(almanac.lastFreeze(0), 0.5) ?? SPRING_WITHOUT_FROST);
}

/** 1 March, and 1 September in the south. */
const SPRING_WITHOUT_FROST = 59;
