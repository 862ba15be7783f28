export { catalogueOf } from './catalogue.ts';
export { cropRoutes } from './routes.ts';
