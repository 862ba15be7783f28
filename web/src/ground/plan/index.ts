export type { PlaceInBed } from '@unity-acre/core/season';

export type { GroundView } from './GroundCanvas.tsx';
export { frameOf, Plan, paintOrder } from './Plan.tsx';
export { PlanFrame } from './PlanFrame.tsx';
export { BedMark, LandmarkMark, pathOf } from './PlanThings.tsx';
export { placesIn, type Standing } from './placesIn.ts';
export { stepIn } from './snap.ts';
export { TenureKey } from './TenureKey.tsx';
export { Underlay } from './Underlay.tsx';
export { useGrowing } from './useGrowing.ts';
export { useSpotWords } from './useSpotWords.ts';
