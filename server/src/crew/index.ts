export { access, type DemoSignIns } from './access.ts';
export { peopleRoutes } from './people.ts';
