import { addDays, type Day, daysBetween, earlierOf, laterOf } from '../calendar/index.ts';
import type { Crop, DaySpan, Method, Turn, Variety } from '../crops/index.ts';
import { type FrostDates, frostDates, type Place } from '../place/index.ts';
import type { Happened, Milestone, MilestoneKind, Window } from './milestone.ts';
import { outdoorDays, outdoorWindow, type ReasonedWindow, shifted } from './outdoors.ts';
import type { Reason } from './reason.ts';

/** A planting as the reckoning sees it: what, how, which season, and the start somebody chose, if any. */
export interface PlantingPlan {
  crop: Crop;
  variety: Variety;
  method: Method;
  turn: Turn;
  /** the calendar year of the season's last spring frost */
  year: number;
  /** the day chosen for the first step; null follows the reckoned best day */
  startOn: Day | null;
}

/** Days of hardening off before setting out. House rule default; common practice, no source. */
const HARDEN_DAYS = 7;
/** Days allowed to clear a planting after the last pick. Common practice, no source. */
const CLEAR_DAYS = 7;

/**
 * Every dated step of a planting, with windows and reasons. Facts win: a step that happened stands on its day, and
 * what follows is counted from it.
 * @param happened facts from the log, in any order; the earliest of a kind counts
 * @returns milestones in order, or null where the crop is not grown by that method at that end of the season
 */
export function milestones(
  plan: PlantingPlan,
  place: Place,
  happened: readonly Happened[] = [],
): Milestone[] | null {
  const frosts = frostDates(place, plan.year);
  const outdoors = outdoorWindow(plan.crop, plan.variety.daysToMaturity, plan.method, plan.turn, frosts);
  if (!outdoors) return null;
  const chain = new Chain(happened);
  const maturity = outdoorDays(plan.crop, plan.variety.daysToMaturity, plan.method);
  const inGround =
    plan.method === 'startIndoors'
      ? indoorsToSetOut(chain, plan, outdoors)
      : plan.method === 'sowInPlace'
        ? sowInPlace(chain, plan, outdoors)
        : chain.add('setOut', outdoors, outdoors.reasons, plan.startOn);
  picking(chain, plan, inGround, maturity, frosts);
  return chain.steps;
}

/** Collects steps in order; each new one is dated by the fact of its kind where there is one. */
class Chain {
  readonly steps: Milestone[] = [];
  readonly #facts = new Map<MilestoneKind, Day>();

  constructor(happened: readonly Happened[]) {
    for (const { kind, on } of happened) {
      const known = this.#facts.get(kind);
      this.#facts.set(kind, known === undefined ? on : earlierOf(known, on));
    }
  }

  /** @param chosen a day somebody chose instead of the best one @returns the day the step stands on */
  add(kind: MilestoneKind, window: Window, reasons: Milestone['reasons'], chosen: Day | null = null): Day {
    const fact = this.#facts.get(kind);
    const planned = chosen ?? window.best;
    const on = fact ?? planned;
    const best: Reason[] = [...reasons.best];
    if (chosen !== null && chosen !== window.best)
      best.push({ code: 'chosen', on: chosen, best: window.best });
    if (fact !== undefined) best.push({ code: 'happened', on: fact, planned, kind });
    const { earliest, latest } = window;
    this.steps.push({
      kind,
      window: { earliest, best: window.best, latest },
      on,
      done: fact !== undefined,
      reasons: { ...reasons, best },
    });
    return on;
  }

  fact(kind: MilestoneKind): Day | undefined {
    return this.#facts.get(kind);
  }
}

const sameReason = (reason: Reason): Milestone['reasons'] => ({
  earliest: [reason],
  best: [reason],
  latest: [reason],
});

const after = (day: Day, span: DaySpan): Window => ({
  earliest: addDays(day, span.fewest),
  best: addDays(day, span.usual),
  latest: addDays(day, span.most),
});

/** @returns by how many days emergence differed from what was expected, once it is known */
function emergence(chain: Chain, crop: Crop, sown: Day): number {
  const expected = after(sown, crop.emergenceDays);
  const { fewest, most } = crop.emergenceDays;
  const up = chain.add('emerge', expected, sameReason({ code: 'emergence', fewest, most, from: sown }));
  // Within the expected span nothing is learned; only what lies outside it moves the rest.
  const known = chain.fact('emerge') !== undefined;
  if (!known) return 0;
  if (up > expected.latest) return daysBetween(expected.latest, up);
  if (up < expected.earliest) return daysBetween(expected.earliest, up);
  return 0;
}

function thinning(chain: Chain, crop: Crop): void {
  const emerged = chain.steps.at(-1);
  if (crop.thinAfterEmergenceDays === undefined || emerged?.kind !== 'emerge') return;
  const days = crop.thinAfterEmergenceDays;
  const best = addDays(emerged.on, days);
  const window = { earliest: addDays(best, -4), best, latest: addDays(best, 7) };
  chain.add('thin', window, sameReason({ code: 'thinAfter', days, from: emerged.on }));
}

function sowInPlace(chain: Chain, plan: PlantingPlan, outdoors: ReasonedWindow): Day {
  const sown = chain.add('sow', outdoors, outdoors.reasons, plan.startOn);
  const late = emergence(chain, plan.crop, sown);
  thinning(chain, plan.crop);
  // Slow emergence is lost growing time: later steps count from a sowing that much later.
  return addDays(sown, late);
}

function indoorsToSetOut(chain: Chain, plan: PlantingPlan, outdoors: ReasonedWindow): Day {
  const indoors = plan.crop.daysIndoors;
  if (!indoors) throw new RangeError(`${plan.crop.id} has no weeks indoors`);
  const startWindow = shifted(outdoors, {
    earliest: -indoors.usual,
    best: -indoors.usual,
    latest: -indoors.fewest,
  });
  const from = (days: number, day: Day): Reason => ({ code: 'weeksIndoors', days, from: day });
  const started = chain.add(
    'startIndoors',
    startWindow,
    {
      earliest: [from(indoors.usual, outdoors.earliest), ...outdoors.reasons.earliest],
      best: [from(indoors.usual, outdoors.best), ...outdoors.reasons.best],
      latest: [from(indoors.fewest, outdoors.latest), ...outdoors.reasons.latest],
    },
    plan.startOn,
  );
  const late = emergence(chain, plan.crop, started);
  const effective = addDays(started, late);
  const ready = addDays(effective, indoors.fewest);
  const grown = addDays(effective, indoors.usual);
  const limit = addDays(effective, indoors.most);
  const readyFrom: Reason = { code: 'readyFrom', days: indoors.fewest, from: effective };
  const potLimit: Reason = { code: 'potLimit', days: indoors.most, from: effective };

  const earliest = laterOf(outdoors.earliest, ready);
  const latest = laterOf(earliest, earlierOf(outdoors.latest, limit));
  const wanted = laterOf(outdoors.best, grown);
  const best = laterOf(earliest, earlierOf(wanted, latest));
  const setOutWindow = { earliest, best, latest };
  const setOutReasons = {
    earliest: earliest === outdoors.earliest ? outdoors.reasons.earliest : [readyFrom],
    best: [
      ...(best === outdoors.best
        ? outdoors.reasons.best
        : best === grown
          ? [from(indoors.usual, effective)]
          : []),
      ...(best < wanted ? [potLimit] : []),
      { ...readyFrom },
    ],
    latest: latest === limit ? [potLimit] : outdoors.reasons.latest,
  };
  const setOutOn = chain.fact('setOut') ?? best;
  const lead = { earliest: -HARDEN_DAYS, best: -HARDEN_DAYS, latest: -HARDEN_DAYS };
  const harden = shifted({ ...setOutWindow, best: setOutOn }, lead);
  chain.add('hardenOff', harden, sameReason({ code: 'hardenFor', days: HARDEN_DAYS, setOut: setOutOn }));
  return chain.add('setOut', setOutWindow, setOutReasons);
}

function picking(
  chain: Chain,
  { crop, method }: PlantingPlan,
  inGround: Day,
  maturity: DaySpan & { added: number },
  { firstFrost }: FrostDates,
): void {
  const since = method === 'sowInPlace' ? 'sowing' : 'settingOut';
  const ripe: Reason = {
    code: 'maturity',
    fewest: maturity.fewest,
    most: maturity.most,
    from: inGround,
    since,
  };
  const ripeReasons = sameReason(ripe);
  if (maturity.added !== 0) ripeReasons.best.push({ code: 'caughtUp', days: maturity.added });
  const first = chain.add('firstPick', after(inGround, maturity), ripeReasons);

  const span = after(first, crop.pickDays);
  const { fewest, most } = crop.pickDays;
  const lasting = sameReason({ code: 'picking', fewest, most, from: first });
  const frostKills = crop.temperament !== 'hardy' && span.best > firstFrost && first <= firstFrost;
  const lastWindow = frostKills
    ? {
        earliest: earlierOf(span.earliest, firstFrost),
        best: firstFrost,
        latest: earlierOf(span.latest, addDays(firstFrost, 14)),
      }
    : span;
  if (frostKills) lasting.best = [...lasting.best, { code: 'frostEnds', firstFrost }];
  const last = chain.add('lastPick', lastWindow, lasting);

  const clear = { earliest: last, best: addDays(last, CLEAR_DAYS), latest: addDays(last, CLEAR_DAYS * 2) };
  chain.add('clear', clear, sameReason({ code: 'clearAfter', days: CLEAR_DAYS, from: last }));
}

/**
 * Days after a sowing at which seed that has not come up is suspect: the expected span and half again.
 * Common practice, no source.
 */
export const overdueAfterDays = (crop: Crop): number => Math.ceil(crop.emergenceDays.most * 1.5);
