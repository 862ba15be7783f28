export {
  BEGINNER,
  CHILD,
  type Needs,
  type OwnNeeds,
  PRACTISED,
  paceOf,
  type SkyWanted,
  type ToolNeed,
} from './needs.ts';
export * from './roundKinds.ts';
export * from './taskKinds.ts';
export * from './workKind.ts';
