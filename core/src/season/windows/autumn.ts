import { inYear, YEAR } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import type { HouseRules } from '../rules.ts';
import { deadlineCloses, heatCloses, missed, SETTING_GIVE_DAYS } from './closings.ts';
import { placeDoubts } from './doubts.ts';
import { firstClosed, type Gate, type Gates, lastOpen } from './gates.ts';
import { type Deadline, grownBy, lastStart } from './grownBy.ts';
import { growthOf } from './growth.ts';
import { growingHeat, settingHeat } from './hotSpell.ts';
import type { Asked, SeasonWindow } from './seasonWindow.ts';
import { coolestWindow, springWindow } from './spring.ts';

/** How far before its best day an autumn sowing may start where no heat holds it back. Common practice, no source. */
const LEAD_DAYS = 28;
/** Days of picking that an autumn sowing is counted back for: fewest and most. Common practice, no source. */
const PICKING_DAYS = { fewest: 14, most: 28 };
/** Days before the heat is over from which the first pick may come. Common practice, no source. */
const BEFORE_COOL_DAYS = 7;
/** How much warmer than what ends a cool crop the days may be on which it is best sown, °C. Common practice, no source. */
const SEEDLING_GIVE_C = 2;
/** Where neither frost nor dark sets an end, the first pick is counted back from some weeks before midwinter. */
const WITHOUT_END = YEAR - 21;
/** A tender crop's autumn is one of its own where its best day is so much later than spring's, days. */
const OWN_SEASON_DAYS = 45;

/**
 * When a crop is sown or set out for autumn: so that it is grown by the day frost or dark stops it, with some weeks to pick
 * it, and not so early that it meets the summer's heat.
 * Source: common practice, no source (KNOWLEDGE 3.7 and 3.10).
 */
export function autumnWindow(asked: Asked, gates: Gates, rules: HouseRules): SeasonWindow {
  const { crop, variety, stage } = asked;
  const { almanac } = gates;
  const doubts = placeDoubts(crop, variety, almanac);
  const heat = growingHeat(almanac, crop);
  if (heat?.from === null) return coolestWindow(asked, gates, heat.coolest + YEAR, doubts);

  const deadline = grownBy(crop, gates, rules);
  const wanted = countedBack(asked, gates, deadline);
  const opening = heatOpens(asked, gates);
  const lead: Gate = {
    seasonDay: wanted.seasonDay - LEAD_DAYS,
    reason: { code: 'summerHeat', days: LEAD_DAYS },
  };
  const earliest = lastOpen([...(opening.length > 0 ? opening : [lead]), ...(stage ? [stage] : [])]);
  const best = lastOpen([earliest, wanted]);
  const parted = opening.length > 0;
  if (crop.hardiness !== 'hardy' && !hasOwnSeason(asked, gates, rules, best.seasonDay, parted))
    doubts.push({ code: 'notOwnSeason' });
  const closing = closes(asked, gates, deadline);
  const last = closing.seasonDay < earliest.seasonDay ? missed(closing.reason, asked) : closing.reason;
  return {
    earliest: earliest.seasonDay,
    best: best.seasonDay,
    latest: Math.max(best.seasonDay, closing.seasonDay),
    reasons: { earliest: [earliest.reason], best: [best.reason], latest: [last, ...doubts] },
  };
}

/** The best day: some weeks of picking before the end, or as soon as the days are cool enough for the seedlings. */
function countedBack(asked: Asked, gates: Gates, deadline: Deadline | null): Gate {
  const { crop, maturity } = asked;
  const { almanac, year } = gates;
  const picking = Math.min(PICKING_DAYS.most, Math.max(PICKING_DAYS.fewest, crop.pickDays.usual));
  const end = deadline?.seasonDay ?? WITHOUT_END;
  const seasonDay = lastStart(asked, gates, end - picking);
  const counted: Gate = {
    seasonDay,
    reason: {
      code: 'countBack',
      by: almanac.day(year, end),
      maturity: growthOf(almanac, crop).daysFrom(seasonDay, maturity.usual),
      picking,
    },
  };
  const eased = easedHeat(asked, gates);
  // Where the cool season is long there is no need to wait for its end.
  return eased &&
    (deadline === null || eased.seasonDay < seasonDay) &&
    eased.seasonDay > seasonDay - 2 * LEAD_DAYS
    ? eased
    : counted;
}

/** When days have cooled to what seedlings of a cool crop stand. */
function easedHeat({ crop }: Asked, { almanac, year }: Gates): Gate | null {
  const heat = growingHeat(almanac, crop);
  if (!heat || heat.from === null) return null;
  const highC = crop.heatEndsC! + SEEDLING_GIVE_C;
  for (let seasonDay = heat.to; seasonDay > heat.from; seasonDay--)
    if (almanac.high[inYear(seasonDay)]! > highC)
      return { seasonDay, reason: { code: 'heatEases', highC, on: almanac.day(year, seasonDay) } };
  return null;
}

/** What summer's heat keeps shut: seed in hot soil, fruit that would not set, crops that would bolt. */
function heatOpens(asked: Asked, gates: Gates): Gate[] {
  const { crop, method } = asked;
  const { almanac, year } = gates;
  const opening: Gate[] = [];
  const heat = growingHeat(almanac, crop);
  if (heat && heat.from !== null) {
    const reason: Reason = { code: 'heatOver', highC: crop.heatEndsC!, on: almanac.day(year, heat.to) };
    opening.push({ seasonDay: lastStart(asked, gates, heat.to - BEFORE_COOL_DAYS - 1) + 1, reason });
  }
  const setting = settingHeat(almanac, crop);
  if (setting && setting.from !== null) {
    const [highC, nightC] = crop.fruitSet!.mostC;
    const reason: Reason = { code: 'setsAfterHeat', highC, nightC, on: almanac.day(year, setting.to) };
    const limit = setting.to - SETTING_GIVE_DAYS + crop.fruitSet!.daysToPick;
    opening.push({ seasonDay: lastStart(asked, gates, limit - 1) + 1, reason });
  }
  if (method === 'sowInPlace') {
    const cool = gates.soilCoolEnough(crop.germination.most);
    if (cool) opening.push(cool);
  }
  return opening;
}

/** The last day: grown by the end, or by the heat of the year after where the winter is no end. */
function closes(asked: Asked, gates: Gates, deadline: Deadline | null): Gate {
  const ends = heatCloses(asked, gates, 1);
  if (deadline) ends.push(deadlineCloses(asked, gates, deadline));
  return ends.length > 0 ? firstClosed(ends) : { seasonDay: YEAR - 1, reason: { code: 'openSeason' } };
}

/** Whether a tender crop's autumn differs from its spring: after a summer too hot for it, or in a season long enough. */
function hasOwnSeason(
  asked: Asked,
  gates: Gates,
  rules: HouseRules,
  best: number,
  isParted: boolean,
): boolean {
  if (isParted || !asked.crop.croppings.includes('spring')) return true;
  return best - springWindow(asked, gates, rules).best >= OWN_SEASON_DAYS;
}
