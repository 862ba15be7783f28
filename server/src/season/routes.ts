import type { PlantingInput } from '@unity-acre/contract/season';
import { allowsMethod, amounts, hasTurn } from '@unity-acre/core/season';
import type { EntityManager } from 'typeorm';
import { catalogueOf } from '../crops/index.ts';
import { beds } from '../ground/entity.ts';
import type { Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { entries } from '../log/entity.ts';
import type { GardenEntity } from '../place/entity.ts';
import { taskMarks } from '../work/entity.ts';
import { type PlantingEntity, plantings } from './entity.ts';
import { planOf, plantingView, reckon, reckonYear } from './reckoned.ts';

/** Refuses what the catalogue, the bed, the season or the garden's rules do not allow, naming the field. */
async function check(
  manager: EntityManager,
  garden: GardenEntity,
  id: string,
  planting: PlantingInput,
): Promise<void> {
  const catalogue = await catalogueOf(manager, garden.id);
  const crop = catalogue.crop(planting.cropId);
  if (!crop) throw invalid('cropId', 'unknownCrop');
  const plan = planOf(catalogue, planting, null);
  if (!plan) throw invalid('varietyId', 'unknownVariety');
  if (!crop.methods.includes(planting.method)) throw invalid('method', 'methodNotForCrop');
  if (!allowsMethod(crop, planting.method, garden.rules)) throw invalid('method', 'schoolNotIndoors');
  if (!hasTurn(crop, planting.turn)) throw invalid('turn', 'turnNotForCrop');
  const bed = await manager.findOneBy(beds, { id: planting.bedId, gardenId: garden.id });
  if (!bed) throw invalid('bedId', 'unknownBed');
  const across = Math.min(bed.width, bed.length);
  const along = Math.max(bed.width, bed.length);
  if (planting.width > across + 1e-6) throw invalid('width', `widerThanBed:${across.toFixed(2)}`);
  if (planting.length > along + 1e-6) throw invalid('length', `longerThanBed:${along.toFixed(2)}`);
  const { plants } = amounts(crop, planting.method, planting.pattern, planting.width, planting.length);
  if (plants === 0) throw invalid('width', 'noRoom');
  await checkStage(manager, garden, id, planting);
}

/** A planting may wait for another of the garden that comes up, and not in a round for itself. */
async function checkStage(
  manager: EntityManager,
  garden: GardenEntity,
  id: string,
  { afterId, afterDays }: PlantingInput,
): Promise<void> {
  if (afterId === null) return;
  if (afterDays === null) throw invalid('afterDays', 'required');
  let next: string | null = afterId;
  for (let depth = 0; next !== null; depth++) {
    if (next === id || depth > 20) throw invalid('afterId', 'loopOfStages');
    const row: PlantingEntity | null = await manager.findOneBy(plantings, { id: next, gardenId: garden.id });
    if (!row) throw invalid('afterId', 'unknownPlanting');
    if (depth === 0) {
      const [awaited] = await reckon(manager, garden, [row]);
      if (!awaited?.steps.some(({ kind }) => kind === 'emerge')) throw invalid('afterId', 'noStage');
    }
    next = row.afterId;
  }
}

/** A refusal of one of several, with the place of the one in the names of its fields. */
function at(error: unknown, place: string): unknown {
  if (!(error instanceof Refusal) || !error.problem.errors) return error;
  const errors = error.problem.errors.map((one) => ({ ...one, field: `${place}.${one.field}` }));
  return new Refusal(error.problem.code, { errors });
}

/** The name of a crop for the audit trail, in English. */
const cropName = async (manager: EntityManager, gardenId: string, id: string): Promise<string> =>
  (await catalogueOf(manager, gardenId)).crop(id)?.name.en ?? id;

export const seasonRoutes: Pick<Handlers, 'plantings' | 'savePlanting' | 'savePlantings' | 'removePlanting'> =
  {
    plantings: async ({ store, member, query }) =>
      (await reckonYear(store.manager, member.garden, query.year)).map(plantingView),

    savePlanting: async ({ member, params, body, ifMatch, change, store }) =>
      change(
        'planting.saved',
        await cropName(store.manager, params.gardenId, body.cropId),
        async (writing) => {
          await check(writing.manager, member.garden, params.id, body);
          const row = await writing.put(plantings, params.id, body, ifMatch);
          return plantingView((await reckon(writing.manager, member.garden, [row]))[0]!);
        },
      ),

    savePlantings: async ({ member: { garden }, body, change, store }) =>
      change(
        'plantings.saved',
        await cropName(store.manager, garden.id, body.plantings[0]!.cropId),
        async (writing) => {
          const rows: PlantingEntity[] = [];
          for (const [i, { id, ...planting }] of body.plantings.entries()) {
            await check(writing.manager, garden, id, planting).catch((error: unknown) => {
              throw at(error, `plantings.${i}`);
            });
            rows.push(await writing.put(plantings, id, planting, undefined));
          }
          return (await reckon(writing.manager, garden, rows)).map(plantingView);
        },
      ),

    removePlanting: async ({ store, params, ifMatch, change }) => {
      const row = await store.manager.findOneBy(plantings, params);
      if (!row) throw new Refusal('notFound');
      await change(
        'planting.removed',
        await cropName(store.manager, params.gardenId, row.cropId),
        async (writing) => {
          if (await writing.manager.existsBy(entries, { plantingId: row.id })) throw new Refusal('inUse');
          if (await writing.manager.existsBy(plantings, { afterId: row.id })) throw new Refusal('inUse');
          for (const mark of await writing.manager.findBy(taskMarks, { plantingId: row.id })) {
            await writing.removeFound(taskMarks, mark);
          }
          await writing.remove(plantings, row.id, ifMatch);
        },
      );
      return { ok: true };
    },
  };
