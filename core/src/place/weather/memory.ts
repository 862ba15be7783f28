import type { WeatherModel } from './weatherModel.ts';

/** Richardson's matrices from the lag-0 and lag-1 correlations: A = M1 M0⁻¹, B Bᵀ = M0 − A M1ᵀ. */
export function memory(high: Float64Array, low: Float64Array): Pick<WeatherModel, 'a' | 'b'> {
  const correlation = (x: Float64Array, y: Float64Array, lag: number): number => {
    let xy = 0;
    let xx = 0;
    let yy = 0;
    for (let i = lag; i < x.length; i++) {
      const u = x[i]!;
      const v = y[i - lag]!;
      if (Number.isNaN(u) || Number.isNaN(v)) continue;
      xy += u * v;
      xx += u * u;
      yy += v * v;
    }
    return xx > 0 && yy > 0 ? xy / Math.sqrt(xx * yy) : 0;
  };
  const together = Math.min(0.95, correlation(high, low, 0));
  const m1 = [
    correlation(high, high, 1),
    correlation(high, low, 1),
    correlation(low, high, 1),
    correlation(low, low, 1),
  ] as const;
  return memoryOf(together, m1);
}

/** The same from the correlation of maxima with minima, and those with the day before (rows: maximum, minimum). */
export function memoryOf(
  together: number,
  m1: readonly [number, number, number, number],
): Pick<WeatherModel, 'a' | 'b'> {
  const determinant = 1 - together ** 2;
  const a: WeatherModel['a'] = [
    (m1[0] - m1[1] * together) / determinant,
    (m1[1] - m1[0] * together) / determinant,
    (m1[2] - m1[3] * together) / determinant,
    (m1[3] - m1[2] * together) / determinant,
  ];
  // C = M0 − A M1ᵀ, and B its Cholesky root.
  const c00 = Math.max(0.05, 1 - (a[0] * m1[0] + a[1] * m1[1]));
  const c10 = together - (a[2] * m1[0] + a[3] * m1[1]);
  const c11 = Math.max(0.05, 1 - (a[2] * m1[2] + a[3] * m1[3]));
  const b00 = Math.sqrt(c00);
  const b10 = c10 / b00;
  return { a, b: [b00, 0, b10, Math.sqrt(Math.max(0.01, c11 - b10 ** 2))] };
}
