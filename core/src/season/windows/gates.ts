import { type Crop, daysToEmergence } from '../../crops/index.ts';
import {
  type Almanac,
  earlierQuantile,
  inYear,
  laterQuantile,
  SEED_DEPTH_MM,
  type SeasonDay,
  usualYear,
  YEAR,
} from '../../place/index.ts';
import type { Reason } from '../reason.ts';
import { seasonDayOfSum } from './growth.ts';

/** What holds something back, or ends it: the season day, and why that one. */
export interface Gate {
  seasonDay: SeasonDay;
  reason: Reason;
}

/** Soil that falls no farther below a warmth again than this has kept it, °C. */
const SOIL_DIP_C = 1.5;
/** Midsummer: what warms does so before it, what cools after it. */
const WARMEST_SEARCH_END = 230;
const MIDSUMMER = 172;

/** Nights as warm as this come about three weeks after the last frost, warmer ones some days later. Source: KNOWLEDGE 3.2. */
const WARM_NIGHTS_C = 10;
const WARM_NIGHTS_AFTER_FROST_DAYS = 21;
const DAYS_PER_DEGREE = 3;

/** The later of gates: all that must be open. */
export const lastOpen = (gates: readonly Gate[]): Gate =>
  gates.reduce((latest, gate) => (gate.seasonDay > latest.seasonDay ? gate : latest));

/** The earlier of gates: the first that closes. */
export const firstClosed = (gates: readonly Gate[]): Gate =>
  gates.reduce((first, gate) => (gate.seasonDay < first.seasonDay ? gate : first));

const gatesOfYear = new WeakMap<Almanac, Map<number, Gates>>();

/** The gates of one season year of a spot; made once for each. */
export function gatesOf(almanac: Almanac, year: number): Gates {
  let years = gatesOfYear.get(almanac);
  if (!years) {
    years = new Map();
    gatesOfYear.set(almanac, years);
  }
  let gates = years.get(year);
  if (!gates) {
    gates = new Gates(almanac, year);
    years.set(year, gates);
  }
  return gates;
}

/** Gates as they are asked for one season year of a spot. */
export class Gates {
  constructor(
    readonly almanac: Almanac,
    readonly year: number,
  ) {}

  #day(seasonDay: SeasonDay) {
    return this.almanac.day(this.year, seasonDay);
  }

  /** When the last spring frost of `atC` or colder is past but for `risk` of the years. */
  frostPast(atC: number, risk: number, upAfterDays = 0): Gate {
    const seasonDay = laterQuantile(this.almanac.lastFreeze(atC), risk);
    if (seasonDay === null) return { seasonDay: 0, reason: { code: 'frostNever', atC } };
    const whole = Math.ceil(seasonDay);
    const by = this.#day(whole);
    return upAfterDays > 0
      ? {
          seasonDay: whole - upAfterDays,
          reason: { code: 'frostPastWhenUp', atC, risk, by, days: upAfterDays },
        }
      : { seasonDay: whole, reason: { code: 'frostPast', atC, risk, by } };
  }

  /** When nights have come to stay at `nightC` or above in `share` of the years. */
  nightsSteady(nightC: number, share: number): Gate {
    if (this.almanac.climate.basis === 'frosts' && nightC >= WARM_NIGHTS_C)
      return this.#weeksAfterFrost(nightC);
    const spread = this.almanac.nightsFrom(nightC);
    const seasonDay = earlierQuantile(spread, share);
    if (seasonDay === null) return this.#warmest({ code: 'nightsRarely', nightC, share: spread.share });
    const whole = Math.max(0, Math.ceil(seasonDay));
    if (whole === 0) return { seasonDay: 0, reason: { code: 'openSeason' } };
    return { seasonDay: whole, reason: { code: 'nightsSteady', nightC, share, by: this.#day(whole) } };
  }

  /** Two frost dates say nothing of warm nights: growers then count three to four weeks from the last frost. */
  #weeksAfterFrost(nightC: number): Gate {
    const frost = Math.round(laterQuantile(this.almanac.lastFreeze(0), 0.5) ?? 0);
    const days = WARM_NIGHTS_AFTER_FROST_DAYS + Math.round((nightC - WARM_NIGHTS_C) * DAYS_PER_DEGREE);
    return {
      seasonDay: frost + days,
      reason: { code: 'weeksAfterFrost', days, lastFrost: this.#day(frost), nightC },
    };
  }

  /** When soil at seed depth reaches `soilC`. */
  soilWarm(soilC: number): Gate {
    const seasonDay = this.#warmed(soilC);
    return seasonDay === null
      ? this.#warmest({ code: 'soilRarely', soilC })
      : { seasonDay, reason: { code: 'soilWarm', soilC, by: this.#day(seasonDay) } };
  }

  /** When soil is warm enough for the crop's seed to come up within `days`. */
  soilQuick(crop: Crop, days: number): Gate | null {
    const soilC = warmthForEmergence(crop, days);
    if (soilC === null) return null;
    const seasonDay = this.#warmed(soilC);
    return seasonDay === null
      ? this.#warmest({ code: 'soilRarely', soilC })
      : { seasonDay, reason: { code: 'soilQuick', soilC, days, by: this.#day(seasonDay) } };
  }

  #warmed(soilC: number): number | null {
    const soil = this.almanac.soil(SEED_DEPTH_MM);
    let since: number | null = null;
    for (let seasonDay = 0; seasonDay < WARMEST_SEARCH_END; seasonDay++) {
      if (soil[seasonDay]! >= soilC) since ??= seasonDay;
      else if (soil[seasonDay]! < soilC - SOIL_DIP_C) since = null;
      // What was measured may have fallen again: only from there on is a usual course to be expected.
      if (since !== null && seasonDay >= this.almanac.measured) return since;
    }
    return since;
  }

  /** A crop that wants more warmth than most years have waits for the warmest of it, and its reason says so. */
  #warmest(reason: Reason): Gate {
    const { low } = this.almanac;
    let seasonDay = 0;
    for (let p = 0; p < WARMEST_SEARCH_END; p++) if (low[p]! > low[seasonDay]!) seasonDay = p;
    // A few weeks before the warmest nights there is still something of the summer left.
    return { seasonDay: Math.max(0, seasonDay - 30), reason };
  }

  /** When soil at seed depth has cooled to `soilC` after midsummer; null where it never does. */
  soilCooled(soilC: number, code: 'soilCooled' | 'winterComes'): Gate | null {
    const soil = this.almanac.soil(SEED_DEPTH_MM);
    for (let seasonDay = WARMEST_SEARCH_END - 30; seasonDay < YEAR; seasonDay++) {
      if (soil[seasonDay]! <= soilC) return { seasonDay, reason: { code, soilC, by: this.#day(seasonDay) } };
    }
    return null;
  }

  /** When a crop has come to grow at a share of its usual speed after midwinter; null where it never grows slower. */
  growsAgain(crop: Crop, share: number): Gate | null {
    const usual = usualYear(this.almanac).growth(crop.growth);
    for (let from = MIDSUMMER; from >= 0; from--) {
      if (usual[from + 1]! - usual[from]! >= share) continue;
      // Single days are too uneven for a speed to be read from them: this year is so far when as much has grown in it.
      const { measured } = this.almanac;
      const seasonDay =
        measured === 0 ? from + 1 : seasonDayOfSum(this.almanac.growth(crop.growth), usual[from + 1]!);
      return { seasonDay, reason: { code: 'growsAgain', share, by: this.#day(seasonDay) } };
    }
    return null;
  }

  /** When a crop's growth has fallen below a share of its usual speed for the winter; null where it never does. */
  growthStops(crop: Crop, share: number): number | null {
    const sums = usualYear(this.almanac).growth(crop.growth);
    for (let seasonDay = MIDSUMMER + 14; seasonDay < MIDSUMMER + YEAR; seasonDay++)
      if (sums[seasonDay + 1]! - sums[seasonDay]! < share) return seasonDay;
    return null;
  }

  /** The first season day from which soil at seed depth stays cool enough for the crop's seed until midwinter. */
  soilCoolEnough(soilC: number): Gate | null {
    const soil = this.almanac.soil(SEED_DEPTH_MM);
    for (let seasonDay = YEAR - 1; seasonDay >= MIDSUMMER; seasonDay--) {
      if (soil[seasonDay]! <= soilC) continue;
      return { seasonDay: seasonDay + 1, reason: { code: 'soilHot', soilC, by: this.#day(seasonDay + 1) } };
    }
    return null;
  }

  /** The first season day after `from` at which soil at seed depth is too hot for the crop's seed; null where it never is. */
  soilTooHot(soilC: number, from: number): Gate | null {
    const soil = this.almanac.soil(SEED_DEPTH_MM);
    let since: number | null = null;
    for (let seasonDay = Math.max(0, from); seasonDay < YEAR; seasonDay++) {
      if (soil[seasonDay]! > soilC) since ??= seasonDay;
      else since = null;
      // A hot spell that is over by now has closed nothing.
      if (since !== null && seasonDay >= this.almanac.measured)
        return { seasonDay: since, reason: { code: 'soilTooHot', soilC, on: this.#day(since) } };
    }
    return null;
  }

  /**
   * Days from sowing at a season day until seed is up: each day brings it on by one over the days it takes in that day's soil,
   * so that seed sown in cold soil gains as the soil warms.
   * @param offC by how much the year's soil differs from the usual, °C
   * @returns at the most a quarter of a year
   */
  daysToUp(crop: Crop, seasonDay: SeasonDay, offC: number): number {
    const soil = this.almanac.soil(SEED_DEPTH_MM);
    const speeds = speedsOf(crop);
    let grown = 0;
    for (let n = 0; n < LONGEST_EMERGENCE; n++) {
      const soilC = soil[inYear(seasonDay + n)]! + offC;
      const step = Math.round((soilC - COLDEST_SOIL_C) / SPEED_STEP_C);
      grown += speeds[Math.max(0, Math.min(speeds.length - 1, step))]!;
      if (grown >= 1) return n + 1;
    }
    return LONGEST_EMERGENCE;
  }

  /** Soil temperature at seed depth a few days after a season day, when seed sown there swells, °C. */
  soilAt(seasonDay: SeasonDay): number {
    return this.almanac.soil(SEED_DEPTH_MM)[inYear(Math.round(seasonDay) + 4)]!;
  }
}

/** Seed that is not up after a quarter of a year does not come up. */
const LONGEST_EMERGENCE = 90;
const COLDEST_SOIL_C = -5;
const SPEED_STEP_C = 0.25;
const speedTables = new WeakMap<Crop, Float64Array>();

/** Share of the way from sowing to emergence that a day brings, by soil temperature in quarter degrees from −5 °C. */
function speedsOf(crop: Crop): Float64Array {
  let speeds = speedTables.get(crop);
  if (!speeds) {
    speeds = Float64Array.from({ length: 200 }, (_, i) => {
      const days = daysToEmergence(crop, COLDEST_SOIL_C + i * SPEED_STEP_C);
      return days === null ? 0 : 1 / days;
    });
    speedTables.set(crop, speeds);
  }
  return speeds;
}

const warmths = new WeakMap<Crop, Map<number, number | null>>();

/** The coldest soil, in half degrees, from which a crop's seed is up within `days`; null where it never is. */
function warmthForEmergence(crop: Crop, days: number): number | null {
  let known = warmths.get(crop);
  if (!known) {
    known = new Map();
    warmths.set(crop, known);
  }
  let warmth = known.get(days);
  if (warmth === undefined) {
    warmth = null;
    for (let soilC = crop.germination.least; soilC <= crop.germination.best; soilC += 0.5) {
      const needed = daysToEmergence(crop, soilC);
      if (needed !== null && needed <= days) {
        warmth = soilC;
        break;
      }
    }
    known.set(days, warmth);
  }
  return warmth;
}
