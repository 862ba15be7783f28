import type { Planting, PlantingInput, SeedSource } from '@unity-acre/contract/season';
import type { Day } from '@unity-acre/core/calendar';
import { type Catalogue, type Crop, varietyOf } from '@unity-acre/core/crops';
import { type EntryKind, happenedOf } from '@unity-acre/core/log';
import { almanacOf, type Climate, spotIn } from '@unity-acre/core/place';
import {
  type Amounts,
  amounts,
  asPlanted,
  computeMilestones,
  type Happened,
  type Milestone,
  moves,
  type PlantingPlan,
  type Stage,
  seedsOf,
  stageOf,
  startOf,
} from '@unity-acre/core/season';
import { type EntityManager, type FindOptionsWhere, In, LessThan, Not } from 'typeorm';
import { catalogueOf } from '../crops/index.ts';
import { findInPieces } from '../database/pieces.ts';
import { identityOf, Remembered } from '../database/remember.ts';
import { type BedEntity, beds } from '../ground/entity.ts';
import { breathe } from '../heavy/breathe.ts';
import { entries } from '../log/entity.ts';
import type { GardenEntity } from '../place/entity.ts';
import { climateOf } from '../place/index.ts';
import { type PlantingEntity, plantings } from './entity.ts';

/** The rooms whose rows a season's dates rest on. */
export const SEASON_ROOMS = ['place', 'crops', 'ground', 'season', 'log'] as const;

/** Plantings kept with what was worked out of them; the longest unasked go first. */
const KEPT_PLANTINGS = 20_000;
const kept = new Remembered<PlantingSchedule | null>(KEPT_PLANTINGS);

/** A planting with everything the core computes of it. */
export interface PlantingSchedule {
  row: PlantingEntity;
  crop: Crop;
  steps: Milestone[];
  /** the steps as they stood before anything was logged */
  planned: Milestone[];
  amounts: Amounts;
  /** metres that its bed is raised over the path */
  bedHeight: number;
  /** the season shown, where it is a later one of what stands for years */
  season: number | null;
  /** what the log has of it in the season shown */
  logged: readonly Logged[];
  /** mean temperature of a day where it stands, °C */
  meanOn(day: Day): number;
}

/** The catalogue's view of a planting. @returns null where the catalogue no longer has what was planted */
export function planOf(
  catalogue: Catalogue,
  planting: PlantingInput,
  after: Stage | null,
): PlantingPlan | null {
  const crop = catalogue.crop(planting.cropId);
  const variety = crop && varietyOf(crop, planting.varietyId);
  if (!crop || !variety) return null;
  const { method, cropping, year, startOn } = planting;
  return { crop: asPlanted(crop, planting), variety, method, cropping, year, startOn, after };
}

/** Plantings whose entries are asked for with one statement. */
const ASKED_AT_ONCE = 200;

/** An entry of a planting, as far as it matters to dates. */
interface Logged {
  kind: EntryKind;
  on: Day;
}

/** What the log says of plantings. */
async function loggedOf(
  manager: EntityManager,
  rows: readonly PlantingEntity[],
): Promise<Map<string, Logged[]>> {
  const logged = new Map<string, Logged[]>();
  if (rows.length === 0) return logged;
  for (let i = 0; i < rows.length; i += ASKED_AT_ONCE) {
    const ids = rows.slice(i, i + ASKED_AT_ONCE).map((row) => row.id);
    // There are many, of which only three columns are wanted: as plain rows they are read ten times as fast. What was only
    // observed moves no date.
    const found = await manager
      .createQueryBuilder(entries, 'entry')
      .select('entry.plantingId', 'plantingId')
      .addSelect('entry.kind', 'kind')
      .addSelect('entry.on', 'on')
      .where({ plantingId: In(ids), kind: Not('observation') })
      // What is done in part dates no step yet.
      .andWhere('(entry.share IS NULL OR entry.share >= 1)')
      .orderBy({ 'entry.plantingId': 'ASC', 'entry.on': 'ASC', 'entry.id': 'ASC' })
      .getRawMany<Logged & { plantingId: string }>();
    for (const { plantingId, kind, on } of found) {
      const known = logged.get(plantingId);
      if (known) known.push({ kind, on });
      else logged.set(plantingId, [{ kind, on }]);
    }
    await breathe();
  }
  return logged;
}

/** The plantings that others wait for, and those that these wait for in turn, beyond the ones at hand. */
async function withAwaited(
  manager: EntityManager,
  gardenId: string,
  rows: readonly PlantingEntity[],
): Promise<Map<string, PlantingEntity>> {
  const all = new Map(rows.map((row) => [row.id, row]));
  for (;;) {
    const missing = [...all.values()].flatMap(({ afterId }) =>
      afterId && !all.has(afterId) ? [afterId] : [],
    );
    if (missing.length === 0) return all;
    const found = await manager.findBy(plantings, { gardenId, id: In(missing) });
    if (found.length === 0) return all;
    for (const row of found) all.set(row.id, row);
  }
}

/** Computes plantings one after another, each after the one it waits for. */
class Scheduler {
  readonly #done = new Map<string, PlantingSchedule | null>();
  readonly #beds: Map<string, BedEntity>;

  constructor(
    private readonly garden: GardenEntity,
    private readonly catalogue: Catalogue,
    private readonly climate: Climate,
    private readonly rows: Map<string, PlantingEntity>,
    private readonly logged: Map<string, Logged[]>,
    grounds: readonly BedEntity[],
  ) {
    this.#beds = new Map(grounds.map((bed) => [bed.id, bed]));
  }

  /** What this depends on, but for the planting that it waits for: the same stamp means the same dates. */
  #stampOf(row: PlantingEntity, season: number, after: Stage | null): string {
    const bed = this.#beds.get(row.bedId);
    const logged = this.logged.get(row.id) ?? [];
    return JSON.stringify([
      [row.version, season, bed?.version, this.garden.version],
      [identityOf(this.catalogue), identityOf(this.climate)],
      after,
      logged.map(({ kind, on }) => `${kind} ${on}`),
    ]);
  }

  async scheduleOf(row: PlantingEntity, season: number): Promise<PlantingSchedule | null> {
    const known = this.#done.get(row.id);
    if (known !== undefined) return known;
    // A planting that waits for itself in a round waits for nothing.
    this.#done.set(row.id, null);
    const after = await this.#stageFor(row, season);
    const scheduled = await kept.of(`${row.id} ${season}`, this.#stampOf(row, season, after), async () => {
      await breathe();
      return this.#computed(row, season, after);
    });
    this.#done.set(row.id, scheduled);
    return scheduled;
  }

  #computed(row: PlantingEntity, season: number, after: Stage | null): PlantingSchedule | null {
    const plan = planOf(this.catalogue, row, after);
    if (!plan) return null;
    const { rules } = this.garden;
    const bed = this.#beds.get(row.bedId);
    const almanac = almanacOf(this.climate, spotIn(this.garden, bed, row.protection));
    const shown = plan.crop.perennial ? Math.max(season, row.year) : row.year;
    const planned = computeMilestones(plan, almanac, rules, [], shown);
    if (!planned) return null;
    const all = this.logged.get(row.id) ?? [];
    // A perennial is picked every year: each season has its own first pick.
    const logged = shown > row.year ? all.filter(({ on }) => almanac.seasonYear(on) === shown) : all;
    const happened: Happened[] = happenedOf(logged, row.method);
    const steps = happened.length > 0 ? computeMilestones(plan, almanac, rules, happened, shown)! : planned;
    return {
      row,
      crop: plan.crop,
      steps,
      planned,
      amounts: amounts(plan.crop, row.method, row.pattern, row.width, row.length, bed),
      bedHeight: bed?.height ?? 0,
      season: shown > row.year ? shown : null,
      logged,
      meanOn: (day) => almanac.meanAt(day),
    };
  }

  async #stageFor({ afterId, afterDays }: PlantingEntity, season: number): Promise<Stage | null> {
    const awaited = afterId && this.rows.get(afterId);
    if (!awaited || afterDays === null) return null;
    const scheduled = await this.scheduleOf(awaited, season);
    if (!scheduled) return null;
    const seen = (this.logged.get(awaited.id) ?? [])
      .filter(({ kind }) => kind === 'stage')
      .map(({ on }) => on)
      .sort()[0];
    return stageOf(awaited.cropId, scheduled.steps, afterDays, seen);
  }
}

/**
 * Computes plantings from what the garden is and what was logged. What the catalogue cannot place is left out.
 * @param today the day it is in the garden: this year's weather is known up to it
 * @param season the season year shown; it matters to what stands for years
 */
export async function schedulesOf(
  manager: EntityManager,
  garden: GardenEntity,
  rows: readonly PlantingEntity[],
  today: Day,
  season?: number,
): Promise<PlantingSchedule[]> {
  if (rows.length === 0) return [];
  const catalogue = await catalogueOf(manager, garden.id);
  const climate = await climateOf(manager, garden, today);
  const all = await withAwaited(manager, garden.id, rows);
  await breathe();
  const grounds = await manager.findBy(beds, { gardenId: garden.id });
  await breathe();
  const logged = await loggedOf(manager, [...all.values()]);
  const scheduler = new Scheduler(garden, catalogue, climate, all, logged, grounds);
  const scheduled: PlantingSchedule[] = [];
  for (const row of rows) {
    const one = await scheduler.scheduleOf(row, season ?? row.year);
    if (one) scheduled.push(one);
  }
  return scheduled;
}

/**
 * The plantings of a season: those of its year, those the winter before brought into it, and what stands for years.
 * @param bedIds only those in these beds; in all where it is not said
 */
export async function schedulesOfYear(
  manager: EntityManager,
  garden: GardenEntity,
  year: number,
  today: Day,
  bedIds?: readonly string[],
): Promise<PlantingSchedule[]> {
  const where = { gardenId: garden.id, ...(bedIds && { bedId: In(bedIds) }) };
  const ofYear = [
    ...(await findInPieces(manager, plantings, { ...where, year })),
    ...(await findInPieces(manager, plantings, { ...where, year: year - 1, cropping: 'overwinter' })),
  ];
  await breathe();
  return schedulesOf(manager, garden, [...ofYear, ...(await standing(manager, where, year))], today, year);
}

/** Perennials of years before that have not been cleared. */
async function standing(
  manager: EntityManager,
  where: FindOptionsWhere<PlantingEntity> & { gardenId: string },
  year: number,
): Promise<PlantingEntity[]> {
  const catalogue = await catalogueOf(manager, where.gardenId);
  const perennial = catalogue.crops.filter((crop) => crop.perennial).map((crop) => crop.id);
  const rows = await manager.findBy(plantings, { ...where, year: LessThan(year), cropId: In(perennial) });
  if (rows.length === 0) return [];
  const cleared = await manager.find(entries, {
    where: { plantingId: In(rows.map((row) => row.id)), kind: 'clearing' },
    select: { plantingId: true, on: true },
  });
  // Cleared before the season began, by the calendar year: a stand cleared in the year itself still shows in it.
  const gone = new Set(cleared.filter(({ on }) => on < `${year}`).map(({ plantingId }) => plantingId));
  return rows.filter((row) => !gone.has(row.id));
}

/** The day after which a sowing that is not up is suspect; null where nothing is waited for. */
export function overdueAfter({ steps }: PlantingSchedule): Day | null {
  const up = steps.find((step) => step.kind === 'emerge');
  if (!up?.overdueAfter) return null;
  const sown = startOf(steps)!;
  const isLater = (step: Milestone) =>
    ['emerge', 'thinTrays', 'potOn', 'thin', 'hardenOff', 'firstPick', 'clear'].includes(step.kind);
  const seen = steps.some((step) => step.done && isLater(step));
  const setOut = sown.kind === 'startIndoors' && steps.some((step) => step.kind === 'setOut' && step.done);
  return sown.done && !seen && !setOut ? up.overdueAfter : null;
}

/** The seeds that a planting is sown with: those of its sources, or of good seed where it has none. */
export const seedsFor = ({ amounts: { sown } }: PlantingSchedule, sources: readonly SeedSource[]): number =>
  sources.length > 0 ? seedsOf(sources) : (sown?.seeds ?? 0);

/** @param seedSources where the seed of a sowing to come is from */
export function plantingView(scheduled: PlantingSchedule, seedSources: SeedSource[] = []): Planting {
  const { gardenId: _, ...row } = scheduled.row;
  const { plants, sown, packing } = scheduled.amounts;
  return {
    ...row,
    plants,
    holes: sown?.holes ?? 0,
    seeds: seedsFor(scheduled, seedSources),
    seedSources,
    rowLength: packing.rowLength,
    steps: scheduled.steps,
    moved: moves(scheduled.planned, scheduled.steps),
    overdueAfter: overdueAfter(scheduled),
  };
}

const noReasons = { earliest: [], best: [], latest: [] };

/**
 * The same of a whole season, with turns for others in between.
 * @param seedSources where the seed of each sowing to come is from, by planting
 * @param hasReasons false leaves the reasons of its dates empty
 */
export async function plantingViews(
  all: readonly PlantingSchedule[],
  seedSources: ReadonlyMap<string, SeedSource[]>,
  hasReasons: boolean,
): Promise<Planting[]> {
  const views: Planting[] = [];
  for (const one of all) {
    const view = plantingView(one, seedSources.get(one.row.id));
    const steps = hasReasons ? view.steps : view.steps.map((step) => ({ ...step, reasons: noReasons }));
    views.push({ ...view, steps });
    await breathe();
  }
  return views;
}
