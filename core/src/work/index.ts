export * from './needs.ts';
export * from './pace.ts';
export * from './rota/index.ts';
export * from './task.ts';
