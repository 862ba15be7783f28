export { timeFor } from './clock.ts';
export { DayMap } from './DayMap.tsx';
export { useMarks } from './marks.ts';
