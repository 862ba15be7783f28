export * from './catalogue.ts';
export * from './cells.ts';
export * from './check.ts';
export * from './crop.ts';
export * from './kinds.ts';
export * from './neighbours.ts';
export { daysBetweenPicks } from './pickEvery.ts';
export { type CropPatch, type CropRow, cropPatch, cropRow } from './row.ts';
export * from './seed.ts';
