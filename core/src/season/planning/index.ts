export { type Rolled, type Rolling, rollings, rollOver } from './nextYear.ts';
export { type Rehearsal, rehearse, type WeatherYear } from './rehearsal.ts';
export {
  areaByDay,
  type GroundTaken,
  inGroundSpan,
  isTall,
  type Lying,
  laidOut,
  type Overfull,
  overfull,
  owned,
  TALL_M,
  takenBy,
  tallCrops,
} from './space.ts';
export { type StillSown, stillSown } from './stillSow.ts';
export { MOST_IN_SERIES, type Succeeding, type SuccessionBy, succession } from './succession.ts';
export {
  type Grown,
  lastYearOf,
  type PlannedBed,
  type PlannedPlanting,
  ROTATION_YEARS,
  rotates,
  type YearPlan,
} from './yearPlan.ts';
