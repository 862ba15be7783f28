export * from './groups.ts';
export { curveOfMonths, fitHarmonics, type Harmonics, harmonicAt } from './harmonics.ts';
export { normalCdf, normalQuantile } from './normal.ts';
export { gaussian, seeded, seedOf } from './seeded.ts';
