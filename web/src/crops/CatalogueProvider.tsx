import { Catalogue } from '@unity-acre/core/crops';
import { type ReactNode, useMemo } from 'react';
import { useList } from '../garden/index.ts';
import { CatalogueContext, plainCatalogue } from './catalogue.ts';

/** Gives all that is in it the garden's catalogue, which is read once for all rows of all lists. */
export function CatalogueProvider({ children }: { children: ReactNode }) {
  const own = useList('ownCrops').data;
  const catalogue = useMemo(() => {
    const plain = plainCatalogue();
    return own && own.length > 0 ? new Catalogue(plain.rows, own) : plain;
  }, [own]);
  return <CatalogueContext value={catalogue}>{children}</CatalogueContext>;
}
