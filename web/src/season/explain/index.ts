export { useMoveWords } from './Moves.tsx';
export { OutsideNote } from './OutsideNote.tsx';
export { useLostWords } from './outside.ts';
export { PlantingRow } from './PlantingRow.tsx';
export { Reasons } from './Reasons.tsx';
export { useReasonWords } from './reasons.ts';
export { StepsChart } from './StepsChart.tsx';
