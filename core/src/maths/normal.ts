/** Share of a standard normal population below `z`. Source: Abramowitz & Stegun, formula 26.2.17 (error < 7.5e-8). */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

/**
 * The value below which `share` of a standard normal population lies.
 * Source: Abramowitz & Stegun, formula 26.2.23 (error < 4.5e-4).
 * @param share above 0 and below 1
 * @throws RangeError for a share that is not
 */
export function normalQuantile(share: number): number {
  if (!(share > 0 && share < 1)) throw new RangeError(`no quantile at ${share}`);
  const p = Math.min(share, 1 - share);
  const t = Math.sqrt(-2 * Math.log(p));
  const z =
    t - (2.515517 + t * (0.802853 + t * 0.010328)) / (1 + t * (1.432788 + t * (0.189269 + t * 0.001308)));
  return share < 0.5 ? -z : z;
}
