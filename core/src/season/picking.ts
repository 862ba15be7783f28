import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../calendar/index.ts';
import type { DaySpan } from '../crops/index.ts';
import { placeForEarlier } from '../place/index.ts';
import { about, after, type Chain, sameReason } from './chain.ts';
import { growthOf } from './growth.ts';
import { killsAt } from './outdoors.ts';
import type { Reason } from './reason.ts';
import { type Reckoning, springAnchor } from './reckoning.ts';

/** Days allowed to clear a planting after the last pick. Common practice, no source. */
const CLEAR_DAYS = 7;
/** First pick, last pick and clearing of what is picked in its own season. */
export function picking(reckoning: Reckoning, inGround: Day, maturity: DaySpan & { added: number }): void {
  const { chain, plan, almanac } = reckoning;
  const { crop, method, year } = plan;
  const growth = growthOf(almanac, crop);
  const from = almanac.placeOf(year, inGround);
  // However early it is sown, it is not picked before it has come up and grown a while.
  const up = method === 'sowInPlace' ? chain.steps.find(({ kind }) => kind === 'emerge') : undefined;
  const least = up ? daysBetween(inGround, up.on) : 0;
  const grown = (days: number) => Math.max(growth.daysFrom(from, days), least + Math.round(days / 2));
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

  const frostPlace = placeForEarlier(almanac.firstFreeze(killsAt(crop)), 0.5);
  const firstFrost = frostPlace === null ? null : almanac.day(year, frostPlace);
  const isTender = crop.temperament !== 'hardy';
  const window = after(inGround, span);
  if (isTender && firstFrost !== null && window.best > firstFrost) {
    ripe.push({ code: 'mayNotFinish', limit: firstFrost, maturity: span.most });
    // What is not ready by the frost is taken as it is then, or not at all.
    if (firstFrost > addDays(inGround, least)) {
      window.earliest = earlierOf(window.earliest, firstFrost);
      window.best = firstFrost;
      window.latest = earlierOf(window.latest, addDays(firstFrost, 7));
    }
  }
  const first = chain.add('firstPick', window, sameReason(...ripe)).on;
  lastPick(reckoning, first, isTender ? firstFrost : null);
}

/** The picking runs its span, unless frost or heat ends it. */
function lastPick({ chain, plan, gates, almanac }: Reckoning, first: Day, firstFrost: Day | null): void {
  const { crop, turn, year } = plan;
  const span = after(first, crop.pickDays);
  const { fewest, most } = crop.pickDays;
  const reasons = sameReason({ code: 'picking', fewest, most, from: first });
  const endAt = (day: Day, reason: Reason, grace: number) => {
    if (span.best <= day || first > day) return;
    span.earliest = earlierOf(span.earliest, day);
    span.best = day;
    span.latest = laterOf(day, earlierOf(span.latest, addDays(day, grace)));
    reasons.best = [...reasons.best, reason];
  };
  const heat = turn === 'spring' && crop.heatEndsC !== undefined ? gates.heatComes(crop.heatEndsC) : null;
  if (heat) {
    const on = almanac.day(year, heat.place);
    // What is ready by then is still picked for its shortest span.
    const end = laterOf(on, addDays(first, fewest));
    if (first <= on) endAt(end, { code: 'heatStops', highC: crop.heatEndsC!, on }, 7);
  }
  if (firstFrost !== null) endAt(firstFrost, { code: 'frostEnds', firstFrost }, 14);
  const last = chain.add('lastPick', span, reasons).on;
  if (!crop.perennial) clearing(chain, last);
}

function clearing(chain: Chain, last: Day): void {
  const window = { earliest: last, best: addDays(last, CLEAR_DAYS), latest: addDays(last, CLEAR_DAYS * 2) };
  chain.add('clear', window, sameReason({ code: 'clearAfter', days: CLEAR_DAYS, from: last }));
}

/** Days a cover crop that winter kills is pulled aside, from the last frost. Common practice, no source. */
const DEAD_COVER_SPAN = [-35, -14] as const;

/** A cover crop is not picked: it is cut, or pulled aside where winter has killed it. */
export function cutDown({ chain, plan, almanac }: Reckoning): void {
  const lastFrost = springAnchor(almanac, plan.year + 1);
  const [from, to] = plan.crop.overwinters?.harvestAfterLastFrost ?? DEAD_COVER_SPAN;
  const best = addDays(lastFrost, Math.round((from + to) / 2));
  const window = { earliest: addDays(lastFrost, from), best, latest: addDays(lastFrost, to) };
  chain.add('clear', window, sameReason({ code: 'cutDown', from, to, lastFrost }));
}

/** The harvest of what rests through a winter, or of what needs years before its first. */
export function pickAnotherYear({ chain, plan, almanac }: Reckoning): void {
  const { crop, year, turn } = plan;
  const years = turn === 'overwinter' ? 1 : crop.perennial!.yearsToCrop;
  const span = crop.overwinters?.harvestAfterLastFrost ?? crop.perennial!.harvestFromLastFrost;
  const lastFrost = springAnchor(almanac, year + years);
  const [from, to] = span;
  if (turn === 'overwinter') {
    const reason: Reason = { code: 'winterRest', from, to, lastFrost };
    const best = addDays(lastFrost, Math.round((from + to) / 2));
    const window = { earliest: addDays(lastFrost, from), best, latest: addDays(lastFrost, to) };
    const first = chain.add('firstPick', window, sameReason(reason)).on;
    const { fewest, most } = crop.pickDays;
    const last = chain.add(
      'lastPick',
      after(first, crop.pickDays),
      sameReason({ code: 'picking', fewest, most, from: first }),
    ).on;
    clearing(chain, last);
    return;
  }
  const waits: Reason = { code: 'yearsToCrop', years, planted: year };
  seasonOfPicking(chain, lastFrost, span, [waits]);
}

/** First and last pick of a perennial in one of its years. */
export function seasonOfPicking(
  chain: Chain,
  lastFrost: Day,
  [from, to]: readonly [number, number],
  reasons: Reason[],
): void {
  const each: Reason = { code: 'eachYear', from, to, lastFrost };
  chain.add('firstPick', about(addDays(lastFrost, from), 7, 10), sameReason(...reasons, each));
  chain.add('lastPick', about(addDays(lastFrost, to), 7, 10), sameReason(each));
}
