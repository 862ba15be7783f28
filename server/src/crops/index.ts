export { catalogueOf } from './catalogue.ts';
export { cropRoutes } from './routes.ts';
export { seedBoxOf } from './seedBox.ts';
