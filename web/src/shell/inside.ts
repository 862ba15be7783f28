export { cropsAreThere } from '../crops/catalogue.ts';
export { Door } from './Door.tsx';
export { readAhead } from './readAhead.ts';
