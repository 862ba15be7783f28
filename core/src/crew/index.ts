export {
  type Allotted,
  type Application,
  bestFit,
  type Care,
  type CareCheck,
  type CareFinding,
  type CareRule,
  type CareStage,
  careFindings,
  careOf,
  type DrawRecord,
  defaultCareRule,
  draw,
  drawn,
  FULL_SUN_H,
  type HouseRule,
  type Lacking,
  lacking,
  NEAR_TAP_M,
  noNeeds,
  type OfferedPlot,
  type Outcome,
  outcomeOf,
  type PlotNeeds,
  preferred,
  TALL_M,
  ticketOf,
} from './allotment/index.ts';
export * from './availability.ts';
export * from './hours.ts';
export * from './messageKinds.ts';
export * from './person.ts';
