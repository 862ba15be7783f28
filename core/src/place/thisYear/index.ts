export { AHEAD_BASE_C, type Ahead, aheadOn, readingOn, soilOn, yearWarmth } from './ahead.ts';
export { almanacOfYear, usualYear } from './almanacOfYear.ts';
