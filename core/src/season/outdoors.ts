import { addDays, type Day, earlierOf, laterOf } from '../calendar/index.ts';
import type { Crop, DaySpan, Method, Turn } from '../crops/index.ts';
import type { FrostDates } from '../place/index.ts';
import { countBack, SHORT_DAYS_ALLOWANCE } from './countBack.ts';
import type { Window } from './milestone.ts';
import { type Reason, STEADY_NIGHT_C } from './reason.ts';

export interface ReasonedWindow extends Window {
  reasons: { earliest: Reason[]; best: Reason[]; latest: Reason[] };
}

/** How far before its best day an autumn sowing may start; earlier meets summer heat. Common practice, no source. */
const AUTUMN_LEAD_DAYS = 21;

/**
 * Days from the outdoor step (sowing in place or setting out) to the first pick.
 * Packets count some crops from setting out: sown in place they take the shortest indoor time more, since
 * they lose no time to being moved. Crops counted from sowing need that much less once they are plants.
 */
export function outdoorDays(crop: Crop, maturity: DaySpan, method: Method): DaySpan & { added: number } {
  const added =
    method === 'sowInPlace'
      ? crop.maturityFrom === 'settingOut'
        ? (crop.daysIndoors?.fewest ?? 0)
        : 0
      : crop.maturityFrom === 'sowing'
        ? -(crop.daysIndoors?.usual ?? 0)
        : 0;
  const shifted = (days: number) => Math.max(1, days + added);
  return {
    fewest: shifted(maturity.fewest),
    usual: shifted(maturity.usual),
    most: shifted(maturity.most),
    added,
  };
}

/** True where the crop has a season at this end of the year by this method. */
export function hasTurn(crop: Crop, turn: Turn): boolean {
  return turn === 'spring' || crop.pastFirstFrostDays !== undefined;
}

/**
 * When a crop goes into the ground, by the frost dates of the place.
 * @returns null where the crop is not grown that way or not planted at that end of the season
 */
export function outdoorWindow(
  crop: Crop,
  maturity: DaySpan,
  method: Method,
  turn: Turn,
  frosts: FrostDates,
): ReasonedWindow | null {
  const offsets = method === 'sowInPlace' ? crop.sowOutdoors : crop.setOut;
  if (!offsets || !crop.methods.includes(method) || !hasTurn(crop, turn)) return null;
  const days = outdoorDays(crop, maturity, method);
  return turn === 'spring' ? springWindow(crop, offsets, days, frosts) : autumnWindow(crop, days, frosts);
}

function springWindow(
  crop: Crop,
  offsets: { earliest: number; best: number; latest: number },
  maturity: DaySpan,
  { lastFrost, firstFrost }: FrostDates,
): ReasonedWindow {
  const by = (days: number): Reason => {
    if (crop.temperament === 'chillTender') {
      return { code: 'nightsSteady', nightC: STEADY_NIGHT_C, days, lastFrost };
    }
    return days < 0
      ? { code: 'beforeLastFrost', days: -days, lastFrost, temperament: crop.temperament }
      : { code: 'afterLastFrost', days, lastFrost, temperament: crop.temperament };
  };
  const picking = crop.pickDays.fewest;
  const pastFrost = crop.temperament === 'hardy' ? (crop.pastFirstFrostDays ?? 0) : 0;
  const finish = countBack(firstFrost, maturity.most, picking, pastFrost);
  const byCalendar = addDays(lastFrost, offsets.latest);
  const earliest = addDays(lastFrost, offsets.earliest);
  const best = addDays(lastFrost, offsets.best);
  const mustFinish: Reason = {
    code: 'mustFinish',
    firstFrost,
    pastFrost,
    maturity: maturity.most,
    shortDays: SHORT_DAYS_ALLOWANCE,
    picking,
  };
  const calendarEnd: Reason = crop.heatEndsSpring
    ? { code: 'heatComes', days: offsets.latest, lastFrost }
    : by(offsets.latest);
  return {
    earliest,
    best,
    // In a short season the finish can fall before the best day: the window then closes on the best day, and
    // the reason says that the crop may not finish.
    latest: laterOf(best, earlierOf(byCalendar, finish)),
    reasons: {
      earliest: [by(offsets.earliest)],
      best: [by(offsets.best)],
      latest: [finish <= byCalendar ? mustFinish : calendarEnd],
    },
  };
}

function autumnWindow(crop: Crop, maturity: DaySpan, { firstFrost }: FrostDates): ReasonedWindow {
  const pastFrost = crop.pastFirstFrostDays ?? 0;
  const best = countBack(firstFrost, maturity.most, crop.pickDays.usual);
  const latest = laterOf(best, countBack(firstFrost, maturity.most, crop.pickDays.fewest, pastFrost));
  const finishing = (picking: number, past: number): Reason => ({
    code: 'mustFinish',
    firstFrost,
    pastFrost: past,
    maturity: maturity.most,
    shortDays: SHORT_DAYS_ALLOWANCE,
    picking,
  });
  return {
    earliest: addDays(best, -AUTUMN_LEAD_DAYS),
    best,
    latest,
    reasons: {
      earliest: [{ code: 'summerHeat', days: AUTUMN_LEAD_DAYS }],
      best: [finishing(crop.pickDays.usual, 0)],
      latest: [finishing(crop.pickDays.fewest, pastFrost)],
    },
  };
}

/** A window moved by whole days, keeping its reasons. */
export const shifted = (
  window: Window,
  days: { earliest: number; best: number; latest: number },
): Window => ({
  earliest: addDays(window.earliest, days.earliest),
  best: addDays(window.best, days.best),
  latest: addDays(window.latest, days.latest),
});

/** `day` kept within a window. */
export const within = (day: Day, window: Window): Day =>
  laterOf(window.earliest, earlierOf(day, window.latest));
