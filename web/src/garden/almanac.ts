import { type Almanac, almanacOf, type Protection } from '@unity-acre/core/place';
import { useHere } from './here.ts';

/**
 * The almanac of the garden, or of a spot in it.
 * @param offsetC how much warmer the spot is than the garden, °C  @param protection what stands over a planting there
 */
export function useAlmanac(offsetC = 0, protection: Protection = 'none'): Almanac {
  const { garden } = useHere();
  return almanacOf(garden.climate, garden.offsetC + offsetC, protection);
}
