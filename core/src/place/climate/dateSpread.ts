import { normalCdf, normalQuantile } from '../../maths/index.ts';
import type { SeasonDay } from '../seasonYear.ts';

/**
 * When something happens in a year: mean and spread over the years in which it does, and the share of years in which
 * it does at all. Season days count from its first day, 0.
 * Source: the mixed distribution of Thom & Shaw, "Climatological analysis of freeze data", Monthly Weather Review
 * 86 (1958), on which the freeze tables of the U.S. climate normals (Climatography of the U.S. No. 20) rest.
 */
export interface DateSpread {
  mean: number;
  /** standard deviation, days */
  sd: number;
  /** 0–1 */
  share: number;
  /** it is known not to have happened before this day; where that is not known, it may happen on any */
  after?: number;
}

/** From yearly dates, as season days; null is a year without. @returns share 0 where no year has one */
export function spreadOf(seasonDays: readonly (number | null)[]): DateSpread {
  const had = seasonDays.filter((seasonDay) => seasonDay !== null);
  if (had.length === 0) return { mean: 0, sd: 1, share: 0 };
  const mean = had.reduce((sum, seasonDay) => sum + seasonDay, 0) / had.length;
  const squares = had.reduce((sum, seasonDay) => sum + (seasonDay - mean) ** 2, 0);
  // Two years alike say little about how far years differ: one day is the least spread.
  const sd = had.length < 2 ? 1 : Math.max(1, Math.sqrt(squares / (had.length - 1)));
  return { mean, sd, share: had.length / seasonDays.length };
}

/** The same where it is known not to have happened before `seasonDay`: the years in which it had are no longer possible. */
export function laterThan(spread: DateSpread, seasonDay: SeasonDay): DateSpread {
  const before = spread.share * normalCdf((seasonDay - spread.mean) / spread.sd);
  return { ...spread, share: before < 1 ? (spread.share - before) / (1 - before) : 0, after: seasonDay };
}

/** Share of the years that have it in which it has happened by `seasonDay`. */
function cdf({ mean, sd, after }: DateSpread, seasonDay: SeasonDay): number {
  const by = normalCdf((seasonDay - mean) / sd);
  if (after === undefined) return by;
  const before = normalCdf((after - mean) / sd);
  return seasonDay <= after || before >= 1 ? 0 : (by - before) / (1 - before);
}

/** The season day by which it has happened in a share of the years that have it. */
function quantile({ mean, sd, after }: DateSpread, among: number): number {
  if (after === undefined) return mean + normalQuantile(among) * sd;
  const before = normalCdf((after - mean) / sd);
  // What is later than it ever was may come any day.
  if (before > LATEST) return after;
  return Math.max(after, mean + normalQuantile(before + among * (1 - before)) * sd);
}

/** Share of years beyond which nothing is known of the rest. */
const LATEST = 0.9999;

/** Share of years in which it happens after `seasonDay`. */
export const shareAfter = (spread: DateSpread, seasonDay: SeasonDay): number =>
  spread.share * (1 - cdf(spread, seasonDay));

/** Share of years in which it has happened by `seasonDay`. */
export const shareBy = (spread: DateSpread, seasonDay: SeasonDay): number =>
  spread.share * cdf(spread, seasonDay);

/** The season day after which it happens in only `risk` of the years; null where fewer years have it at all. */
export function laterQuantile(spread: DateSpread, risk: number): number | null {
  const among = risk / spread.share;
  return among < 1 ? quantile(spread, 1 - among) : null;
}

/** The season day by which it has happened in `risk` of the years; null where fewer years have it at all. */
export function earlierQuantile(spread: DateSpread, risk: number): number | null {
  const among = risk / spread.share;
  return among < 1 ? quantile(spread, among) : null;
}

/** Spreads by threshold, at even steps. */
export interface SpreadTable {
  /** the lowest threshold, °C */
  from: number;
  step: number;
  spreads: DateSpread[];
}

/** The spread at a threshold, between the steps by the line between them; beyond the table its end. */
export function spreadAt({ from, step, spreads }: SpreadTable, threshold: number): DateSpread {
  const at = Math.min(spreads.length - 1, Math.max(0, (threshold - from) / step));
  const below = spreads[Math.floor(at)]!;
  const above = spreads[Math.ceil(at)]!;
  // A threshold that no year meets has no date to draw a line to.
  if (below.share === 0 || above.share === 0) return at % 1 < 0.5 ? below : above;
  const t = at % 1;
  const between = (a: number, b: number) => a + (b - a) * t;
  return {
    mean: between(below.mean, above.mean),
    sd: between(below.sd, above.sd),
    share: between(below.share, above.share),
  };
}
