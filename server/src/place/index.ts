export { placeRoutes } from './routes.ts';
export { todayIn } from './today.ts';
