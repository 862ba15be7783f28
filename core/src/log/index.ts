export * from './entry.ts';
export * from './kinds.ts';
export * from './line.ts';
