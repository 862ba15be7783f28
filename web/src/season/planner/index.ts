export { PackingDrawing } from './PackingDrawing.tsx';
