import type { BedRecord } from '@unity-acre/contract/ground';
import type { Day } from '@unity-acre/core/calendar';
import type { Family } from '@unity-acre/core/crops';
import { seasonYearOf } from '@unity-acre/core/place';
import { ROTATION_YEARS, rotates } from '@unity-acre/core/season';
import { max, rollup } from 'd3-array';
import type { EntityManager } from 'typeorm';
import { careChecks } from '../crew/entity.ts';
import { catalogueOf } from '../crops/index.ts';
import { entries } from '../log/entity.ts';
import type { GardenEntity } from '../place/entity.ts';
import { grownBefore, schedulesOfYear } from '../season/index.ts';
import { beds } from './entity.ts';

interface Looked {
  bedId: string;
  on: string | null;
}

/** The last day on which somebody wrote of each bed, or checked it as a plot. */
async function lookedAt(manager: EntityManager, gardenId: string): Promise<Map<string, string | undefined>> {
  // What is logged of a planting has its bed too.
  const written: Looked[] = await manager
    .createQueryBuilder(beds, 'bed')
    .select('bed.id', 'bedId')
    .addSelect(
      (last) => last.select('MAX(entry.on)').from(entries, 'entry').where('entry.bedId = bed.id'),
      'on',
    )
    .where({ gardenId })
    .getRawMany();
  const checked: Looked[] = await manager
    .createQueryBuilder(careChecks, 'check')
    .select('check.bedId', 'bedId')
    .addSelect('MAX(check.on)', 'on')
    .where({ gardenId })
    .groupBy('check.bedId')
    .getRawMany();
  return rollup(
    [...written, ...checked].filter(({ on }) => on !== null),
    (rows) => max(rows, ({ on }) => on),
    ({ bedId }) => bedId,
  );
}

/** What the log and the seasons before say of each bed. */
export async function bedRecords(
  manager: EntityManager,
  garden: GardenEntity,
  today: Day,
): Promise<BedRecord[]> {
  const year = seasonYearOf(garden.latitude, today);
  const looked = await lookedAt(manager, garden.id);
  const catalogue = await catalogueOf(manager, garden.id);
  const here = new Set((await schedulesOfYear(manager, garden, year, today)).map(({ row }) => row.id));
  const bore = new Map<string, Map<Family, number>>();
  for (const { bedId, cropId, year: grown } of await grownBefore(manager, garden.id, year, here)) {
    const crop = catalogue.crop(cropId);
    if (!crop || !rotates(crop) || grown <= year - ROTATION_YEARS) continue;
    const families = bore.get(bedId) ?? new Map<Family, number>();
    bore.set(bedId, families.set(crop.family, Math.max(grown, families.get(crop.family) ?? 0)));
  }
  return (await manager.findBy(beds, { gardenId: garden.id })).map(({ id }) => ({
    bedId: id,
    lookedAt: looked.get(id) ?? null,
    bore: [...(bore.get(id) ?? [])].map(([family, last]) => ({ family, year: last })),
  }));
}
