import { type Almanac, almanacOf } from '@unity-acre/core/place';
import { useHere } from './here.ts';

/** The almanac of the garden, or of a spot in it. @param offsetC how much warmer the spot is than the garden, °C */
export function useAlmanac(offsetC = 0): Almanac {
  const { garden } = useHere();
  return almanacOf(garden.climate, garden.offsetC + offsetC);
}
