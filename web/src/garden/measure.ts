import { type Measure, measureIn } from '@unity-acre/contract/wording';
import { useHere } from './here.tsx';

const made = { imperial: measureIn('imperial'), metric: measureIn('metric') };

/** Numbers with their units, as the garden counts. */
export const useMeasure = (): Measure => made[useHere().garden.units];
