export {
  bedLayout,
  type GroundToLay,
  type NoonSun,
  outlineIn,
  overlap,
  type PlaceInBed,
  shadeDirection,
  toLay,
} from './bedLayout.ts';
export { type Rolled, type Rolling, rollings, rollOver } from './nextYear.ts';
export { SHADED_SHARE, summerNoon } from './noonShade.ts';
export { type Rehearsal, rehearse, type WeatherYear } from './rehearsal.ts';
export {
  areaByDay,
  type GroundTaken,
  inGroundSpan,
  type Overfull,
  overfull,
  owned,
  takenBy,
} from './space.ts';
export { type StillSown, stillSown } from './stillSow.ts';
export { MOST_IN_SERIES, type Succeeding, type SuccessionBy, succession } from './succession.ts';
export {
  type CornStand,
  harmTogether,
  isCorn,
  keptApart,
  type Lack,
  lackOf,
  lacksOf,
  type Stand,
  standOf,
  sunWanted,
  TASSEL_DAYS,
  tasselOf,
  tasselsMeet,
} from './suitability.ts';
export { isTall, TALL_M } from './tall.ts';
export { tallCrops } from './tallCrops.ts';
export {
  type Grown,
  lastYearOf,
  type PlannedBed,
  type PlannedPlanting,
  ROTATION_YEARS,
  rotates,
  type YearPlan,
  yearsWithout,
} from './yearPlan.ts';
