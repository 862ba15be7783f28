export * from './brief.ts';
export * from './due.ts';
export * from './recurrence.ts';
export * from './round.ts';
export * from './task.ts';
