import type { PlantingInput } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import type { Catalogue } from '@unity-acre/core/crops';
import { workedOutline } from '@unity-acre/core/ground';
import { almanacOf, type Climate, spotIn } from '@unity-acre/core/place';
import { allowsMethod, amounts, hasCropping, mayBegin } from '@unity-acre/core/season';
import { lengthText } from '@unity-acre/core/units';
import { type EntityManager, In } from 'typeorm';
import { catalogueOf } from '../crops/index.ts';
import { type BedEntity, beds } from '../ground/entity.ts';
import { invalid } from '../http/refusal.ts';
import type { GardenEntity } from '../place/entity.ts';
import { climateOf } from '../place/index.ts';
import { type PlantingEntity, plantings } from './entity.ts';
import { planOf, schedulesOf } from './schedules.ts';

/** What plantings are checked against, read once for all of them. */
export interface Known {
  catalogue: Catalogue;
  climate: Climate;
  today: Day;
  ground: ReadonlyMap<string, BedEntity>;
}

export async function knownFor(
  manager: EntityManager,
  garden: GardenEntity,
  plantingsInHand: readonly PlantingInput[],
  today: Day,
): Promise<Known> {
  const gardenId = garden.id;
  const bedIds = [...new Set(plantingsInHand.map(({ bedId }) => bedId))];
  const rows = await manager.findBy(beds, { gardenId, id: In(bedIds) });
  return {
    catalogue: await catalogueOf(manager, gardenId),
    climate: await climateOf(manager, garden, today),
    today,
    ground: new Map(rows.map((bed) => [bed.id, bed])),
  };
}

/** Refuses what the catalogue, the bed, the season or the garden's rules do not allow, naming the field. */
export async function checkPlanting(
  manager: EntityManager,
  garden: GardenEntity,
  id: string,
  planting: PlantingInput,
  { catalogue, climate, today, ground }: Known,
): Promise<void> {
  const crop = catalogue.crop(planting.cropId);
  if (!crop) throw invalid('cropId', 'unknownCrop');
  const plan = planOf(catalogue, planting, null);
  if (!plan) throw invalid('varietyId', 'unknownVariety');
  if (!crop.methods.includes(planting.method)) throw invalid('method', 'methodNotForCrop');
  if (!allowsMethod(crop, planting.method, garden.rules)) throw invalid('method', 'schoolNotIndoors');
  if (!hasCropping(crop, planting.cropping)) throw invalid('cropping', 'croppingNotForCrop');
  const bed = ground.get(planting.bedId);
  if (!bed) throw invalid('bedId', 'unknownBed');
  const almanac = almanacOf(climate, spotIn(garden, bed, planting.protection));
  if (planting.startOn !== null && !mayBegin(plan, almanac, garden.rules, planting.startOn))
    throw invalid('startOn', `outsideSeason:${planting.year}`);
  const { across, along } = workedOutline(bed);
  if (planting.width > across + 1e-6)
    throw invalid('width', `widerThanBed:${lengthText(across, garden.units)}`);
  if (planting.length > along + 1e-6)
    throw invalid('length', `longerThanBed:${lengthText(along, garden.units)}`);
  const { plants } = amounts(
    plan.crop,
    planting.method,
    planting.pattern,
    planting.width,
    planting.length,
    bed,
  );
  if (plants === 0) throw invalid('width', 'noRoom');
  if (planting.betweenId !== null) {
    const other = await manager.findOneBy(plantings, { id: planting.betweenId, gardenId: garden.id });
    if (!other || other.bedId !== planting.bedId || other.id === id) {
      throw invalid('betweenId', 'unknownBetween');
    }
    if (other.betweenId !== null) throw invalid('betweenId', 'betweenBetween');
  }
  await checkStage(manager, garden, id, planting, today);
}

/** A planting may wait for another of the garden that comes up, and not in a round for itself. */
async function checkStage(
  manager: EntityManager,
  garden: GardenEntity,
  id: string,
  { afterId, afterDays }: PlantingInput,
  today: Day,
): Promise<void> {
  if (afterId === null) return;
  if (afterDays === null) throw invalid('afterDays', 'required');
  let next: string | null = afterId;
  for (let depth = 0; next !== null; depth++) {
    if (next === id || depth > 20) throw invalid('afterId', 'loopOfStages');
    const row: PlantingEntity | null = await manager.findOneBy(plantings, { id: next, gardenId: garden.id });
    if (!row) throw invalid('afterId', 'unknownPlanting');
    if (depth === 0) {
      const [awaited] = await schedulesOf(manager, garden, [row], today);
      if (!awaited?.steps.some(({ kind }) => kind === 'emerge')) throw invalid('afterId', 'noStage');
    }
    next = row.afterId;
  }
}
