export * from './frostCover.ts';
export * from './needs.ts';
export * from './ownPace.ts';
export * from './pace.ts';
export * from './rota/index.ts';
export * from './round.ts';
export * from './task.ts';
export * from './workKind.ts';
