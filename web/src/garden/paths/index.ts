export { PlacePaths } from './PlacePaths.tsx';
export { placePaths } from './placePaths.ts';
