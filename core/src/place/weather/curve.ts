import { type Harmonics, harmonicAt } from '../../maths/index.ts';
import { type SeasonDay, YEAR } from '../seasonYear.ts';

/** A curve's values are asked for every day of many years: each curve is drawn once. */
const drawn = new WeakMap<Harmonics, Float64Array>();
export function curveAt(curve: Harmonics, seasonDay: SeasonDay): number {
  let values = drawn.get(curve);
  if (!values) {
    values = Float64Array.from({ length: YEAR }, (_, p) => harmonicAt(curve, p));
    drawn.set(curve, values);
  }
  return values[seasonDay]!;
}
