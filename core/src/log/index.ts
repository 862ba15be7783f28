export * from './entry.ts';
export * from './line.ts';
