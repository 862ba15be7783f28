export {
  type Allotted,
  type Application,
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
} from './application.ts';
export { bestFit } from './bestFit.ts';
export {
  type Care,
  type CareCheck,
  type CareFinding,
  type CareRule,
  type CareStage,
  careFindings,
  careOf,
  defaultCareRule,
} from './care.ts';
export { type DrawRecord, draw, drawn, ticketOf } from './draw.ts';
