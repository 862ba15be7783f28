import { Catalogue } from '@unity-acre/core/crops';
import { createContext, useContext } from 'react';
import { fetchShippedCrops } from './shippedCrops.ts';

let plain: Catalogue | undefined;
let coming: Promise<void> | undefined;

/** Fetches the crops that ship, once; what stands behind the garden's door waits for them. */
export function cropsAreThere(): Promise<void> {
  coming ??= fetchShippedCrops().then(
    (rows) => {
      plain = new Catalogue(rows);
    },
    (error) => {
      // The next who asks tries again.
      coming = undefined;
      throw error;
    },
  );
  return coming;
}

/** The catalogue as it ships. @throws before the crops are there */
export function plainCatalogue(): Catalogue {
  if (!plain) throw new Error('no crops yet');
  return plain;
}

export const CatalogueContext = createContext<Catalogue | null>(null);

/** The crops the garden can plant: the catalogue with what the garden says beyond it. */
export const useCatalogue = (): Catalogue => useContext(CatalogueContext) ?? plainCatalogue();
