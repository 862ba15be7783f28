export { type Climate, climateOfRecord } from './climate.ts';
export {
  type DateSpread,
  earlierQuantile,
  laterQuantile,
  laterThan,
  type SpreadTable,
  shareAfter,
  shareBy,
  spreadAt,
  spreadOf,
} from './dateSpread.ts';
export { type Extremes, extremesOf, type MonthMeans, normalsOfExtremes } from './extremes.ts';
export { climateOfExtremes, climateOfFrosts, climateOfNormals, frostsOfNormals } from './supposedClimate.ts';
export { freezeYears, isSteadyAt, STEADY_DIP_C, STEADY_NIGHTS } from './yearlyDates.ts';
export { daysOfSeason, type SoilReading, type YearSoFar, yearSoFar } from './yearSoFar.ts';
