export * from './audience.ts';
export * from './code.ts';
export * from './field.ts';
export * from './problem.ts';
export * from './route.ts';
