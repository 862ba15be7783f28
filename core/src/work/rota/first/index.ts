export * from './first.ts';
export { Seating } from './seating.ts';
