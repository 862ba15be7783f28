export { refuseSea } from './atSea.ts';
export { storedRecord } from './climate.ts';
export { forecastFor } from './forecast.ts';
export { placeRoutes } from './routes.ts';
export { climateOf } from './thisYear.ts';
export { todayIn } from './today.ts';
export { gardenView } from './view.ts';
