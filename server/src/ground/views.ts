import type { Bed, Landmark, Underlay } from '@unity-acre/contract/ground';
import { group } from 'd3-array';
import type { EntityManager } from 'typeorm';
import type { PersonEntity } from '../crew/entity.ts';
import { Names } from '../crew/index.ts';
import { breathe } from '../heavy/breathe.ts';
import { byName } from '../http/order.ts';
import { beds, type LandmarkEntity, type TenureEntity, tenures, type UnderlayEntity } from './entity.ts';

export const landmarkView = ({ gardenId: _, ...row }: LandmarkEntity): Landmark => row;
export const underlayView = ({ gardenId: _, ...row }: UnderlayEntity): Underlay => row;

/** Beds by their names as people read them (Bed 2 before Bed 10), each with its tenure by season. */
export async function bedViews(manager: EntityManager, reader: PersonEntity, only?: string): Promise<Bed[]> {
  const { gardenId } = reader;
  const rows = await manager.findBy(beds, only ? { gardenId, id: only } : { gardenId });
  const held = await manager.findBy(tenures, only ? { gardenId, bedId: only } : { gardenId });
  const names = await Names.for(manager, reader);
  await breathe();
  const byBed = group(held, (row) => row.bedId);
  const tenureView = ({ gardenId: _, bedId: __, ...row }: TenureEntity) => ({
    ...row,
    holder: names.of(row.personId) || null,
  });
  return rows
    .map(({ gardenId: _, ...bed }) => ({
      ...bed,
      tenures: (byBed.get(bed.id) ?? []).sort((a, b) => b.year - a.year).map(tenureView),
    }))
    .sort((a, b) => byName(a.name, b.name));
}
