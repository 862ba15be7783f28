import type { PlantingInput } from '@unity-acre/contract/season';
import type { EntityManager } from 'typeorm';
import { catalogueOf } from '../crops/index.ts';
import type { Writing } from '../database/change.ts';
import type { Handlers } from '../http/handle.ts';
import { Refusal } from '../http/refusal.ts';
import { standing } from '../http/standing.ts';
import { entries } from '../log/entity.ts';
import { todayIn } from '../place/index.ts';
import { taskMarks } from '../work/entity.ts';
import { type PlantingEntity, plantings } from './entity.ts';
import { planRoutes } from './planRoutes.ts';
import { checkPlanting, knownFor } from './plantingChecks.ts';
import { plantingView, plantingViews, SEASON_ROOMS, schedulesOf, schedulesOfYear } from './schedules.ts';
import { seedSourcesOf } from './seeds.ts';
import { sowAgainRoutes } from './sowAgain.ts';
import { wishRoutes } from './wishes.ts';

/** A refusal of one of several, with the place of the one in the names of its fields. */
function at(error: unknown, place: string): unknown {
  if (!(error instanceof Refusal) || !error.problem.errors) return error;
  const errors = error.problem.errors.map((one) => ({ ...one, field: `${place}.${one.field}` }));
  return new Refusal(error.problem.code, { errors });
}

/** Removes a planting with the ticks on its tasks. @throws Refusal where something is logged of it or depends on it */
async function removeWithMarks(
  writing: Writing,
  gardenId: string,
  id: string,
  version: number | undefined,
): Promise<void> {
  const { manager } = writing;
  if (!(await manager.existsBy(plantings, { id, gardenId }))) throw new Refusal('notFound');
  if (await manager.existsBy(entries, { plantingId: id })) throw new Refusal('inUse');
  if (await manager.existsBy(plantings, { afterId: id })) throw new Refusal('inUse');
  if (await manager.existsBy(plantings, { betweenId: id })) throw new Refusal('inUse');
  for (const mark of await manager.findBy(taskMarks, { plantingId: id })) {
    await writing.removeFound(taskMarks, mark);
  }
  await writing.remove(plantings, id, version);
}

/** What goes to another bed has no place there yet. */
async function inItsBed(manager: EntityManager, id: string, planting: PlantingInput): Promise<PlantingInput> {
  if (planting.at === null) return planting;
  const known = await manager.findOneBy(plantings, { id });
  return known && known.bedId !== planting.bedId ? { ...planting, at: null } : planting;
}

/** The name of a crop for the audit trail, in English. */
const cropName = async (manager: EntityManager, gardenId: string, id: string): Promise<string> =>
  (await catalogueOf(manager, gardenId)).crop(id)?.name.en ?? id;

const plantingRoutes: Pick<Handlers, 'plantings' | 'savePlanting' | 'savePlantings' | 'removePlanting'> = {
  plantings: standing('plantings', {
    rooms: SEASON_ROOMS,
    gather: async ({ store, member: { garden }, query }) => {
      const all = await schedulesOfYear(store.manager, garden, query.year, todayIn(garden, store.clock));
      const sources = await seedSourcesOf(store.manager, garden.id, all, query.year);
      return { all, sources, hasReasons: query.reasons === 'yes' };
    },
    finish: ({ all, sources, hasReasons }) => plantingViews(all, sources, hasReasons),
  }),

  savePlanting: async ({ member: { garden }, params, body, ifMatch, change, store }) =>
    change('planting.saved', await cropName(store.manager, garden.id, body.cropId), async (writing) => {
      const { manager } = writing;
      const today = todayIn(garden, store.clock);
      const known = await knownFor(manager, garden, [body], today);
      await checkPlanting(manager, garden, params.id, body, known);
      const row = await writing.put(plantings, params.id, await inItsBed(manager, params.id, body), ifMatch);
      return plantingView((await schedulesOf(manager, garden, [row], today))[0]!);
    }),

  savePlantings: async ({ member: { garden }, body, change, store }) => {
    const first = body.plantings[0];
    const today = todayIn(garden, store.clock);
    return change(
      'plantings.saved',
      first ? await cropName(store.manager, garden.id, first.cropId) : '',
      async (writing) => {
        // What gives way goes first, so that its ground is free.
        for (const { id, version } of body.remove) await removeWithMarks(writing, garden.id, id, version);
        const known = await knownFor(writing.manager, garden, body.plantings, today);
        // Those that wait for others of the same write come after them.
        const rows: PlantingEntity[] = [];
        const together: { id: string; version: number | null; values: PlantingInput }[] = [];
        const isTogether = body.plantings.every(
          ({ afterId, betweenId }) => afterId === null && betweenId === null,
        );
        for (const [i, { id, version, ...planting }] of body.plantings.entries()) {
          await checkPlanting(writing.manager, garden, id, planting, known).catch((error: unknown) => {
            throw at(error, `plantings.${i}`);
          });
          const values = await inItsBed(writing.manager, id, planting);
          if (isTogether) together.push({ id, version, values });
          else rows.push(await writing.put(plantings, id, values, version ?? undefined));
        }
        if (isTogether) {
          rows.push(...(await writing.putAll<PlantingEntity>(plantings, together)));
        }
        return (await schedulesOf(writing.manager, garden, rows, today)).map((one) => plantingView(one));
      },
    );
  },

  removePlanting: async ({ store, params, ifMatch, change }) => {
    const row = await store.manager.findOneBy(plantings, params);
    if (!row) throw new Refusal('notFound');
    await change('planting.removed', await cropName(store.manager, params.gardenId, row.cropId), (writing) =>
      removeWithMarks(writing, params.gardenId, row.id, ifMatch),
    );
    return { ok: true };
  },
};

export const seasonRoutes = { ...plantingRoutes, ...sowAgainRoutes, ...planRoutes, ...wishRoutes };
