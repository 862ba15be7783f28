export * from './amounts/index.ts';
export * from './consistency/index.ts';
export * from './milestones/index.ts';
export * from './placement/index.ts';
export * from './plan.ts';
export * from './planning/index.ts';
export * from './plants/index.ts';
export * from './reason.ts';
export * from './rules.ts';
export {
  allowsMethod,
  doubtsOf,
  hasCropping,
  quotedDays,
} from './windows/index.ts';
