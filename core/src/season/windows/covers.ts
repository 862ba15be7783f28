import type { Crop } from '../../crops/index.ts';
import { type Almanac, placeForEarlier, YEAR } from '../../place/index.ts';
import { killingPlace } from './frost.ts';
import type { Gate, Gates } from './gates.ts';
import type { Asked, PlaceWindow } from './placeWindow.ts';

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
  return crop.harvest.sign === 'winterKills' && placeForEarlier(almanac.firstFreeze(KILLED_C), 0.5) !== null;
}

const windowOf = (earliest: Gate, best: Gate, latest: Gate): PlaceWindow => ({
  earliest: Math.min(earliest.place, best.place),
  best: best.place,
  latest: Math.max(best.place, latest.place),
  reasons: { earliest: [earliest.reason], best: [best.reason], latest: [latest.reason] },
});

/** When a cover crop that winter kills is sown: its days of growth before the frost that stops it. */
export function winterKilledWindow({ crop, maturity }: Asked, { almanac, year }: Gates): PlaceWindow {
  const atC = crop.frostDamageC;
  const place = killingPlace(crop, almanac) ?? YEAR - 1;
  const before = (days: number): Gate => ({
    place: place - days,
    reason: isWinterKilled(crop, almanac)
      ? { code: 'growsBeforeFrost', days, atC, by: almanac.day(year, place) }
      : { code: 'seldomKilled', atC: KILLED_C },
  });
  return windowOf(before(maturity.most), before(maturity.usual), before(maturity.fewest));
}

/** When a cover crop that stands through the winter is sown: after the heat, and in time to root before the ground freezes. */
export function winterHardyWindow({ maturity }: Asked, gates: Gates): PlaceWindow {
  const { almanac, year } = gates;
  const frozen = gates.soilCooled(FREEZES_C, 'winterComes');
  const days = maturity.fewest;
  const latest: Gate = frozen
    ? {
        place: frozen.place - days,
        reason: { code: 'growsBeforeFreeze', days, by: almanac.day(year, frozen.place) },
      }
    : { place: LAST_WITHOUT_FROST, reason: { code: 'openSeason' } };
  const cooled = (soilC: number): Gate => gates.soilCooled(soilC, 'soilCooled') ?? latest;
  return windowOf(cooled(AFTER_SUMMER_C.from), cooled(AFTER_SUMMER_C.best), latest);
}
