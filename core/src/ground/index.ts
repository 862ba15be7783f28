export * from './packing.ts';
export * from './rectangle.ts';
