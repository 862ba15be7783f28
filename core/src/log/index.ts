export * from './entry.ts';
export * from './kinds.ts';
export * from './line.ts';
export * from './soilReading.ts';
