import type { PlantingInput } from '@unity-acre/contract/season';
import { cropById } from '@unity-acre/core/crops';
import { amounts, milestones } from '@unity-acre/core/season';
import type { EntityManager } from 'typeorm';
import { beds } from '../ground/entity.ts';
import type { Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { entries } from '../log/entity.ts';
import type { GardenEntity } from '../place/entity.ts';
import { taskMarks } from '../work/entity.ts';
import { plantings } from './entity.ts';
import { planOf, plantingView, reckon, reckonYear } from './reckoned.ts';

/** Refuses what the catalogue, the bed or the season does not allow, naming the field. */
async function check(manager: EntityManager, garden: GardenEntity, planting: PlantingInput): Promise<void> {
  const crop = cropById(planting.cropId);
  if (!crop) throw invalid('cropId', 'unknownCrop');
  const plan = planOf(planting);
  if (!plan) throw invalid('varietyId', 'unknownVariety');
  if (!crop.methods.includes(planting.method)) throw invalid('method', 'methodNotForCrop');
  if (!milestones(plan, garden)) throw invalid('turn', 'turnNotForCrop');
  const bed = await manager.findOneBy(beds, { id: planting.bedId, gardenId: garden.id });
  if (!bed) throw invalid('bedId', 'unknownBed');
  const across = Math.min(bed.width, bed.length);
  const along = Math.max(bed.width, bed.length);
  if (planting.width > across + 1e-6) throw invalid('width', `widerThanBed:${across.toFixed(2)}`);
  if (planting.length > along + 1e-6) throw invalid('length', `longerThanBed:${along.toFixed(2)}`);
  const { plants } = amounts(crop, planting.method, planting.pattern, planting.width, planting.length);
  if (plants === 0) throw invalid('width', 'noRoom');
}

const cropName = (id: string): string => cropById(id)?.name.en ?? id;

export const seasonRoutes: Pick<Handlers, 'plantings' | 'savePlanting' | 'removePlanting'> = {
  plantings: async ({ store, member, query }) =>
    (await reckonYear(store.manager, member.garden, query.year)).map(plantingView),

  savePlanting: ({ member, params, body, ifMatch, change }) =>
    change('planting.saved', cropName(body.cropId), async (writing) => {
      await check(writing.manager, member.garden, body);
      const row = await writing.put(plantings, params.id, body, ifMatch);
      return plantingView((await reckon(writing.manager, member.garden, [row]))[0]!);
    }),

  removePlanting: async ({ store, params, ifMatch, change }) => {
    const row = await store.manager.findOneBy(plantings, params);
    if (!row) throw new Refusal('notFound');
    await change('planting.removed', cropName(row.cropId), async (writing) => {
      if (await writing.manager.existsBy(entries, { plantingId: row.id })) throw new Refusal('inUse');
      for (const mark of await writing.manager.findBy(taskMarks, { plantingId: row.id })) {
        await writing.removeFound(taskMarks, mark);
      }
      await writing.remove(plantings, row.id, ifMatch);
    });
    return { ok: true };
  },
};
