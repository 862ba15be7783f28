export * from './pace.ts';
export * from './task.ts';
