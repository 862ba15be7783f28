import { normalCdf, normalQuantile } from '../maths/index.ts';
import type { Crop } from './crop.ts';

/** A lot of seed, as far as its life goes. */
export interface SeedLife {
  /** the year it was packed for or harvested in */
  year: number;
  /** share that came up in a test; null where nobody tested */
  germination: number | null;
  /** the year of the test */
  testedIn: number | null;
}

/** Germination of fresh seed where nothing else is known. Common practice, no source. */
export const FRESH_SHARE = 0.9;
const FRESH_PROBIT = normalQuantile(FRESH_SHARE);

/**
 * The share of a lot that is expected to come up in a year. In steady storage the probit of germination falls along a straight
 * line; it reaches one half when the seed is as old as its kind is said to last.
 * Source: Ellis & Roberts, "Improved equations for the prediction of seed longevity" (Annals of Botany 45, 1980), the form
 * v = K − p/σ, from memory; the years of each kind are in the catalogue.
 * @returns 0 to 1
 */
export function expectedGermination(
  { viabilityYears = 3 }: Pick<Crop, 'viabilityYears'>,
  lot: SeedLife,
  year: number,
): number {
  const perYear = FRESH_PROBIT / viabilityYears;
  const tested = lot.germination !== null && lot.germination > 0 && lot.testedIn !== null;
  if (lot.germination === 0) return 0;
  const start = tested ? normalQuantile(Math.min(0.999, lot.germination!)) : FRESH_PROBIT;
  const age = Math.max(0, year - (tested ? lot.testedIn! : lot.year));
  return normalCdf(start - perYear * age);
}

/** Below this seed is not worth the ground. Common practice, no source. */
export const POOR_SHARE = 0.4;

/**
 * Seeds to put into a hole so that at least one comes up with the wanted chance: the least n with 1 − (1 − g)ⁿ ≥ wanted.
 * @param germination 0 to 1  @param wanted below 1
 * @throws RangeError for seed that does not come up at all
 */
export function seedsPerHole(germination: number, wanted: number): number {
  if (!(germination > 0) || !(wanted > 0 && wanted < 1)) throw new RangeError('no number of seeds is enough');
  if (germination >= 1) return 1;
  return Math.max(1, Math.ceil(Math.log(1 - wanted) / Math.log(1 - germination) - 1e-9));
}

/** Seeds in an amount that is counted or weighed; null where the weight of the seed is not known. */
export function seedsIn(
  { seedsPerGram }: Pick<Crop, 'seedsPerGram'>,
  amount: number,
  unit: 'seeds' | 'g',
): number | null {
  if (unit === 'seeds') return Math.floor(amount);
  return seedsPerGram ? Math.floor(amount * seedsPerGram) : null;
}
