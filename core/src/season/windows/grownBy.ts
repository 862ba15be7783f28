import type { Crop } from '../../crops/index.ts';
import { type SeasonDay, YEAR } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import type { HouseRules } from '../rules.ts';
import { killingSeasonDay } from './frost.ts';
import type { Gates } from './gates.ts';
import { daysToPick } from './growth.ts';
import type { Asked } from './seasonWindow.ts';

/** Growth this small a share of the usual is standing still. From memory: about the ten hours of daylight at 45°. */
const STANDSTILL = { hardy: 0.25, tender: 0.4 };
/** Days before the frost that damages a hardy crop by which it is to be grown. Common practice, no source. */
const BEFORE_DAMAGE_DAYS = 7;
/** A tender crop is worth its ground where it is picked at least so long, days. Common practice, no source. */
const WORTHWHILE_DAYS = { fewest: 10, most: 21 };

/** By when a crop has to be ready in autumn, and why. */
export interface Deadline {
  seasonDay: SeasonDay;
  /** @param maturity days it takes from where the window closes */
  reason(maturity: number): Reason;
}

/**
 * By when a crop has to be ready: what is tender while there are still some weeks to pick before the frost, what is hardy
 * by the day growth stops or a hard frost damages it, less the garden's allowance for short days; it then stands, and is
 * picked on. Null where neither frost nor the dark of the year sets an end.
 * Source: common practice, no source (KNOWLEDGE 3.7 and 3.10).
 */
export function grownBy(crop: Crop, gates: Gates, rules: HouseRules): Deadline | null {
  const { almanac, year } = gates;
  const frost = killingSeasonDay(crop, almanac);
  if (crop.hardiness !== 'hardy') {
    const stops = gates.growthStops(crop, STANDSTILL.tender);
    if (frost === null && stops === null) return null;
    const limit = Math.min(frost ?? Number.POSITIVE_INFINITY, stops ?? Number.POSITIVE_INFINITY);
    const picking = Math.min(WORTHWHILE_DAYS.most, Math.max(WORTHWHILE_DAYS.fewest, crop.pickDays.fewest));
    return {
      seasonDay: limit - picking,
      reason: (maturity) => ({ code: 'mustFinish', limit: almanac.day(year, limit), maturity, picking }),
    };
  }
  const stops = gates.growthStops(crop, STANDSTILL.hardy);
  if (stops === null && frost === null) return null;
  const damage = frost === null ? Number.POSITIVE_INFINITY : frost - BEFORE_DAMAGE_DAYS;
  const isLight = (stops ?? Number.POSITIVE_INFINITY) <= damage;
  const limit = Math.min(stops ?? Number.POSITIVE_INFINITY, damage);
  const { shortDays } = rules;
  const by = almanac.day(year, limit);
  return {
    seasonDay: limit - shortDays,
    reason: (maturity) =>
      isLight
        ? { code: 'grownBeforeDark', by, maturity, shortDays }
        : { code: 'grownBeforeFrost', by, atC: crop.frostDamageC, maturity, shortDays },
  };
}

/**
 * Where a crop sown or set out at a season day is first picked.
 * @param days days to the first pick at the usual warmth
 */
function pickPlace(
  { crop, method }: Pick<Asked, 'crop' | 'method'>,
  gates: Gates,
  seasonDay: SeasonDay,
  days: number,
): number {
  const up = method === 'sowInPlace' ? gates.daysToUp(crop, seasonDay, 0) : 0;
  return seasonDay + daysToPick(gates.almanac, crop, seasonDay, days, up);
}

/** The last season day from which a crop is first picked by `limit`. */
export function lastStart(asked: Asked, gates: Gates, limit: number, days = asked.maturity.usual): number {
  let low = Math.round(limit) - 2 * YEAR;
  let high = Math.round(limit);
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (pickPlace(asked, gates, middle, days) <= limit) low = middle;
    else high = middle - 1;
  }
  return low;
}
