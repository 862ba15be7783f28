export { refuseSea } from './atSea.ts';
export { storedRecord, usualClimateOf } from './climate.ts';
export { placeRoutes } from './routes.ts';
export { climateOf } from './thisYear.ts';
export { todayIn } from './today.ts';
export { gardenView } from './view.ts';
