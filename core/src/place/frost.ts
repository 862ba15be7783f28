import { addDays, type Day, dayIn, daysBetween, type MonthDay } from '../calendar/index.ts';

/** What the reckoning needs to know of a garden's place. Frost dates are medians: half of the years are worse. */
export interface Place {
  /** degrees, south negative */
  latitude: number;
  /** degrees, west negative */
  longitude: number;
  lastFrost: MonthDay;
  firstFrost: MonthDay;
}

/** The frosts that bound one growing season. `firstFrost` always follows `lastFrost`. */
export interface FrostDates {
  lastFrost: Day;
  firstFrost: Day;
}

/**
 * Spread of frost dates about their median from year to year, as a standard deviation in days, where no
 * station record is known. From memory: published freeze normals at mid-latitude stations mostly lie
 * between 9 and 13 days, so the 10 % date falls about two weeks after the median.
 */
const FROST_SPREAD_DAYS = 11;

/**
 * True where a growing season lies between the two dates: in the north within one calendar year, in the
 * south across the new year.
 */
export function frostsInOrder(place: Pick<Place, 'latitude' | 'lastFrost' | 'firstFrost'>): boolean {
  return place.latitude >= 0 ? place.lastFrost < place.firstFrost : place.lastFrost > place.firstFrost;
}

/** The median frosts of the season whose spring falls in `year`. */
export function frostDates(place: Place, year: number): FrostDates {
  const acrossNewYear = place.firstFrost < place.lastFrost;
  return {
    lastFrost: dayIn(year, place.lastFrost),
    firstFrost: dayIn(acrossNewYear ? year + 1 : year, place.firstFrost),
  };
}

/** Days between the median frosts. */
export function growingDays(place: Place, year: number): number {
  const { lastFrost, firstFrost } = frostDates(place, year);
  return daysBetween(lastFrost, firstFrost);
}

/**
 * Chance that a frost comes on `day` or later in spring, or has come by `day` in autumn, whichever season
 * is nearer: the share of years in which a tender plant standing outdoors meets frost.
 * @returns 0–1
 */
export function frostRisk(place: Place, year: number, day: Day): number {
  const { lastFrost, firstFrost } = frostDates(place, year);
  const spring = 1 - normalShare(daysBetween(lastFrost, day) / FROST_SPREAD_DAYS);
  const autumn = normalShare(daysBetween(firstFrost, day) / FROST_SPREAD_DAYS);
  return Math.max(spring, autumn);
}

/** The day by which, in `share` of years, the last spring frost is past. @param share 0–1, exclusive */
export function lastFrostPast(place: Place, year: number, share: 0.1 | 0.5 | 0.9): Day {
  const deviations = share === 0.5 ? 0 : share === 0.9 ? 1.2816 : -1.2816;
  return addDays(frostDates(place, year).lastFrost, Math.round(deviations * FROST_SPREAD_DAYS));
}

/** Share of a standard normal population below `z`. Source: Abramowitz & Stegun, formula 26.2.17 (error < 7.5e-8). */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
