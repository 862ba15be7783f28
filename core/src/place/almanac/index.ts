export {
  Almanac,
  almanacOf,
  expectedWarmth,
  type FrostDates,
  firstFreezeDay,
  freezeRisk,
  frostDates,
  growingDays,
  lastFreezeDay,
  type Spot,
  spotIn,
  steadyNightShare,
} from './almanac.ts';
export { degreeDays, degreeDaysOf, expectedDegreeDays } from './degreeDays.ts';
export { growthRate, type Warmth } from './growthRate.ts';
export { type Protection, protections, shelters } from './protection.ts';
export { type DailyAir, SEED_DEPTH_MM, type SoilCover, soilTemperatures } from './soilTemperature.ts';
