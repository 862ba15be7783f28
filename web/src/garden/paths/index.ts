export { SeasonPaths } from './SeasonPaths.tsx';
export { SessionPaths } from './SessionPaths.tsx';
