export { hasDemo, loadDemo } from './load.ts';
export { demoPassword, people } from './people.ts';
export { gardenId } from './place.ts';
export { demoSignIns } from './signIns.ts';
export { record } from './weather.ts';
