export * from './totals.ts';
