export { grownBefore } from './grownBefore.ts';
export { proposals } from './proposals.ts';
export { seasonRoutes } from './routes.ts';
export {
  overdueAfter,
  type PlantingSchedule,
  plantingViews,
  SEASON_ROOMS,
  schedulesOf,
  schedulesOfYear,
  seedsFor,
} from './schedules.ts';
export { type Span, seasonsAround } from './seasonsAround.ts';
export { seedSourcesOf } from './seeds.ts';
export { checkOrder } from './stepOrder.ts';
export { sunOf } from './yearPlan.ts';
