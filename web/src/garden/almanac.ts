import { type Almanac, almanacOf, type Protection, spotIn } from '@unity-acre/core/place';
import { useHere } from './here.tsx';

/**
 * The almanac of the garden in its usual year, or of a bed in it.
 * @param protection what stands over a planting there
 */
export function useAlmanac(
  bed: { id: string; offsetC: number } | null = null,
  protection: Protection = 'none',
): Almanac {
  const { garden } = useHere();
  return almanacOf(garden.climate, spotIn(garden, bed, protection));
}
