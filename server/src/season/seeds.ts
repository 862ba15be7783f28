import type { SeedSource } from '@unity-acre/contract/season';
import { yearOf } from '@unity-acre/core/calendar';
import { isSown, type Sowing, seedSources } from '@unity-acre/core/season';
import type { EntityManager } from 'typeorm';
import { catalogueOf, seedBoxOf } from '../crops/index.ts';
import type { PlantingSchedule } from './schedules.ts';

/**
 * Where the seed of each sowing to come is from, by planting.
 * @param scheduled the plantings of a season
 */
export async function seedSourcesOf(
  manager: EntityManager,
  gardenId: string,
  scheduled: readonly PlantingSchedule[],
  year: number,
): Promise<Map<string, SeedSource[]>> {
  const { lots, sowings } = await seedBoxOf(manager, gardenId, await catalogueOf(manager, gardenId));
  const shareSown = new Map(sowings.map(({ plantingId, share }) => [plantingId, share]));
  const toSow = scheduled.flatMap((one): Sowing[] => {
    const { sown } = one.amounts;
    if (!sown || isSown(one.steps)) return [];
    const { id: plantingId, varietyId } = one.row;
    const holes = Math.ceil(sown.holes * (1 - (shareSown.get(plantingId) ?? 0)) - 1e-9);
    return [{ plantingId, crop: one.crop, varietyId, holes }];
  });
  const byId = new Map(lots.map((lot) => [lot.id, lot]));
  const box = lots.map((lot) => ({ ...lot, testedIn: lot.testedOn === null ? null : yearOf(lot.testedOn) }));
  return new Map(
    [...seedSources(toSow, box, year)].map(([plantingId, sources]) => [
      plantingId,
      sources.map((one) => {
        const lot = one.lotId === null ? undefined : byId.get(one.lotId);
        return { ...one, year: lot?.year ?? null, source: lot?.source ?? '' };
      }),
    ]),
  );
}
