export { within } from './chain.ts';
export { computeMilestones, mayBegin, ownCroppings, seasonToPlan } from './computeMilestones.ts';
export { badForHardening, DAY_MINUTES, type HardeningDay, hardeningDays, hardeningPlan } from './harden.ts';
export {
  type BoundReasons,
  courseRank,
  type Happened,
  inGroundOf,
  inOrder,
  isSowing,
  isSown,
  type Milestone,
  type MilestoneKind,
  milestoneKinds,
  sideSteps,
  startOf,
  type Window,
} from './milestone.ts';
export { type Outside, outsideWindow } from './outside.ts';
export { type Move, moves } from './redate.ts';
export {
  cornBeansSquash,
  type SequencePlace,
  type SequenceStep,
  sequencePlaces,
  sequencesFrom,
  stageOf,
} from './sequence.ts';
