export { Door } from './Door.tsx';
export { readAhead } from './readAhead.ts';
