export { proposals } from './proposals.ts';
export { overdueAfter, type Reckoned, reckon, reckonYear, SEASON_ROOMS } from './reckoned.ts';
export { seasonRoutes } from './routes.ts';
export { sunOf } from './yearPlan.ts';
