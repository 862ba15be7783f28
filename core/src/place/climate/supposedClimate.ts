import type { MonthDay } from '../../calendar/index.ts';
import { curveOfMonths, type Harmonics, harmonicAt } from '../../maths/index.ts';
import { type FrostyPlace, hasFrosts, type MonthlyNormals, type Place } from '../place.ts';
import { calendarDay, dayInSeason, inYear, type SeasonDay, seasonDayOf, YEAR } from '../seasonYear.ts';
import { weatherOfNormals } from '../weather/index.ts';
import { type Climate, roundedClimate } from './climate.ts';
import type { DateSpread, SpreadTable } from './dateSpread.ts';
import { type Extremes, normalsOfExtremes } from './extremes.ts';
import { freezeThresholds, nightThresholds } from './yearlyDates.ts';

/*
 * A climate where no station's days tell it: from monthly means, or from the median frosts alone. What is not known is
 * spread wider than most stations have it, to be honest.
 */

/** Spread of dates where no record tells it, days. From memory. */
const UNKNOWN_FROST_DAYS = 13;
const UNKNOWN_NIGHTS_DAYS = 10;
/** The mean minimum about the median last frost where nothing better is known, °C. From memory: mid-latitude normals. */
const LOW_AT_FROST_C = 5.5;
/** Half the yearly range of mean minima per degree of latitude, and the mean daily range, °C. Rough, from memory. */
const RANGE_PER_DEGREE = 0.29;
const DAILY_RANGE_C = 12;
/** Standard deviation of a day's mean temperature, °C. From memory: mid-latitude stations have 3 to 5. */
const UNKNOWN_SPREAD_C = 4;

/** The climate of monthly means and the median frost dates, with wide spreads. */
export function climateOfNormals(place: Place, normals: MonthlyNormals): Climate {
  const low = curveOfMonths(normals.low);
  const high = curveOfMonths(normals.high);
  return supposed(place, low, high, 'normals', normals.rain);
}

/**
 * The climate of the median frost dates alone: mean minima follow a cosine that passes 5.5 °C on both dates, with a range
 * that grows with latitude. How warm the summer is they do not tell: it is a guess, and what wants warmth is promised
 * nothing by it.
 */
export function climateOfFrosts(place: FrostyPlace): Climate {
  const { lastFrost, firstFrost } = frostDays(place);
  const half = (firstFrost - lastFrost) / 2;
  const warmest = calendarDay(place.latitude, (lastFrost + firstFrost) / 2);
  const range = Math.max(3, RANGE_PER_DEGREE * Math.abs(place.latitude));
  const mean = LOW_AT_FROST_C - range * Math.cos((2 * Math.PI * half) / YEAR);
  const angle = (2 * Math.PI * (warmest + 0.5)) / YEAR;
  const low = [mean, range * Math.cos(angle), range * Math.sin(angle)];
  const high = [mean + DAILY_RANGE_C, ...low.slice(1)];
  return supposed(place, low, high, 'frosts', new Array<number>(12).fill(70));
}

function frostDays(place: FrostyPlace): { lastFrost: number; firstFrost: number } {
  // The year is one without a leap day; the season year of the south ends in the year after.
  const lastFrost = seasonDayOf(place.latitude, 2023, `2023-${place.lastFrost}`);
  const firstYear = place.firstFrost < place.lastFrost ? 2024 : 2023;
  return {
    lastFrost,
    firstFrost: seasonDayOf(place.latitude, 2023, `${firstYear}-${place.firstFrost}`),
  };
}

/** Mean minima through a season year, and what is asked of them. */
class LowCurve {
  readonly #low: Float64Array;
  readonly warmest: number;
  readonly coldest: number;

  constructor(low: Harmonics, latitude: number) {
    this.#low = Float64Array.from({ length: YEAR }, (_, p) => harmonicAt(low, calendarDay(latitude, p)));
    this.warmest = this.#low.indexOf(Math.max(...this.#low));
    this.coldest = this.#low.indexOf(Math.min(...this.#low));
  }

  at(seasonDay: SeasonDay): number {
    return this.#low[inYear(seasonDay)]!;
  }

  /** Where, going from the warmest nights to those half a year before or after, minima first fall below `leastC`. */
  falls(direction: -1 | 1, leastC: number): number | null {
    for (let i = 0; i <= YEAR / 2; i++) {
      const seasonDay = this.warmest + direction * i;
      if (this.at(seasonDay) < leastC) return seasonDay;
    }
    return null;
  }
}

const never: DateSpread = { mean: 0, sd: 1, share: 0 };
const spreadAbout = (mean: number | null, sd: number): DateSpread =>
  mean === null ? never : { mean, sd, share: 1 };

/** Where the coldest nights are usually so much too warm for a freeze, no year has one, °C. From memory. */
const NEVER_C = 4;

/**
 * Freezes by threshold. A typed median is an anchor: other thresholds stand where mean minima differ from there by as much;
 * colder than the coldest nights go by then comes in some years only, nearer to midwinter.
 * Without frosts no night freezes, and what is warmer than freezing stands where mean minima are as far above it as they
 * usually are about a frost.
 */
function freezes(curve: LowCurve, anchor: number | null, direction: -1 | 1): SpreadTable {
  const { from, step, count } = freezeThresholds;
  const lowAtFrost = anchor === null ? LOW_AT_FROST_C : curve.at(anchor);
  const spreadFor = (threshold: number): DateSpread => {
    if (threshold === 0) return spreadAbout(anchor, UNKNOWN_FROST_DAYS);
    if (anchor === null && threshold < 0) return never;
    const level = lowAtFrost + threshold;
    const falls = curve.falls(direction, level);
    if (falls !== null || anchor === null || threshold > 0) return spreadAbout(falls, UNKNOWN_FROST_DAYS);
    const share = 1 - (curve.at(curve.coldest) - level) / NEVER_C;
    const coldest =
      curve.coldest < YEAR / 2 === direction < 0 ? curve.coldest : curve.coldest + direction * YEAR;
    return share <= 0 ? never : { mean: coldest + (anchor - coldest) * share, sd: UNKNOWN_FROST_DAYS, share };
  };
  return { from, step, spreads: Array.from({ length: count }, (_, i) => spreadFor(from + i * step)) };
}

/** Nights that stay at or above a threshold. */
function nights(curve: LowCurve, direction: -1 | 1): SpreadTable {
  const { from, step, count } = nightThresholds;
  return {
    from,
    step,
    spreads: Array.from({ length: count }, (_, i) => {
      const least = from + i * step;
      if (curve.at(curve.warmest) < least) return spreadAbout(null, 1);
      // Where no night of the year falls short they have stayed since the year before, and do into the next.
      const always = direction < 0 ? -YEAR / 2 : 1.5 * YEAR;
      return spreadAbout(curve.falls(direction, least) ?? always, UNKNOWN_NIGHTS_DAYS);
    }),
  };
}

function supposed(
  place: Place,
  low: Harmonics,
  high: Harmonics,
  basis: Climate['basis'],
  rain: readonly number[],
): Climate {
  const { latitude, longitude } = place;
  const { lastFrost, firstFrost } = hasFrosts(place)
    ? frostDays(place)
    : { lastFrost: null, firstFrost: null };
  const curve = new LowCurve(low, latitude);
  return roundedClimate({
    latitude,
    longitude,
    basis,
    years: [],
    low,
    high,
    spreadC: UNKNOWN_SPREAD_C,
    lastFreeze: freezes(curve, lastFrost, -1),
    firstFreeze: freezes(curve, firstFrost, 1),
    nightsFrom: nights(curve, -1),
    nightsUntil: nights(curve, 1),
    weather: weatherOfNormals(rain, UNKNOWN_SPREAD_C),
  });
}

/**
 * The climate of the usual lows and highs of the warmest and the coldest month, and the median frosts: a year between them
 * is a cosine.
 */
export function climateOfExtremes(place: Place, extremes: Extremes): Climate {
  const { low, high, rain } = normalsOfExtremes(place.latitude, extremes);
  return supposed(place, curveOfMonths(low), curveOfMonths(high), 'extremes', rain);
}

/**
 * The median frosts that monthly means let one expect: where mean minima pass what they usually are about a frost. Rough:
 * for a proposal, to be put right by whoever knows the place.
 * @returns null where no month is so cold
 */
export function frostsOfNormals(
  latitude: number,
  { low }: Pick<MonthlyNormals, 'low'>,
): { lastFrost: MonthDay; firstFrost: MonthDay } | null {
  const curve = new LowCurve(curveOfMonths(low), latitude);
  const last = curve.falls(-1, LOW_AT_FROST_C);
  const first = curve.falls(1, LOW_AT_FROST_C);
  if (last === null || first === null || last === first) return null;
  const monthDayAt = (seasonDay: SeasonDay): MonthDay => dayInSeason(latitude, 2023, seasonDay).slice(5);
  return { lastFrost: monthDayAt(last + 1), firstFrost: monthDayAt(first) };
}
