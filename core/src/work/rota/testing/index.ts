export { brokenRules, isThere } from '../check.ts';
export * from './changes.ts';
export * from './exhaustive.ts';
export * from './gardens.ts';
export * from './withDays.ts';
