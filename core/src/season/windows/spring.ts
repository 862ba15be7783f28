import type { Crop } from '../../crops/index.ts';
import { laterQuantile, YEAR } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import type { HouseRules } from '../rules.ts';
import { deadlineCloses, heatCloses, missed } from './closings.ts';
import { placeDoubts } from './doubts.ts';
import { firstFrostSeasonDay, killingSeasonDay } from './frost.ts';
import { firstClosed, type Gate, type Gates, lastOpen } from './gates.ts';
import { grownBy, lastStart } from './grownBy.ts';
import { growingHeat } from './hotSpell.ts';
import type { Asked, SeasonWindow } from './seasonWindow.ts';

/** Days within which seed should be up: hardy seed may take longer, tender seed rots. Common practice, no source. */
const UP_WITHIN_DAYS = { hardy: 21, frostTender: 17, chillTender: 14 };
/** Shares of its usual speed at which a crop first grows, and grows well, after midwinter. From memory. */
const GROWS = { hardy: { first: 0.25, well: 0.5 }, tender: { first: 0.4, well: 0.7 } };
const growsOf = ({ hardiness }: Crop) => (hardiness === 'hardy' ? GROWS.hardy : GROWS.tender);
/** Frost that damages young plants of what stands for years, as hardy as it may be once it is grown, °C. From memory. */
const SEEDLING_DAMAGE_C = -1;
/** Days a perennial needs in the ground before winter. Common practice, no source: six weeks. */
const ROOTING_DAYS = 42;
/** Where autumn has no frost, the season ends with the year. */
const YEAR_ENDS = YEAR - 1;
/** Days on both sides of the best that a window without any gate of its own has. */
const AROUND_DAYS = 21;
/** The last days of a window, which are in time and not at their best. Common practice, no source. */
const NOT_BEST_DAYS = 14;
/** A window shorter than this is none, where the winter leaves another time for the crop, days. */
const FEWEST_DAYS = 7;
/** Daylight at which onions that bulb in long, middling and short days begin to, hours. From memory. */
const BULBING_HOURS = { longDay: 14, intermediateDay: 13, shortDay: 11.5 } as const;
/** Days into bulbing up to which planting is still worth while. Common practice, no source. */
const BULBING_GIVE_DAYS = 14;

/** When a crop goes into the ground in spring: frost, nights and soil open the window, heat and autumn close it. */
export function springWindow(asked: Asked, gates: Gates, rules: HouseRules): SeasonWindow {
  const { crop, variety } = asked;
  const doubts = placeDoubts(crop, variety, gates.almanac);
  const heat = growingHeat(gates.almanac, crop);
  if (heat?.from === null && !crop.perennial) return coolestWindow(asked, gates, heat.coolest, doubts);

  const earliest = lastOpen(opens(asked, gates, rules));
  const closing = closes(asked, gates, rules, earliest.seasonDay);
  const wanted = lastOpen([earliest, ...wishes(asked, gates, rules)]);
  const best = bestOf(crop, earliest, wanted, closing);
  const isLate = closing.seasonDay < earliest.seasonDay;
  if (closing.seasonDay - earliest.seasonDay < FEWEST_DAYS && isMildFor(crop, gates)) {
    // Autumn is the time for it, where the crop has one.
    if (crop.croppings.some((cropping) => cropping !== 'spring')) doubts.push({ code: 'notOwnSeason' });
    return beforeHeat(closing, doubts);
  }
  const latest = [isLate ? missed(closing.reason, asked) : closing.reason, ...doubts];
  // In a short season the finish can fall before the first day: the window then closes as it opens, and the reason says why.
  return {
    earliest: earliest.seasonDay,
    best: best.seasonDay,
    latest: Math.max(best.seasonDay, closing.seasonDay),
    reasons: { earliest: [earliest.reason], best: [best.reason], latest },
  };
}

/** Whether a hardy crop usually stands the winter outdoors as it grows. */
const isMildFor = (crop: Crop, { almanac }: Gates): boolean =>
  crop.hardiness === 'hardy' && killingSeasonDay(crop, almanac) === null;

/** Where heat leaves a crop no spring and the winter is mild: in the weeks, of the year before, from which it is ready by then. */
const beforeHeat = ({ seasonDay, reason }: Gate, doubts: readonly Reason[]): SeasonWindow => ({
  earliest: seasonDay - 2 * AROUND_DAYS,
  best: seasonDay - AROUND_DAYS,
  latest: seasonDay,
  reasons: { earliest: [reason], best: [reason], latest: [reason, ...doubts] },
});

/** What opens the window. */
function opens({ crop, method, stage }: Asked, gates: Gates, rules: HouseRules): Gate[] {
  const isSown = method === 'sowInPlace';
  const frost = gates.frostPast(damagesYoung(crop, method), rules.frostRisk, upDays(crop, isSown, gates));
  const opening: Gate[] = [frost, gates.soilWarm(isSown ? crop.germination.least : rootsGrowC(crop))];
  if (crop.nightsC) opening.push(gates.nightsSteady(crop.nightsC[0], 1 - rules.frostRisk));
  const grows = gates.growsAgain(crop, growsOf(crop).first);
  if (grows) opening.push(grows);
  if (stage) opening.push(stage);
  return opening;
}

/** What the best day waits for beside. */
function wishes({ crop, method }: Asked, gates: Gates, rules: HouseRules): Gate[] {
  const isSown = method === 'sowInPlace';
  const wanted: (Gate | null)[] = [
    crop.nightsC ? gates.nightsSteady(crop.nightsC[1], 1 - rules.frostRisk) : null,
    isSown
      ? gates.soilQuick(crop, upWithin(crop))
      : gates.frostPast(damagesYoung(crop, method), rules.frostRisk / 2, upDays(crop, isSown, gates)),
    gates.growsAgain(crop, growsOf(crop).well),
  ];
  return wanted.filter((gate) => gate !== null);
}

/** The frost that opens the way for a plant: a seedling of what stands for years is not as hardy as the grown plant. */
const damagesYoung = (crop: Crop, method: Asked['method']): number =>
  crop.perennial && method === 'startIndoors'
    ? Math.max(crop.frostDamageC, SEEDLING_DAMAGE_C)
    : crop.frostDamageC;

/** Slow seed is given twice the days it takes in the best of soils. */
function upWithin(crop: Crop): number {
  const fastest = Math.min(...crop.emergence.map(({ days }) => days));
  return Math.max(UP_WITHIN_DAYS[crop.hardiness], Math.round(2 * fastest));
}

/** Soil in which roots of a set-out plant grow, °C. From memory: the base of growth, never frozen ground. */
const rootsGrowC = (crop: Crop): number => Math.max(4, Math.min(crop.growth.base, 13));

/** Days for which frost may still come on what is safe below ground: at most a week, to be safe in a warm spell. */
function upDays(crop: Crop, isSown: boolean, gates: Gates): number {
  if (!isSown) return crop.sproutDays?.fewest ?? 0;
  if (crop.emergence.length === 0) return 0;
  const frost = laterQuantile(gates.almanac.lastFreeze(crop.frostDamageC), 0.5);
  if (frost === null) return 0;
  // computed with the fastest emergence the spring could bring, three degrees above its usual soil.
  const soilC = gates.soilAt(frost) + 3;
  const rows = crop.emergence;
  const days = rows.find((row) => row.soilC >= soilC)?.days ?? rows.at(-1)!.days;
  return Math.floor(Math.min(days, 7));
}

/** What ends the window of spring: heat for what it stops or keeps from setting, else the time left before winter. */
function closes(asked: Asked, gates: Gates, rules: HouseRules, earliest: number): Gate {
  const { crop, method } = asked;
  if (crop.perennial) return rootsBeforeWinter(gates);
  const ends: Gate[] = [{ seasonDay: YEAR_ENDS, reason: { code: 'openSeason' } }];
  const deadline = grownBy(crop, gates, rules);
  if (deadline) ends.push(deadlineCloses(asked, gates, deadline));
  ends.push(...heatCloses(asked, gates, 0));
  const tooHot = method === 'sowInPlace' ? gates.soilTooHot(crop.germination.most, earliest) : null;
  if (tooHot) ends.push({ ...tooHot, seasonDay: tooHot.seasonDay - 1 });
  const bulbs = bulbing(asked, gates);
  if (bulbs) ends.push(bulbs);
  return firstClosed(ends);
}

/** Onions planted after bulbing has begun make no bulb worth having. */
function bulbing({ variety }: Asked, { almanac, year }: Gates): Gate | null {
  for (const kind of ['longDay', 'intermediateDay', 'shortDay'] as const) {
    if (!variety.traits?.includes(kind)) continue;
    const hours = BULBING_HOURS[kind];
    const from = almanac.light.findIndex((light) => light >= hours);
    if (from < 0) return null;
    return {
      seasonDay: from + BULBING_GIVE_DAYS,
      reason: { code: 'bulbsInLongDays', hours, on: almanac.day(year, from) },
    };
  }
  return null;
}

/** What stays for years need only root before winter. */
function rootsBeforeWinter({ almanac, year }: Gates): Gate {
  const limit = (firstFrostSeasonDay(almanac) ?? YEAR_ENDS) - ROOTING_DAYS;
  return { seasonDay: limit, reason: { code: 'winterComes', soilC: 0, by: almanac.day(year, limit) } };
}

/** The best day: what is wished for, unless that is too late to finish; midway where nothing holds a crop back. */
function bestOf({ hardiness }: Crop, earliest: Gate, wanted: Gate, closing: Gate): Gate {
  const last = Math.max(earliest.seasonDay, closing.seasonDay);
  const midway = Math.round((Math.max(0, earliest.seasonDay) + last) / 2);
  // What has to finish is not kept waiting until the last of its days, for nights still better than the steady ones it has.
  const sooner = hardiness === 'chillTender' ? NOT_BEST_DAYS : 0;
  if (wanted.seasonDay > last - sooner && closing.reason.code === 'mustFinish') {
    const seasonDay = Math.max(earliest.seasonDay, last - sooner);
    return seasonDay === earliest.seasonDay ? earliest : { seasonDay, reason: closing.reason };
  }
  if (wanted.seasonDay > last) return { seasonDay: midway, reason: closing.reason };
  // A first day of the year that no gate held back says nothing of when it is best.
  if (wanted.seasonDay <= 0) return { seasonDay: midway, reason: { code: 'openSeason' } };
  return wanted;
}

/** Where the whole year is too hot: so that it is picked on the coolest days, which is told, and not advised. */
export function coolestWindow(
  asked: Asked,
  gates: Gates,
  coolest: number,
  doubts: readonly Reason[],
): SeasonWindow {
  const start = lastStart(asked, gates, coolest);
  const best = start < 0 ? start + YEAR : start;
  const reasons: Reason[] = [{ code: 'tooHot', highC: asked.crop.heatEndsC! }, ...doubts];
  return {
    earliest: best - AROUND_DAYS,
    best,
    latest: best + AROUND_DAYS,
    reasons: { earliest: reasons, best: reasons, latest: reasons },
  };
}
