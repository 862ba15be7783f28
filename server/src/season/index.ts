export { proposals } from './proposals.ts';
export { seasonRoutes } from './routes.ts';
export {
  overdueAfter,
  type PlantingSchedule,
  SEASON_ROOMS,
  schedulesOf,
  schedulesOfYear,
} from './schedules.ts';
export { checkOrder } from './stepOrder.ts';
export { sunOf } from './yearPlan.ts';
