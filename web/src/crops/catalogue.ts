import { type Catalogue, plainCatalogue } from '@unity-acre/core/crops';
import { createContext, useContext } from 'react';

export const CatalogueContext = createContext<Catalogue>(plainCatalogue);

/** The crops the garden can plant: the catalogue with what the garden says beyond it. */
export const useCatalogue = (): Catalogue => useContext(CatalogueContext);
