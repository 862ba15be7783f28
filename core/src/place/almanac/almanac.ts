import type { Day } from '../../calendar/index.ts';
import type { Climate } from '../climate/index.ts';
import {
  type DateSpread,
  earlierQuantile,
  laterQuantile,
  shareAfter,
  shareBy,
  spreadAt,
} from '../climate/index.ts';
import { calendarDay, dayInSeason, type SeasonDay, seasonDayOf, seasonYearOf, YEAR } from '../seasonYear.ts';
import { daylightHours } from '../sun/index.ts';
import { curveAt } from '../weather/index.ts';
import { expectedDegreeDays } from './degreeDays.ts';
import { growthRate, type Warmth } from './growthRate.ts';
import { type Protection, shelters } from './protection.ts';
import { type DailyAir, type SoilCover, soilTemperatures } from './soilTemperature.ts';

/** Season years that running sums reach over: a season, the winter after it, and one more for what overwinters. */
const SUMMED_YEARS = 3;

/** A spot in a garden, and what stands over a planting there or lies on its soil. */
export interface Spot {
  /** how much warmer the spot is than the station, °C: negative in a hollow, positive at a warm wall */
  offsetC: number;
  protection: Protection;
  /** the bed whose soil is read with a thermometer; null where nobody reads it */
  bedId: string | null;
}

/**
 * What the year of a garden, or of one bed, is like: everything that dates are computed from, drawn out of the
 * climate once and then only looked up. Season days count from its first day, 0 (see `seasonYear.ts`).
 */
export class Almanac {
  readonly latitude: number;
  /** days of the season year, from its first on, whose weather was measured; none in a usual year */
  readonly measured: number = 0;
  /** mean daily minimum, maximum and mean by season day, °C */
  readonly low: Float64Array;
  readonly high: Float64Array;
  readonly mean: Float64Array;
  /** daylight hours by season day */
  readonly light: Float64Array;
  readonly #soils = new Map<string, Float64Array>();
  readonly #growths = new Map<string, Float64Array>();

  constructor(
    readonly climate: Climate,
    readonly spot: Spot,
  ) {
    const { latitude, low, high } = climate;
    const { offsetC, protection } = spot;
    this.latitude = latitude;
    const each = (value: (seasonDay: SeasonDay) => number) =>
      Float64Array.from({ length: YEAR }, (_, p) => value(p));
    const { nightsC, meanC } = shelters[protection];
    const daysC = 2 * meanC - nightsC;
    this.low = each((p) => curveAt(low, calendarDay(latitude, p)) + offsetC + nightsC);
    this.high = each((p) => curveAt(high, calendarDay(latitude, p)) + offsetC + daysC);
    this.mean = each((p) => (this.low[p]! + this.high[p]!) / 2);
    this.light = each((p) => daylightHours(latitude, calendarDay(latitude, p) + 1));
  }

  seasonYear(day: Day): number {
    return seasonYearOf(this.latitude, day);
  }

  seasonDayOf(year: number, day: Day): number {
    return seasonDayOf(this.latitude, year, day);
  }

  day(year: number, seasonDay: SeasonDay): Day {
    return dayInSeason(this.latitude, year, seasonDay);
  }

  /** Mean temperature of a day in a usual year at this spot, °C. */
  meanAt(day: Day): number {
    return this.mean[this.seasonDayOf(this.seasonYear(day), day) % YEAR]!;
  }

  /** The last spring day with a minimum at or below `thresholdC` at this spot. */
  lastFreeze(thresholdC: number): DateSpread {
    return spreadAt(
      this.climate.lastFreeze,
      thresholdC - this.spot.offsetC - shelters[this.spot.protection].frostC,
    );
  }

  /** The first autumn day with a minimum at or below `thresholdC` at this spot. */
  firstFreeze(thresholdC: number): DateSpread {
    return spreadAt(
      this.climate.firstFreeze,
      thresholdC - this.spot.offsetC - shelters[this.spot.protection].frostC,
    );
  }

  /** The day from which nights stay at or above `thresholdC` at this spot. */
  nightsFrom(thresholdC: number): DateSpread {
    return spreadAt(
      this.climate.nightsFrom,
      thresholdC - this.spot.offsetC - shelters[this.spot.protection].nightsC,
    );
  }

  /** The day up to which nights stay at or above `thresholdC` at this spot. */
  nightsUntil(thresholdC: number): DateSpread {
    return spreadAt(
      this.climate.nightsUntil,
      thresholdC - this.spot.offsetC - shelters[this.spot.protection].nightsC,
    );
  }

  /** Soil temperature by season day at a depth, °C. @param depthMm depth, mm */
  soil(depthMm: number, cover: SoilCover = shelters[this.spot.protection].soil): Float64Array {
    const key = `${depthMm} ${cover}`;
    const soil = this.#soils.get(key) ?? this.soilAt(depthMm, cover);
    this.#soils.set(key, soil);
    return soil;
  }

  /** The soil that `soil` keeps. */
  protected soilAt(depthMm: number, cover: SoilCover): Float64Array {
    // A first round finds the temperature that midwinter begins with.
    const once = this.soilUnder(this, depthMm, cover, meanOf(this.mean));
    return this.soilUnder(this, depthMm, cover, once[YEAR - 1]!);
  }

  /** The soil under the air of a year, °C. @param start its temperature on the day before the first, °C */
  protected soilUnder(
    { low, high }: Pick<DailyAir, 'low' | 'high'>,
    depthMm: number,
    cover: SoilCover,
    start: number,
  ): Float64Array {
    const { latitude } = this;
    const air = { low, high, dayOfYear: (i: number) => calendarDay(latitude, i) + 1 };
    return soilTemperatures(air, latitude, depthMm, cover, meanOf(this.mean), start);
  }

  /**
   * Growth from midwinter to each season day, in days of growth at a crop's usual warmth: each day brings as much as its warmth
   * and its light allow. Reaches over three season years.
   */
  growth(warmth: Warmth): Float64Array {
    const key = `${warmth.base} ${warmth.cap} ${warmth.usual}`;
    let sums = this.#growths.get(key);
    if (!sums) {
      const rates = this.rates(warmth);
      sums = new Float64Array(YEAR * SUMMED_YEARS + 1);
      for (let p = 0; p < YEAR * SUMMED_YEARS; p++) sums[p + 1] = sums[p]! + rates(p);
      this.#growths.set(key, sums);
    }
    return sums;
  }

  /** Growth of a day, of this season year or one of those after it. */
  protected rates(warmth: Warmth): (seasonDay: SeasonDay) => number {
    const rates = this.mean.map((mean, p) => this.rateAt(warmth, p, mean));
    return (seasonDay) => rates[seasonDay % YEAR]!;
  }

  /** Growth of a day of the season year whose mean temperature is to be expected. @param mean °C */
  protected rateAt({ base, cap, usual }: Warmth, seasonDay: SeasonDay, mean: number): number {
    const degreeDays = expectedDegreeDays(mean, this.climate.spreadC, base, cap);
    return growthRate(degreeDays / (usual - base), this.light[seasonDay]!);
  }
}

const meanOf = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * Degree days above `base` to be expected from midwinter to each season day of a usual year.
 * @returns one sum for each season day from 0 to 365
 */
export function expectedWarmth({ mean, climate }: Almanac, base: number): Float64Array {
  const sums = new Float64Array(YEAR + 1);
  for (let p = 0; p < YEAR; p++)
    sums[p + 1] = sums[p]! + expectedDegreeDays(mean[p]!, climate.spreadC, base, Number.POSITIVE_INFINITY);
  return sums;
}

/** The spot of a garden, or of a bed in it, under what protects a planting there. */
export const spotIn = (
  garden: { offsetC: number },
  bed: { id: string; offsetC: number } | null = null,
  protection: Protection = 'none',
): Spot => ({ offsetC: garden.offsetC + (bed?.offsetC ?? 0), protection, bedId: bed?.id ?? null });

/** Beds whose soil nobody read share an almanac. */
const isRead = ({ thisYear }: Climate, bedId: string | null): boolean =>
  thisYear?.soil.some((reading) => reading.bedId === bedId) ?? false;

const almanacs = new WeakMap<Climate, Map<string, Almanac>>();

/** The almanac of a climate in its usual year, or of a spot in it, under what protects a planting there; made once for each. */
export function almanacOf(climate: Climate, asked: Partial<Spot> = {}): Almanac {
  const { offsetC = 0, protection = 'none', bedId = null } = asked;
  const spot = { offsetC, protection, bedId: isRead(climate, bedId) ? bedId : null };
  let spots = almanacs.get(climate);
  if (!spots) {
    spots = new Map();
    almanacs.set(climate, spots);
  }
  const key = `${offsetC} ${protection} ${spot.bedId}`;
  let almanac = spots.get(key);
  if (!almanac) {
    almanac = new Almanac(climate, spot);
    spots.set(key, almanac);
  }
  return almanac;
}

/** The frosts that bound a growing season, in the median year; null where most years have none. */
export interface FrostDates {
  lastFrost: Day | null;
  firstFrost: Day | null;
}

/** The median frosts of the season year `year`. */
export function frostDates(almanac: Almanac, year: number): FrostDates {
  return {
    lastFrost: lastFreezeDay(almanac, year, 0, 0.5),
    firstFrost: firstFreezeDay(almanac, year, 0, 0.5),
  };
}

/** The day after which a minimum at or below the threshold comes in only `risk` of the springs. */
export function lastFreezeDay(almanac: Almanac, year: number, thresholdC: number, risk: number): Day | null {
  const seasonDay = laterQuantile(almanac.lastFreeze(thresholdC), risk);
  return seasonDay === null ? null : almanac.day(year, seasonDay);
}

/** The day by which a minimum at or below the threshold has come in `risk` of the autumns. */
export function firstFreezeDay(almanac: Almanac, year: number, thresholdC: number, risk: number): Day | null {
  const seasonDay = earlierQuantile(almanac.firstFreeze(thresholdC), risk);
  return seasonDay === null ? null : almanac.day(year, seasonDay);
}

/** Days between the median frosts; the whole year where one is missing. */
export function growingDays(almanac: Almanac): number {
  const last = laterQuantile(almanac.lastFreeze(0), 0.5);
  const first = earlierQuantile(almanac.firstFreeze(0), 0.5);
  return last === null || first === null ? YEAR : Math.round(first) - Math.round(last);
}

/**
 * Share of years in which a minimum at or below the threshold comes on `day` or later in spring, or has come by it in
 * autumn, whichever season is nearer: what a plant standing outdoors would face.
 */
export function freezeRisk(almanac: Almanac, day: Day, thresholdC = 0): number {
  const seasonDay = almanac.seasonDayOf(almanac.seasonYear(day), day);
  return Math.max(
    shareAfter(almanac.lastFreeze(thresholdC), seasonDay),
    shareBy(almanac.firstFreeze(thresholdC), seasonDay),
  );
}

/** Share of years in which nights have come to stay at or above the threshold by `day` and not yet fallen again. */
export function steadyNightShare(almanac: Almanac, day: Day, thresholdC: number): number {
  const seasonDay = almanac.seasonDayOf(almanac.seasonYear(day), day);
  return Math.max(
    0,
    shareBy(almanac.nightsFrom(thresholdC), seasonDay) +
      shareAfter(almanac.nightsUntil(thresholdC), seasonDay) -
      almanac.nightsUntil(thresholdC).share,
  );
}
