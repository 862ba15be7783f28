export * from './eligible.ts';
export * from './problem.ts';
