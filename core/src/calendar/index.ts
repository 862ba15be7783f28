export * from './day.ts';
export * from './zone.ts';
