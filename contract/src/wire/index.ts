export * from './field.ts';
export * from './problem.ts';
export * from './route.ts';
