import type { PlantingInput } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import type { Catalogue } from '@unity-acre/core/crops';
import { workedOutline } from '@unity-acre/core/ground';
import { almanacOf, type Climate, spotIn } from '@unity-acre/core/place';
import { allowsMethod, amounts, hasCropping, mayBegin } from '@unity-acre/core/season';
import { lengthText } from '@unity-acre/core/units';
import { type EntityManager, In } from 'typeorm';
import { catalogueOf } from '../crops/index.ts';
import type { Writing } from '../database/change.ts';
import { type BedEntity, beds } from '../ground/entity.ts';
import type { Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { standing } from '../http/standing.ts';
import { entries } from '../log/entity.ts';
import type { GardenEntity } from '../place/entity.ts';
import { climateOf, todayIn } from '../place/index.ts';
import { taskMarks } from '../work/entity.ts';
import { type PlantingEntity, plantings } from './entity.ts';
import { planRoutes } from './planRoutes.ts';
import {
  planOf,
  plantingView,
  plantingViews,
  SEASON_ROOMS,
  schedulesOf,
  schedulesOfYear,
} from './schedules.ts';
import { seedSourcesOf } from './seeds.ts';
import { wishRoutes } from './wishes.ts';

/** What plantings are checked against, read once for all of them. */
interface Known {
  catalogue: Catalogue;
  climate: Climate;
  today: Day;
  ground: ReadonlyMap<string, BedEntity>;
}

async function knownFor(
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
async function check(
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
      await check(manager, garden, params.id, body, known);
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
          await check(writing.manager, garden, id, planting, known).catch((error: unknown) => {
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

export const seasonRoutes = { ...plantingRoutes, ...planRoutes, ...wishRoutes };
