export { brokenRules } from './check.ts';
export * from './first/index.ts';
export * from './model/index.ts';
export * from './problem/index.ts';
export * from './reasons.ts';
export * from './sessionWork/index.ts';
export * from './solve/index.ts';
