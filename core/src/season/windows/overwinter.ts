import { YEAR } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import { placeDoubts, winterDoubts } from './doubts.ts';
import type { Gates } from './gates.ts';
import { growingHeat } from './hotSpell.ts';
import type { Asked, SeasonWindow } from './seasonWindow.ts';

/** Planting about eight weeks before the shortest day roots what stands through the winter. Common practice, no source. */
const BEFORE_SHORTEST_DAYS = 56;
/** Days it wants before the ground freezes: for the best, and at the least. Common practice, no source. */
const ROOTING_DAYS = { best: 45, fewest: 14 };
/** Soil at seed depth when the ground begins to freeze, °C. */
const FREEZES_C = 2;
/** Days before and after the best in which it may be planted. Common practice, no source: four weeks, and six. */
const SPAN_DAYS = { before: 28, after: 42 };
/** The shortest day, in days before the end of a season year. */
const SHORTEST = YEAR - 10;

/** When what stands through the winter is planted: as the days shorten, in time to root before the ground freezes. */
export function overwinterWindow({ crop, variety }: Asked, gates: Gates): SeasonWindow {
  const { almanac, year } = gates;
  const frozen = gates.soilCooled(FREEZES_C, 'winterComes');
  const byLight = SHORTEST - BEFORE_SHORTEST_DAYS;
  const byGround = frozen ? frozen.seasonDay - ROOTING_DAYS.best : Number.POSITIVE_INFINITY;
  const best = Math.min(byLight, byGround);
  // Where the ground never freezes it may go in until midwinter.
  const latest = frozen
    ? Math.max(best, Math.min(best + SPAN_DAYS.after, frozen.seasonDay - ROOTING_DAYS.fewest))
    : YEAR;
  const shortens: Reason = {
    code: 'daysShorten',
    days: BEFORE_SHORTEST_DAYS,
    shortest: almanac.day(year, SHORTEST),
  };
  const roots = (days: number): Reason[] =>
    frozen ? [{ code: 'growsBeforeFreeze', days, by: almanac.day(year, frozen.seasonDay) }] : [shortens];
  const doubts = [...placeDoubts(crop, variety, almanac), ...winterDoubts(crop, almanac)];
  if (growingHeat(almanac, crop)?.from === null) doubts.push({ code: 'tooHot', highC: crop.heatEndsC! });
  return {
    earliest: best - SPAN_DAYS.before,
    best,
    latest,
    reasons: {
      earliest: best === byLight ? [shortens] : roots(ROOTING_DAYS.best),
      best: best === byLight ? [shortens] : roots(ROOTING_DAYS.best),
      latest: [...roots(ROOTING_DAYS.fewest), ...doubts],
    },
  };
}
