export * from './frostCover.ts';
export * from './kinds/index.ts';
export * from './order/index.ts';
export * from './ownPace.ts';
export * from './rota/index.ts';
export * from './sheets.ts';
export * from './tasks/index.ts';
export * from './toHaveReady.ts';
