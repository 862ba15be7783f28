export * from './divide.ts';
export * from './eligible.ts';
export * from './first.ts';
export { type GoalName, goalNames } from './goals.ts';
export * from './model.ts';
export * from './problem.ts';
export * from './reasons.ts';
export * from './solve.ts';
