export { toDo } from './toDo.tsx';
