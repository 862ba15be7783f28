export * from './amounts.ts';
export * from './countBack.ts';
export * from './milestone.ts';
export { hasTurn, outdoorWindow, within } from './outdoors.ts';
export * from './reason.ts';
export * from './reckon.ts';
export * from './redate.ts';
