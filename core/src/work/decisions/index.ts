export * from './decide.ts';
export * from './decision.ts';
