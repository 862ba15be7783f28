import { ROTATION_YEARS } from '@unity-acre/core/season';
import { Between, type EntityManager } from 'typeorm';
import { plantings } from './entity.ts';

/** What stood in a bed in an earlier season. */
interface GrownRow {
  bedId: string;
  cropId: string;
  year: number;
}

/**
 * What stood in the beds of a garden in the seasons that rotation counts, before a season, in the order in which it was planned.
 * @param here what stands in that season: what was planted the autumn before and stands yet is no earlier crop
 */
export async function grownBefore(
  manager: EntityManager,
  gardenId: string,
  year: number,
  here: ReadonlySet<string>,
): Promise<GrownRow[]> {
  const rows: (GrownRow & { id: string })[] = await manager
    .createQueryBuilder(plantings, 'planting')
    .select('planting.id', 'id')
    .addSelect('planting.bedId', 'bedId')
    .addSelect('planting.cropId', 'cropId')
    .addSelect('planting.year', 'year')
    .where({ gardenId, year: Between(year - ROTATION_YEARS, year - 1) })
    .orderBy('planting.id')
    .getRawMany();
  return rows
    .filter(({ id }) => !here.has(id))
    .map(({ bedId, cropId, year: grown }) => ({ bedId, cropId, year: grown }));
}
