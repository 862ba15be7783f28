import { type Catalogue, catalogueWith, plainCatalogue } from '@unity-acre/core/crops';
import type { EntityManager } from 'typeorm';
import { Remembered } from '../database/remember.ts';
import { ownCrops } from './entity.ts';

const catalogues = new Remembered<Catalogue>();

/** The crops a garden can plant: the catalogue with what the garden says beyond it. */
export async function catalogueOf(manager: EntityManager, gardenId: string): Promise<Catalogue> {
  const own = await manager.findBy(ownCrops, { gardenId });
  if (own.length === 0) return plainCatalogue;
  const stamp = own.map(({ id, version }) => `${id} ${version}`).join();
  return catalogues.of(gardenId, stamp, () => catalogueWith(own));
}
