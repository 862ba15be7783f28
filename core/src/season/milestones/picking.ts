import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../../calendar/index.ts';
import type { DaySpan } from '../../crops/index.ts';
import { YEAR } from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import {
  daysToPick,
  firstFrostSeasonDay,
  growingHeat,
  growthOf,
  killingSeasonDay,
} from '../windows/index.ts';
import { about, after, type Chain, sameReason } from './chain.ts';
import { type MilestoneContext, springAnchor } from './context.ts';
import type { BoundReasons, Window } from './milestone.ts';
import { seasonOfPicking } from './perennialSeason.ts';

/** Days allowed to clear a planting after the last pick. Common practice, no source. */
const CLEAR_DAYS = 7;
/** Days after the first frost in which what it sweetens is best dug or picked. Common practice, no source. */
const SWEETENED_DAYS = 7;
/** The day of the year after its own at which what stood through a mild winter bolts: as the days reach twelve hours. */
const BOLTS = YEAR + 75;
/** Days on both sides of its end within which a planting stops bearing. */
const END_GIVE_DAYS = 14;

/** First pick, last pick and clearing of what is picked in its own season. */
export function picking(
  context: MilestoneContext,
  inGround: Day,
  maturity: DaySpan & { added: number },
): void {
  const { chain, plan, almanac } = context;
  const { crop, method, year } = plan;
  const from = almanac.seasonDayOf(year, inGround);
  const up = method === 'sowInPlace' ? chain.steps.find(({ kind }) => kind === 'emerge') : undefined;
  const least = up ? daysBetween(inGround, up.on) : 0;
  const grown = (days: number) => daysToPick(almanac, crop, from, days, least);
  const span = {
    fewest: grown(maturity.fewest),
    usual: grown(maturity.usual),
    most: grown(maturity.most),
  };
  const { fewest, most } = maturity;
  const since = method === 'sowInPlace' ? 'sowing' : 'settingOut';
  const ripe: Reason[] = [{ code: 'maturity', fewest, most, from: inGround, since }];
  const off = span.usual - maturity.usual;
  if (off >= 4) ripe.push({ code: 'slowGrowth', days: off });
  if (off <= -4) ripe.push({ code: 'fastGrowth', days: -off });
  if (maturity.added > 0) ripe.push({ code: 'slowerInPlace', days: maturity.added });
  if (maturity.added < 0) ripe.push({ code: 'alreadyGrown', days: -maturity.added });

  const window = after(inGround, span);
  sweetened(context, window, ripe);
  const killed = killingDay(context, inGround);
  if (crop.hardiness !== 'hardy' && killed !== null && window.best > killed) {
    ripe.push({ code: 'mayNotFinish', limit: killed, maturity: span.most });
    // What is not ready by the frost is taken as it is then.
    const end = laterOf(killed, addDays(inGround, least));
    window.earliest = earlierOf(window.earliest, end);
    window.best = end;
    window.latest = earlierOf(window.latest, addDays(end, 7));
  }
  const first = chain.add('firstPick', window, sameReason(...ripe)).on;
  lastPick(context, first);
}

/** Moves a first pick that frost sweetens to the first frost. */
function sweetened({ plan, almanac }: MilestoneContext, window: Window, ripe: Reason[]): void {
  const frost = plan.crop.sweetenedByFrost ? firstFrostSeasonDay(almanac) : null;
  if (frost === null) return;
  const firstFrost = almanac.day(plan.year, frost);
  const best = addDays(firstFrost, SWEETENED_DAYS);
  if (window.best >= best) return;
  window.earliest = laterOf(window.earliest, firstFrost);
  window.best = best;
  window.latest = laterOf(window.latest, addDays(best, 2 * SWEETENED_DAYS));
  ripe.push({ code: 'sweetened', firstFrost });
}

/** The median day of the frost that kills a planting, the first after a day; null where most years have none. */
function killingDay({ plan, almanac }: MilestoneContext, day: Day): Day | null {
  const seasonDay = killingSeasonDay(plan.crop, almanac);
  if (seasonDay === null) return null;
  const here = almanac.seasonDayOf(plan.year, day);
  return almanac.day(plan.year, seasonDay + Math.max(0, Math.ceil((here - seasonDay) / YEAR)) * YEAR);
}

/** The day, the first after another, from which heat stops a crop; null where it never does. */
function heatDay({ plan, almanac }: MilestoneContext, day: Day): Day | null {
  const heat = growingHeat(almanac, plan.crop);
  if (!heat || heat.from === null) return null;
  const here = almanac.seasonDayOf(plan.year, day);
  // In the heat it is over already.
  const years = Math.max(0, Math.ceil((here - heat.to) / YEAR));
  return almanac.day(plan.year, heat.from + years * YEAR);
}

/** What bears on is picked until something ends it; anything else for its span, unless something ends it before. */
function lastPick(context: MilestoneContext, first: Day): void {
  const { chain, plan } = context;
  const { crop, variety } = plan;
  const { fewest, most } = crop.pickDays;
  const [ends] = endsOf(context, first);
  const bearsOn = crop.bearsOn && !variety.traits?.includes('determinate');
  let last: Day;
  if (bearsOn && ends) {
    const reasons = sameReason({ code: 'bearsOn', until: ends.on }, ends.reason);
    last = chain.add('lastPick', about(ends.on, END_GIVE_DAYS, END_GIVE_DAYS), reasons).on;
  } else {
    const span = after(first, crop.pickDays);
    const reasons = sameReason({ code: 'picking', fewest, most, from: first });
    if (ends && span.best > ends.on && first <= ends.on) {
      span.earliest = earlierOf(span.earliest, ends.on);
      span.best = ends.on;
      span.latest = laterOf(ends.on, earlierOf(span.latest, addDays(ends.on, END_GIVE_DAYS)));
      reasons.best = [...reasons.best, ends.reason];
    }
    last = chain.add('lastPick', span, reasons).on;
  }
  if (!crop.perennial) clearing(chain, last);
}

/** What may end the picking, the first first: the frost that kills, heat, and for what stands on in a mild winter the bolt. */
function endsOf(context: MilestoneContext, first: Day): { on: Day; reason: Reason }[] {
  const { plan, almanac } = context;
  const { crop, year } = plan;
  const ends: { on: Day; reason: Reason }[] = [];
  const killed = killingDay(context, first);
  if (killed !== null) ends.push({ on: killed, reason: { code: 'frostEnds', firstFrost: killed } });
  const heat = heatDay(context, first);
  if (heat !== null) {
    // What is ready by then is still picked for its shortest span.
    const on = laterOf(heat, addDays(first, crop.pickDays.fewest));
    ends.push({ on, reason: { code: 'heatStops', highC: crop.heatEndsC!, on: heat } });
  }
  if (crop.hardiness === 'hardy') {
    const on = almanac.day(year, BOLTS);
    if (on > first) ends.push({ on, reason: { code: 'bolts', on } });
  }
  return ends.sort((a, b) => (a.on < b.on ? -1 : 1));
}

function clearing(chain: Chain, last: Day): void {
  const window = { earliest: last, best: addDays(last, CLEAR_DAYS), latest: addDays(last, CLEAR_DAYS * 2) };
  chain.add('clear', window, sameReason({ code: 'clearAfter', days: CLEAR_DAYS, from: last }));
}

/** Days a cover crop that winter kills is pulled aside, from the last frost. Common practice, no source. */
const DEAD_COVER_SPAN = [-35, -14] as const;

/** A cover crop is not picked: it is cut, or pulled aside where winter has killed it. */
export function cutDown({ chain, plan, almanac }: MilestoneContext): void {
  const lastFrost = springAnchor(almanac, plan.year + 1);
  const [from, to] = plan.crop.overwinters?.harvestAfterLastFrost ?? DEAD_COVER_SPAN;
  const best = addDays(lastFrost, Math.round((from + to) / 2));
  const window = { earliest: addDays(lastFrost, from), best, latest: addDays(lastFrost, to) };
  chain.add('clear', window, sameReason({ code: 'cutDown', from, to, lastFrost }));
}

/** The harvest of what rests through a winter, or of what needs years before its first. */
export function pickAnotherYear(context: MilestoneContext): void {
  const { chain, plan } = context;
  const { crop, year, cropping } = plan;
  if (cropping !== 'overwinter') {
    const { yearsToCrop } = crop.perennial!;
    seasonOfPicking(context, chain, year + yearsToCrop, [
      { code: 'yearsToCrop', years: yearsToCrop, planted: year },
    ]);
    return;
  }
  const first = chain.add('firstPick', ...afterWinter(context)).on;
  const { fewest, most } = crop.pickDays;
  const last = chain.add(
    'lastPick',
    after(first, crop.pickDays),
    sameReason({ code: 'picking', fewest, most, from: first }),
  ).on;
  clearing(chain, last);
}

/** When what stood through the winter is ready: its days of growth from midwinter on, or as the crop's row has it. */
function afterWinter({ plan, almanac }: MilestoneContext): [Window, BoundReasons] {
  const { crop, variety, year } = plan;
  if (crop.overwinters) {
    const lastFrost = springAnchor(almanac, year + 1);
    const [from, to] = crop.overwinters.harvestAfterLastFrost;
    const best = addDays(lastFrost, Math.round((from + to) / 2));
    const window = { earliest: addDays(lastFrost, from), best, latest: addDays(lastFrost, to) };
    return [window, sameReason({ code: 'winterRest', from, to, lastFrost })];
  }
  const growth = growthOf(almanac, crop);
  const ready = (days: number) => almanac.day(year, YEAR + growth.daysFrom(YEAR, days));
  const { fewest, usual, most } = variety.daysToMaturity;
  const window = { earliest: ready(fewest), best: ready(usual), latest: ready(most) };
  return [window, sameReason({ code: 'growsFromMidwinter', days: usual, from: almanac.day(year, YEAR) })];
}
