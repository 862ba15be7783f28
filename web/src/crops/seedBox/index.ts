export { lotLife } from './lotLife.ts';
