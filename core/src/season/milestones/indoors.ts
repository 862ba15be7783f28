import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../../calendar/index.ts';
import type { DaySpan } from '../../crops/index.ts';
import type { Reason } from '../reason.ts';
import { about, sameReason } from './chain.ts';
import { type DatedWindow, type MilestoneContext, springAnchor } from './context.ts';
import { emergence, emergenceAt, thinningInTrays } from './emergence.ts';
import { hardeningDays } from './harden.ts';
import type { BoundReasons } from './milestone.ts';

/** Warmth of a heated mix indoors, °C (75 °F). Common practice, no source (KNOWLEDGE 3.3). */
const INDOOR_C = 24;
/** Days cucurbits are sown before a setting out about the last frost, by the school that counts back. */
const COUNT_BACK_DAYS = 31;

/**
 * Start indoors, up, potted on, hardened off, set out.
 * @param outdoors when the place lets the plants out
 * @returns the day from which growth outdoors counts
 */
export function startedIndoors(context: MilestoneContext, outdoors: DatedWindow): Day {
  const { chain, plan, rules } = context;
  const { crop } = plan;
  const indoors = crop.daysIndoors;
  if (!indoors) throw new RangeError(`${crop.id} has no weeks indoors`);
  const wanted = bySchool(context, outdoors, indoors);
  const started = chain.add('startIndoors', wanted.start, wanted.start.reasons, plan.startOn).on;
  const late = emergence(context, started, emergenceAt(crop, INDOOR_C), INDOOR_C);
  const effective = addDays(started, late);
  const setOut = setOutWindow(effective, wanted.outdoors, indoors);

  const on = chain.fact('setOut') ?? setOut.best;
  const up = chain.steps.at(-1)!.on;
  thinningInTrays(context, up);
  if (crop.potOnDays !== undefined) {
    const days = crop.potOnDays;
    const best = addDays(up, days);
    // Shortly before setting out a larger pot is wasted.
    if (addDays(best, hardeningDays(rules)) <= on || chain.fact('potOn'))
      chain.add('potOn', about(best, 4, 7), sameReason({ code: 'potOnAfter', days, from: up }));
  }
  const lead = hardeningDays(rules);
  const harden = {
    earliest: addDays(earlierOf(setOut.earliest, on), -lead),
    best: addDays(on, -lead),
    latest: addDays(laterOf(setOut.latest, on), -lead),
  };
  chain.add('hardenOff', harden, sameReason({ code: 'hardenFor', days: lead, setOut: on }));
  const over = daysBetween(started, on);
  if (over > indoors.most)
    setOut.reasons.best = [
      ...setOut.reasons.best,
      { code: 'potOver', days: over, most: indoors.most, from: started },
    ];
  return chain.add('setOut', setOut, setOut.reasons).on;
}

/** When seedlings are set out: when the place allows, not before they are ready, not after their limit in the pot. */
function setOutWindow(effective: Day, outdoors: DatedWindow, indoors: DaySpan): DatedWindow {
  const ready = addDays(effective, indoors.fewest);
  const grown = addDays(effective, indoors.usual);
  const limit = addDays(effective, indoors.most);
  const readyFrom: Reason = { code: 'readyFrom', days: indoors.fewest, from: effective };
  const potLimit: Reason = { code: 'potLimit', days: indoors.most, from: effective };
  const earliest = laterOf(outdoors.earliest, ready);
  const latest = laterOf(earliest, earlierOf(outdoors.latest, limit));
  const wanted = laterOf(outdoors.best, grown);
  const best = laterOf(earliest, earlierOf(wanted, latest));
  const bestReasons: Reason[] = [];
  if (best === outdoors.best) bestReasons.push(...outdoors.reasons.best);
  else if (best === grown) bestReasons.push({ code: 'weeksIndoors', days: indoors.usual, from: effective });
  else if (best === outdoors.earliest) bestReasons.push(...outdoors.reasons.earliest);
  if (best < wanted) bestReasons.push(potLimit);
  bestReasons.push(readyFrom);
  return {
    earliest,
    best,
    latest,
    reasons: {
      earliest: earliest === outdoors.earliest ? outdoors.reasons.earliest : [readyFrom],
      best: bestReasons,
      latest: latest === limit ? [potLimit] : outdoors.reasons.latest,
    },
  };
}

/** When to start indoors, counted back from setting out, or for cucurbits by the garden's school. */
function bySchool(
  { plan, rules, almanac, gates }: MilestoneContext,
  outdoors: DatedWindow,
  indoors: DaySpan,
): { start: DatedWindow; outdoors: DatedWindow } {
  const isCucurbit = plan.crop.family === 'cucurbits' && plan.cropping === 'spring';
  if (isCucurbit && rules.cucurbits === 'countBack') {
    // Set out about the last frost, with a cover ready for one freak night.
    const lastFrost = springAnchor(almanac, plan.year);
    const soil = almanac.day(plan.year, gates.soilWarm(plan.crop.growth.base).seasonDay);
    const best = laterOf(lastFrost, soil);
    const reason: Reason = { code: 'schoolCountBack', days: COUNT_BACK_DAYS, lastFrost };
    const early: BoundReasons = { earliest: [reason], best: [reason], latest: outdoors.reasons.latest };
    const sooner = {
      earliest: addDays(best, -3),
      best,
      latest: laterOf(outdoors.latest, best),
      reasons: early,
    };
    const start = {
      earliest: addDays(sooner.earliest, -indoors.most),
      best: addDays(best, -COUNT_BACK_DAYS),
      latest: addDays(sooner.latest, -indoors.fewest),
      reasons: early,
    };
    return { start, outdoors: sooner };
  }
  const counted = countedBack(outdoors, indoors);
  if (!isCucurbit) return { start: counted, outdoors };
  const lastFrost = springAnchor(almanac, plan.year);
  const reason: Reason = { code: 'schoolLastFrost', lastFrost, nights: outdoors.best };
  // At the last frost, unless the nights come so late that five weeks in the pot would pass, or so soon that
  // the plants would not be ready.
  const best = earlierOf(
    laterOf(lastFrost, addDays(outdoors.best, -indoors.most)),
    laterOf(counted.latest, counted.earliest),
  );
  return {
    start: {
      earliest: earlierOf(counted.earliest, best),
      best,
      latest: laterOf(counted.latest, best),
      reasons: { ...counted.reasons, best: [reason, ...counted.reasons.best.slice(1)] },
    },
    outdoors,
  };
}

function countedBack(outdoors: DatedWindow, indoors: DaySpan): DatedWindow {
  const from = (days: number, day: Day): Reason => ({ code: 'weeksIndoors', days, from: day });
  return {
    earliest: addDays(outdoors.earliest, -indoors.usual),
    best: addDays(outdoors.best, -indoors.usual),
    latest: addDays(outdoors.latest, -indoors.fewest),
    reasons: {
      earliest: [from(indoors.usual, outdoors.earliest), ...outdoors.reasons.earliest],
      best: [from(indoors.usual, outdoors.best), ...outdoors.reasons.best],
      latest: [from(indoors.fewest, outdoors.latest), ...outdoors.reasons.latest],
    },
  };
}
