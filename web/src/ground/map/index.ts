export { GardenMap } from './GardenMap.tsx';
export type { Lens } from './lens.ts';
export * from './lenses/index.ts';
