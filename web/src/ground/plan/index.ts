export { useGrowing } from './Ground.tsx';
export { frameOf, Plan, paintOrder } from './Plan.tsx';
export { PlanFrame } from './PlanFrame.tsx';
export { BedMark, LandmarkMark, pathOf } from './PlanThings.tsx';
export { tenureFill } from './tenureLook.ts';
export { Underlay } from './Underlay.tsx';
