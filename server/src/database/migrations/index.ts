import { ClimateAndCrops1764100000000 } from './climateAndCrops.ts';
import { First1764000000000 } from './first.ts';

/** All migrations in order. A migration that has landed is never changed. */
export const migrations = [First1764000000000, ClimateAndCrops1764100000000];
