export { ColourKey } from './ColourKey.tsx';
export { standing, useSun } from './sun.ts';
export { sunColour } from './sunColour.ts';
