export * from './catalogue.ts';
export * from './check.ts';
export * from './crop.ts';
export * from './kinds.ts';
