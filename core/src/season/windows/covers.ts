import type { Crop } from '../../crops/index.ts';
import { type Almanac, earlierQuantile, YEAR } from '../../place/index.ts';
import { killingSeasonDay } from './frost.ts';
import type { Gate, Gates } from './gates.ts';
import type { Asked, SeasonWindow } from './seasonWindow.ts';

/*
 * When cover crops are sown. Those that winter kills want their weeks of growth before the frost that stops them; those that
 * stand through it a few weeks before the ground freezes. Common practice, no source; temperatures from memory.
 */

/** A night that kills oats, field peas and radish, °C. */
const KILLED_C = -8;
/** Soil at seed depth when the ground begins to freeze, °C. */
const FREEZES_C = 0;
/** Soil in which rye and vetch are first sown, and in which it is best, °C. */
const AFTER_SUMMER_C = { from: 17, best: 15 };
/** Where the ground never freezes what stands through the winter is sown up to the beginning of December. */
const LAST_WITHOUT_FROST = YEAR - 31;

export const isCover = (crop: Crop): boolean => crop.harvest.style === 'cover';

/** Whether winter kills a cover crop in most years at a spot. A mix that is grown for being killed makes sense only there. */
export function isWinterKilled(crop: Crop, almanac: Almanac): boolean {
  return crop.harvest.sign === 'winterKills' && earlierQuantile(almanac.firstFreeze(KILLED_C), 0.5) !== null;
}

const windowOf = (earliest: Gate, best: Gate, latest: Gate): SeasonWindow => ({
  earliest: Math.min(earliest.seasonDay, best.seasonDay),
  best: best.seasonDay,
  latest: Math.max(best.seasonDay, latest.seasonDay),
  reasons: { earliest: [earliest.reason], best: [best.reason], latest: [latest.reason] },
});

/** When a cover crop that winter kills is sown: its days of growth before the frost that stops it. */
export function winterKilledWindow({ crop, maturity }: Asked, { almanac, year }: Gates): SeasonWindow {
  const atC = crop.frostDamageC;
  const seasonDay = killingSeasonDay(crop, almanac) ?? YEAR - 1;
  const before = (days: number): Gate => ({
    seasonDay: seasonDay - days,
    reason: isWinterKilled(crop, almanac)
      ? { code: 'growsBeforeFrost', days, atC, by: almanac.day(year, seasonDay) }
      : { code: 'seldomKilled', atC: KILLED_C },
  });
  return windowOf(before(maturity.most), before(maturity.usual), before(maturity.fewest));
}

/** When a cover crop that stands through the winter is sown: after the heat, and in time to root before the ground freezes. */
export function winterHardyWindow({ maturity }: Asked, gates: Gates): SeasonWindow {
  const { almanac, year } = gates;
  const frozen = gates.soilCooled(FREEZES_C, 'winterComes');
  const days = maturity.fewest;
  const latest: Gate = frozen
    ? {
        seasonDay: frozen.seasonDay - days,
        reason: { code: 'growsBeforeFreeze', days, by: almanac.day(year, frozen.seasonDay) },
      }
    : { seasonDay: LAST_WITHOUT_FROST, reason: { code: 'openSeason' } };
  const cooled = (soilC: number): Gate => gates.soilCooled(soilC, 'soilCooled') ?? latest;
  return windowOf(cooled(AFTER_SUMMER_C.from), cooled(AFTER_SUMMER_C.best), latest);
}
