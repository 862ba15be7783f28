export { bed, drawn, season, wish } from './gardens.ts';
export { trespasses } from './trespasses.ts';
export { bestByTrying } from './trying.ts';
