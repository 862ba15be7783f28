import { Almanac, type SoilCover, shelters, type Warmth } from '../almanac/index.ts';
import type { SoilReading, YearSoFar } from '../climate/index.ts';
import { type DateSpread, isSteadyAt, laterThan, STEADY_NIGHTS } from '../climate/index.ts';
import { MIDSUMMER, type SeasonDay, YEAR } from '../seasonYear.ts';
import { type Departures, departuresOf, spellsOf } from './departures.ts';

const years = new WeakMap<Almanac, Map<number, Almanac>>();

/**
 * The almanac of one season year: this year's own days as far as they are known, blended into the usual year with the lead. A
 * year of which nothing is known, or which is long past or far ahead, is a usual one.
 * @param almanac of the usual year, or of any other year of the same spot
 */
export function almanacOfYear(almanac: Almanac, year: number): Almanac {
  const usual = usualYear(almanac);
  const { thisYear } = usual.climate;
  // What grows through the winter into this year was planted for the year before.
  if (!thisYear || (year !== thisYear.year && year !== thisYear.year - 1)) return usual;
  let known = years.get(usual);
  if (!known) {
    known = new Map();
    years.set(usual, known);
  }
  let own = known.get(year);
  if (!own) {
    own = new AlmanacOfYear(usual, thisYear, year);
    known.set(year, own);
  }
  return own;
}

/** The almanac of a usual year at the same spot. */
export const usualYear = (almanac: Almanac): Almanac =>
  almanac instanceof AlmanacOfYear ? almanac.usual : almanac;

/** What has happened is dated just before its day, so that rounding up gives the day itself. */
const happenedAt = (seasonDay: SeasonDay): DateSpread => ({ mean: seasonDay - 0.01, sd: 0.001, share: 1 });

class AlmanacOfYear extends Almanac {
  override readonly measured: number;
  readonly #departures: Departures;
  readonly #spells: Departures;
  /** from this year's days to days of the season year at hand: for what was planted last year they are those of the year after */
  readonly #shift: number;

  constructor(
    readonly usual: Almanac,
    readonly thisYear: YearSoFar,
    year: number,
  ) {
    super(usual.climate, usual.spot);
    this.#departures = departuresOf(usual.climate, thisYear);
    this.#spells = spellsOf(this.#departures, thisYear.until);
    this.#shift = (thisYear.year - year) * YEAR;
    this.measured = this.#isThisYear() ? thisYear.until : 0;
  }

  #isThisYear(): boolean {
    return this.#shift === 0;
  }

  /** By how much nights about a day differ from the usual, °C; nothing where the day is past. */
  #warmerAt(seasonDay: SeasonDay): number {
    const at = Math.round(seasonDay);
    return at >= this.thisYear.until && at < YEAR ? this.#departures.low[at]! : 0;
  }

  /** The minimum of a measured or foretold night at this spot, °C; warmer than all where it is not known. */
  #night(seasonDay: SeasonDay): number {
    const { nightsC } = shelters[this.spot.protection];
    return this.low[seasonDay]! - nightsC + this.#departures.low[seasonDay]!;
  }

  override lastFreeze(thresholdC: number): DateSpread {
    const usual = this.usual.lastFreeze(thresholdC);
    if (!this.#isThisYear() || usual.mean < this.thisYear.until) return usual;
    const shifted = this.usual.lastFreeze(thresholdC - this.#warmerAt(usual.mean));
    return { ...shifted, mean: Math.max(this.thisYear.until, shifted.mean) };
  }

  override firstFreeze(thresholdC: number): DateSpread {
    const usual = this.usual.firstFreeze(thresholdC);
    if (!this.#isThisYear()) return usual;
    const { frostC } = shelters[this.spot.protection];
    for (let seasonDay = MIDSUMMER; seasonDay < this.thisYear.until; seasonDay++)
      if (this.#night(seasonDay) + frostC <= thresholdC) return happenedAt(seasonDay);
    const shifted = this.usual.firstFreeze(thresholdC - this.#warmerAt(usual.mean));
    return this.thisYear.until > MIDSUMMER ? laterThan(shifted, this.thisYear.until) : shifted;
  }

  override nightsFrom(thresholdC: number): DateSpread {
    const usual = this.usual.nightsFrom(thresholdC);
    if (!this.#isThisYear()) return usual;
    const { nightsC } = shelters[this.spot.protection];
    const nights = Float32Array.from(
      { length: this.thisYear.low.length },
      (_, p) => this.#night(p) + nightsC,
    );
    for (let seasonDay = 0; seasonDay + STEADY_NIGHTS <= nights.length; seasonDay++)
      if (isSteadyAt(nights, seasonDay, thresholdC)) return happenedAt(seasonDay);
    const shifted = this.usual.nightsFrom(thresholdC - this.#warmerAt(usual.mean));
    return laterThan(shifted, Math.max(0, nights.length - STEADY_NIGHTS + 1));
  }

  protected override soilAt(depthMm: number, cover: SoilCover): Float64Array {
    const usual = this.usual.soil(depthMm, cover);
    if (!this.#isThisYear()) return usual;
    const { low, high } = this.#spells;
    const air = {
      low: this.low.map((value, p) => value + low[p]!),
      high: this.high.map((value, p) => value + high[p]!),
    };
    const soil = this.soilUnder(air, depthMm, cover, usual[YEAR - 1]!);
    overrule(
      soil,
      this.thisYear.soil.filter(({ bedId }) => bedId === this.spot.bedId),
    );
    return soil;
  }

  /**
   * A day of this year grows by the mean of the days about it: what a warm and a cold day bring together is not what two
   * middling ones do, and the usual year counts with means.
   */
  protected override rates(warmth: Warmth): (seasonDay: SeasonDay) => number {
    const usual = super.rates(warmth);
    const { low, high } = this.#spells;
    return (seasonDay) => {
      const own = seasonDay - this.#shift;
      if (own < 0 || own >= YEAR) return usual(seasonDay);
      return this.rateAt(warmth, own, this.mean[own]! + (low[own]! + high[own]!) / 2);
    };
  }
}

/** Days for which soil is what was read, and in which it goes back to what is computed. Common practice: a reading holds for a week. */
const READING_HOLDS_DAYS = 5;
const READING_FADES_DAYS = 9;
export const READING_LASTS_DAYS = READING_HOLDS_DAYS + READING_FADES_DAYS;

/** Puts what was read in a bed in place of what was computed: as far off as it was found, for some days. */
function overrule(soil: Float64Array, readings: readonly SoilReading[]): void {
  for (const [i, { seasonDay, soilC }] of readings.entries()) {
    const off = soilC - soil[seasonDay]!;
    const end = Math.min(YEAR, readings[i + 1]?.seasonDay ?? YEAR, seasonDay + READING_LASTS_DAYS);
    for (let p = seasonDay; p < end; p++) {
      const faded = Math.max(0, p - seasonDay - READING_HOLDS_DAYS) / READING_FADES_DAYS;
      soil[p]! += off * (1 - faded);
    }
  }
}
