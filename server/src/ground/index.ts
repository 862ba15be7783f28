export { groundRoutes } from './routes.ts';
