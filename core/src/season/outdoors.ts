import type { Crop, DaySpan, Method, Turn } from '../crops/index.ts';
import { placeForEarlier, placeForLater, YEAR } from '../place/index.ts';
import { firstClosed, type Gate, type Gates, lastOpen } from './gates.ts';
import { growthOf } from './growth.ts';
import type { Reason } from './reason.ts';
import type { HouseRules } from './rules.ts';

/** A window as places of the season year, with its reasons. */
export interface PlaceWindow {
  earliest: number;
  best: number;
  latest: number;
  reasons: { earliest: Reason[]; best: Reason[]; latest: Reason[] };
}

/** Days within which seed should be up: hardy seed may take longer, tender seed rots. Common practice, no source. */
const UP_WITHIN_DAYS = { hardy: 21, frostTender: 17, chillTender: 14 };
/** How far before its best day an autumn sowing may start; earlier meets summer heat. Common practice, no source. */
const AUTUMN_LEAD_DAYS = 21;
/** Soil in which what overwinters is planted: from, best, and at the latest while it still roots, °C. From memory. */
const OVERWINTER_SOIL_C = { from: 13, best: 10, last: 4 };
/** Days into the heat in which a cool crop that is just ready can still be picked. Common practice, no source. */
const HEAT_GIVE_DAYS = 14;
/** Days of picking that an autumn sowing is counted back for, at the most. Common practice, no source. */
const MOST_PICKING_COUNTED = 28;
/** Where autumn has no frost, the season ends with the year. */
const NO_FROST = YEAR - 1;

/** True where the catalogue has the crop planted for this part of the season. */
export const hasTurn = (crop: Crop, turn: Turn): boolean => crop.turns.includes(turn);

/** True where the crop can be grown that way in a garden of these rules. */
export function allowsMethod(crop: Crop, method: Method, rules: HouseRules): boolean {
  if (!crop.methods.includes(method)) return false;
  return !(method === 'startIndoors' && crop.family === 'cucurbits' && rules.cucurbits === 'inPlaceOnly');
}

/** What the windows of a planting are reckoned from. */
export interface Asked {
  crop: Crop;
  method: Method;
  /** days from the outdoor step to the first pick at usual warmth */
  maturity: DaySpan;
  /** a stage of another planting that this one waits for */
  stage: Gate | null;
}

/** When a crop goes into the ground in spring: frost, nights and soil open the window, heat and autumn close it. */
export function springWindow(asked: Asked, gates: Gates, rules: HouseRules): PlaceWindow {
  const { crop, method, maturity, stage } = asked;
  const isSown = method === 'sowInPlace';
  const up = isSown ? upAfterDays(crop, gates) : (crop.sproutDays?.fewest ?? 0);
  const frost = gates.frostPast(crop.frostDamageC, rules.frostRisk, up);
  const opening: Gate[] = [frost, gates.soilWarm(isSown ? crop.germination.least : rootsGrowC(crop))];
  if (crop.nightsC) opening.push(gates.nightsSteady(crop.nightsC[0], 1 - rules.frostRisk));
  if (stage) opening.push(stage);
  const earliest = lastOpen(opening);

  const wishes: Gate[] = [earliest];
  if (crop.nightsC) wishes.push(gates.nightsSteady(crop.nightsC[1], 1 - rules.frostRisk));
  if (isSown) wishes.push(gates.soilQuick(crop, upWithin(crop)) ?? earliest);
  else wishes.push(gates.frostPast(crop.frostDamageC, rules.frostRisk / 2, up));
  const wanted = lastOpen(wishes);

  const closing = springEnds(asked, gates);
  // A crop that heat ends is not kept waiting for better soil until the heat is there.
  const best =
    wanted.place > closing.place ? { ...wanted, place: Math.max(earliest.place, closing.place) } : wanted;
  const late = closing.place < best.place;
  const reasons = {
    earliest: [earliest.reason],
    best: best.place === earliest.place && wanted !== earliest ? [earliest.reason] : [wanted.reason],
    latest: late && closing.reason.code === 'mustFinish' ? [mayNotFinish(closing.reason)] : [closing.reason],
  };
  // In a short season the finish can fall before the best day: the window then closes on the best day, and
  // the reason says that the crop may not finish.
  return {
    earliest: earliest.place,
    best: best.place,
    latest: Math.max(best.place, closing.place),
    reasons,
  };

  function mayNotFinish(reason: Extract<Reason, { code: 'mustFinish' }>): Reason {
    return { code: 'mayNotFinish', limit: reason.limit, maturity: maturity.most };
  }
}

/** Slow seed is given twice the days it takes in the best of soils. */
function upWithin(crop: Crop): number {
  const fastest = Math.min(...crop.emergence.map(({ days }) => days));
  return Math.max(UP_WITHIN_DAYS[crop.temperament], Math.round(2 * fastest));
}

/** Soil in which roots of a set-out plant grow, °C. From memory: the base of growth, never frozen ground. */
const rootsGrowC = (crop: Crop): number => Math.max(4, Math.min(crop.growth.base, 13));

/** Days for which frost may still come on a sowing, safe below ground: at most a week, to be safe in a warm spell. */
function upAfterDays(crop: Crop, gates: Gates): number {
  if (crop.emergence.length === 0) return 0;
  const frost = placeForLater(gates.almanac.lastFreeze(crop.frostDamageC), 0.5);
  if (frost === null) return 0;
  // Reckoned with the fastest emergence the spring could bring, three degrees above its usual soil.
  const soilC = gates.soilAt(frost) + 3;
  const rows = crop.emergence;
  const days = rows.find((row) => row.soilC >= soilC)?.days ?? rows.at(-1)!.days;
  return Math.floor(Math.min(days, 7));
}

/** What ends the window of spring: heat for cool crops, else the time left before frost. */
function springEnds({ crop, maturity, method }: Asked, gates: Gates): Gate {
  const { almanac, year } = gates;
  const growth = growthOf(almanac, crop);
  const ends: Gate[] = [];
  const heat = crop.heatEndsC === undefined ? null : gates.heatComes(crop.heatEndsC);
  if (heat) ends.push({ ...heat, place: growth.lastPlaceFor(maturity.fewest, heat.place + HEAT_GIVE_DAYS) });
  if (crop.perennial || crop.overwinters) {
    // What stays for years need only root before winter.
    const frost = placeForEarlier(almanac.firstFreeze(0), 0.5) ?? NO_FROST;
    const limit = Math.round(frost) - ROOTING_DAYS;
    ends.push({ place: limit, reason: { code: 'winterComes', soilC: 0, by: almanac.day(year, limit) } });
  } else {
    const pastFrost = crop.temperament === 'hardy' ? (crop.pastFirstFrostDays ?? 0) : 0;
    const frost = placeForEarlier(almanac.firstFreeze(killsAt(crop)), 0.5) ?? NO_FROST;
    const limit = Math.round(frost) + pastFrost;
    const picking = crop.pickDays.fewest;
    ends.push({
      place: growth.lastPlaceFor(maturity.most, limit - picking),
      reason: {
        code: 'mustFinish',
        limit: almanac.day(year, limit),
        pastFrost,
        maturity: growth.daysFrom(growth.lastPlaceFor(maturity.most, limit - picking), maturity.most),
        picking,
      },
    });
  }
  const end = firstClosed(ends);
  // Bought plants of a crop that is usually started indoors are set out no later than seedlings would be.
  return method === 'sowInPlace' ? end : { ...end, place: Math.max(0, end.place) };
}

/** Days a perennial needs in the ground before winter. Common practice, no source: six weeks. */
const ROOTING_DAYS = 42;

/** The frost that ends a crop's season: the first for what is tender, the damaging one for what is hardy. */
export const killsAt = (crop: Crop): number =>
  crop.temperament === 'hardy' ? 0 : Math.min(0, crop.frostDamageC);

/**
 * When a crop is sown or set out for autumn: counted back from the first frost.
 * First autumn frost − days to maturity − allowance for short days − days of picking wanted.
 * Source: common practice, no source (KNOWLEDGE 3.7).
 */
export function autumnWindow({ crop, maturity, stage }: Asked, gates: Gates, rules: HouseRules): PlaceWindow {
  const { almanac, year } = gates;
  const frost = Math.round(placeForEarlier(almanac.firstFreeze(0), 0.5) ?? NO_FROST);
  const firstFrost = almanac.day(year, frost);
  const pastFrost = crop.pastFirstFrostDays ?? 0;
  const { shortDays } = rules;
  const back = (days: number, wanted: number, past: number): Gate => {
    const picking = Math.min(wanted, MOST_PICKING_COUNTED);
    return {
      place: frost + past - days - shortDays - picking,
      reason: { code: 'countBack', firstFrost, pastFrost: past, maturity: days, shortDays, picking },
    };
  };
  const best = back(maturity.usual, crop.pickDays.usual, Math.round(pastFrost / 2));
  const latest = back(maturity.most, crop.pickDays.fewest, pastFrost);
  const lead: Gate = {
    place: best.place - AUTUMN_LEAD_DAYS,
    reason: { code: 'summerHeat', days: AUTUMN_LEAD_DAYS },
  };
  const hot = gates.almanac.soil(50)[Math.max(0, best.place)]! > crop.germination.most;
  const cooled = hot ? gates.soilCooled(crop.germination.most, 'soilHot') : null;
  const opening = [lead, ...(cooled ? [cooled] : []), ...(stage ? [stage] : [])];
  const earliest = lastOpen(opening);
  const bestGate = earliest.place > best.place ? earliest : best;
  return {
    earliest: earliest.place,
    best: bestGate.place,
    latest: Math.max(bestGate.place, latest.place),
    reasons: { earliest: [earliest.reason], best: [bestGate.reason], latest: [latest.reason] },
  };
}

/** When what stands through the winter is planted: in cooling soil, in time to root. */
export function overwinterWindow(gates: Gates): PlaceWindow {
  const { from, best, last } = OVERWINTER_SOIL_C;
  const never: Gate = { place: NO_FROST - 60, reason: { code: 'soilRarely', soilC: best } };
  const earliest = gates.soilCooled(from, 'soilCooled') ?? never;
  const wanted = gates.soilCooled(best, 'soilCooled') ?? { ...never, place: never.place + 14 };
  const latest = gates.soilCooled(last, 'winterComes') ?? { ...never, place: NO_FROST };
  return {
    earliest: earliest.place,
    best: Math.max(earliest.place, wanted.place),
    latest: Math.max(wanted.place, latest.place),
    reasons: { earliest: [earliest.reason], best: [wanted.reason], latest: [latest.reason] },
  };
}
