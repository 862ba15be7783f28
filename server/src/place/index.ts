export { refuseSea } from './atSea.ts';
export { climateOf, storedRecord } from './climate.ts';
export { placeRoutes } from './routes.ts';
export { todayIn } from './today.ts';
export { gardenView } from './view.ts';
