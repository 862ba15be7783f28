import type { UnitSystem } from '@unity-acre/core/units';

/** Degree days as a garden counts them. @param sum degree days of °C */
export const degreeDaysShown = (sum: number, system: UnitSystem): number =>
  system === 'imperial' ? sum * 1.8 : sum;
