import { Catalogue, plainCatalogue } from '@unity-acre/core/crops';
import { useList } from '../kit/garden.ts';

type OwnCrops = NonNullable<ReturnType<typeof useList<'ownCrops'>>['data']>;

/** One catalogue for each answer of the server, however many parts of the screen ask for it. */
const made = new WeakMap<OwnCrops, Catalogue>();

/** The crops the garden can plant: the catalogue with what the garden says beyond it. */
export function useCatalogue(): Catalogue {
  const own = useList('ownCrops').data;
  if (!own || own.length === 0) return plainCatalogue;
  let catalogue = made.get(own);
  if (!catalogue) {
    catalogue = new Catalogue(own);
    made.set(own, catalogue);
  }
  return catalogue;
}
