import { addDays } from '../../calendar/index.ts';
import type { DaySpan } from '../../crops/index.ts';
import type { PlantingPlan } from '../plan.ts';
import type { Reason } from '../reason.ts';
import type { HouseRules } from '../rules.ts';
import { autumnWindow } from './autumn.ts';
import { isCover, winterHardyWindow, winterKilledWindow } from './covers.ts';
import type { Gate, Gates } from './gates.ts';
import { overwinterWindow } from './overwinter.ts';
import type { Asked, SeasonWindow } from './seasonWindow.ts';
import { springWindow } from './spring.ts';

const known = new WeakMap<Gates, Map<string, SeasonWindow>>();

/**
 * When a planting is sown in place or set out. Worked out once for all plantings that are alike.
 * @param maturity days from there to the first pick at usual warmth
 */
export function windowOf(
  plan: PlantingPlan,
  maturity: DaySpan,
  gates: Gates,
  rules: HouseRules,
): SeasonWindow {
  const { crop, variety, method, cropping, after: stage } = plan;
  if (stage)
    return worked({ crop, variety, method, maturity, stage: gateOf(stage, gates) }, cropping, gates, rules);
  let windows = known.get(gates);
  if (!windows) {
    windows = new Map();
    known.set(gates, windows);
  }
  const key = keyOf(plan, rules);
  let window = windows.get(key);
  if (window === undefined) {
    window = worked({ crop, variety, method, maturity, stage: null }, cropping, gates, rules);
    windows.set(key, window);
  }
  return window;
}

const serials = new WeakMap<object, number>();
let lastSerial = 0;

/** A number for a crop or a variety as it stands: a garden's own word on it makes another of it. */
function serialOf(thing: object): number {
  let serial = serials.get(thing);
  if (serial === undefined) {
    serial = ++lastSerial;
    serials.set(thing, serial);
  }
  return serial;
}

const keyOf = (
  { crop, variety, method, cropping }: PlantingPlan,
  { frostRisk, shortDays }: HouseRules,
): string => `${serialOf(crop)} ${serialOf(variety)} ${method} ${cropping} ${frostRisk} ${shortDays}`;

function gateOf({ cropId, from, days }: NonNullable<PlantingPlan['after']>, { almanac, year }: Gates): Gate {
  const reason: Reason = { code: 'afterStage', cropId, days, from };
  return { seasonDay: almanac.seasonDayOf(year, addDays(from, days)), reason };
}

function worked(
  asked: Asked,
  cropping: PlantingPlan['cropping'],
  gates: Gates,
  rules: HouseRules,
): SeasonWindow {
  if (isCover(asked.crop))
    return cropping === 'overwinter' ? winterHardyWindow(asked, gates) : winterKilledWindow(asked, gates);
  if (cropping === 'overwinter') return overwinterWindow(asked, gates);
  return cropping === 'spring' ? springWindow(asked, gates, rules) : autumnWindow(asked, gates, rules);
}
