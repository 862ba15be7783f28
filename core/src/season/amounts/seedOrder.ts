import { type Day, weekStart } from '../../calendar/index.ts';
import {
  type Crop,
  expectedGermination,
  POOR_SHARE,
  type SeedLife,
  seedsIn,
  type Variety,
} from '../../crops/index.ts';
import { groupedBy } from '../../maths/index.ts';
import type { Milestone } from '../milestones/index.ts';
import { perHoleOf, type SeedCount } from './seedCount.ts';

/** A lot in the seed box. */
export interface SeedLot extends SeedLife {
  id: string;
  cropId: string;
  varietyId: string;
  /** what is left in it */
  amount: number;
  unit: 'seeds' | 'g';
}

/** A sowing to come, as the seed box sees it. */
export interface Sowing {
  plantingId: string;
  crop: Crop;
  varietyId: string;
  /** holes or cells to sow, the spare ones among them */
  holes: number;
}

/** Seed for some holes of a sowing. */
export interface SeedSource extends SeedCount {
  /** the lot it is taken from; null for seed that is still to be got */
  lotId: string | null;
}

/**
 * Where the seed of each sowing comes from: what was planned first is given first, from the oldest lot that is still good on;
 * what the box lacks is to be got, and sown as good seed is.
 * @param sowings those that are not sown yet; ids sort by when they were planned
 * @returns the sources of each sowing by its planting, which together fill its holes
 */
export function seedSources(
  sowings: readonly Sowing[],
  lots: readonly SeedLot[],
  year: number,
): Map<string, SeedSource[]> {
  const left = new Map<string, number>();
  const oldestFirst = [...lots].sort((a, b) => a.year - b.year || (a.id < b.id ? -1 : 1));
  const firstPlanned = [...sowings].sort((a, b) => (a.plantingId < b.plantingId ? -1 : 1));
  const sources = new Map<string, SeedSource[]>();
  for (const { plantingId, crop, varietyId, holes } of firstPlanned) {
    const from: SeedSource[] = [];
    let open = holes;
    for (const lot of oldestFirst) {
      if (open === 0 || lot.cropId !== crop.id || lot.varietyId !== varietyId) continue;
      const share = expectedGermination(crop, lot, year);
      if (share < POOR_SHARE) continue;
      const there = left.get(lot.id) ?? seedsIn(crop, lot.amount, lot.unit) ?? 0;
      const perHole = perHoleOf(crop, share);
      const filled = Math.min(open, Math.floor(there / perHole));
      if (filled === 0) continue;
      left.set(lot.id, there - filled * perHole);
      from.push({ lotId: lot.id, holes: filled, perHole, seeds: filled * perHole });
      open -= filled;
    }
    if (open > 0) {
      const perHole = crop.seedsPerHole;
      from.push({ lotId: null, holes: open, perHole, seeds: open * perHole });
    }
    sources.set(plantingId, from);
  }
  return sources;
}

/** Seeds of some sources, in all. */
export const seedsOf = (sources: readonly SeedSource[]): number =>
  sources.reduce((sum, { seeds }) => sum + seeds, 0);

/** Holes that some sources fill, in all. */
export const holesOf = (sources: readonly Pick<SeedSource, 'holes'>[]): number =>
  sources.reduce((sum, { holes }) => sum + holes, 0);

/** A planting as an order sees it. */
export interface SeedUse extends Omit<Sowing, 'varietyId'> {
  variety: Variety;
  sources: readonly SeedSource[];
}

/** What a plan needs of one variety, what the box has of it, and what is to be bought. */
export interface SeedNeed {
  crop: Crop;
  variety: Variety;
  holes: number;
  /** seeds in all, with spares */
  needed: number;
  /** what is taken from each lot, and what is left in it then */
  from: { lotId: string; holes: number; perHole: number; seeds: number; left: number }[];
  /** lots that are too old or too poor to use */
  poor: string[];
  /** seeds to get; and the same in grams where their weight is known */
  order: number;
  orderGrams: number | null;
}

/** No lot has this id. */
const TO_GET = '';

/** What to order for a plan, variety by variety: the seeds of its sowings that no lot gives. */
export function seedNeeds(uses: readonly SeedUse[], lots: readonly SeedLot[], year: number): SeedNeed[] {
  const kinds = groupedBy(uses, ({ crop, variety }) => `${crop.id} ${variety.id}`);
  return [...kinds.values()]
    .map((list) => needOf(list, lots, year))
    .sort((a, b) => (a.crop.id < b.crop.id ? -1 : 1));
}

function needOf(uses: readonly SeedUse[], lots: readonly SeedLot[], year: number): SeedNeed {
  const { crop, variety } = uses[0]!;
  const all = uses.flatMap(({ sources }) => sources);
  const byLot = groupedBy(all, ({ lotId }) => lotId ?? TO_GET);
  const from = lots.flatMap((lot) => {
    const taken = byLot.get(lot.id);
    if (!taken) return [];
    const seeds = seedsOf(taken);
    const there = seedsIn(crop, lot.amount, lot.unit) ?? 0;
    return [{ lotId: lot.id, holes: holesOf(taken), perHole: taken[0]!.perHole, seeds, left: there - seeds }];
  });
  const poor = lots
    .filter((lot) => lot.cropId === crop.id && lot.varietyId === variety.id)
    .filter((lot) => expectedGermination(crop, lot, year) < POOR_SHARE)
    .map(({ id }) => id);
  const order = seedsOf(byLot.get(TO_GET) ?? []);
  const orderGrams = crop.seedsPerGram ? order / crop.seedsPerGram : null;
  return { crop, variety, holes: holesOf(uses), needed: seedsOf(all), from, poor, order, orderGrams };
}

/** What is set as plants, sets, cloves, tubers, crowns or slips, and is to be got. */
export interface PlantNeed {
  crop: Crop;
  variety: Variety;
  pieces: number;
  /** the day by which the first of them are wanted */
  by: Day;
}

/** What to get for the plantings that are not sown, variety by variety, the soonest wanted first. */
export function plantNeeds(
  plantings: readonly { crop: Crop; variety: Variety; plants: number; on: Day }[],
): PlantNeed[] {
  const kinds = groupedBy(plantings, ({ crop, variety }) => `${crop.id} ${variety.id}`);
  return [...kinds.values()]
    .map((list) => ({
      crop: list[0]!.crop,
      variety: list[0]!.variety,
      pieces: list.reduce((sum, { plants }) => sum + plants, 0),
      by: list.map(({ on }) => on).sort()[0]!,
    }))
    .sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0));
}

/** Cells of the usual tray. Common practice, no source. */
export const TRAY_CELLS = 72;

/** What is started indoors in a week. */
export interface TrayWeek {
  /** its Monday */
  week: Day;
  sowings: { plantingId: string; cells: number }[];
  cells: number;
  trays: number;
}

/** Trays to start, week by week; what is begun already is left out. @param plantings with the cells each is started in */
export function traysByWeek(
  plantings: readonly { id: string; holes: number; steps: readonly Milestone[] }[],
): TrayWeek[] {
  const weeks = new Map<Day, TrayWeek['sowings']>();
  for (const { id, holes, steps } of plantings) {
    const start = steps.find(({ kind }) => kind === 'startIndoors');
    if (!start || start.done) continue;
    const week = weekStart(start.on);
    weeks.set(week, [...(weeks.get(week) ?? []), { plantingId: id, cells: holes }]);
  }
  return [...weeks]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([week, sowings]) => {
      const cells = sowings.reduce((sum, one) => sum + one.cells, 0);
      return { week, sowings, cells, trays: Math.ceil(cells / TRAY_CELLS) };
    });
}
