export { distanceKm, nearestTown, type Town, townAtHeight, townLabel, towns } from './towns.ts';
