export * from './goals.ts';
export * from './model.ts';
export * from './values.ts';
