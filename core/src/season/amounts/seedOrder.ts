import { type Day, weekStart } from '../../calendar/index.ts';
import {
  type Crop,
  expectedGermination,
  POOR_SHARE,
  type SeedLife,
  seedsIn,
  seedsPerHole,
  type Variety,
} from '../../crops/index.ts';
import type { Milestone } from '../milestones/index.ts';

/** A lot in the seed box. */
export interface SeedLot extends SeedLife {
  id: string;
  cropId: string;
  varietyId: string;
  amount: number;
  unit: 'seeds' | 'g';
}

/** A planting as the seed box sees it. */
export interface SeedUse {
  crop: Crop;
  variety: Variety;
  /** places where a plant is to stand */
  plants: number;
  isSown: boolean;
  /** true once it has been sown */
  done: boolean;
}

/** What a plan needs of one variety, what the box has of it, and what is to be bought. */
export interface SeedNeed {
  crop: Crop;
  variety: Variety;
  holes: number;
  /** seeds in all, with spares; 0 where everything is sown */
  needed: number;
  /** what is taken from each lot, the oldest that is still good first */
  from: { lotId: string; seeds: number; perHole: number; holes: number; left: number }[];
  /** lots that are too old or too poor to use */
  poor: string[];
  /** fresh seeds to order, with spares; and the same in grams where the weight is known */
  order: number;
  orderGrams: number | null;
}

/** The wanted chance that something comes up in a hole. */
export const HOLE_CHANCE = 0.95;
/** How much more is ordered than is needed: some is always lost. */
const ORDER_SPARE = 0.1;

/**
 * What to order for a plan, crop by crop: holes by the seeds each needs at the lot's expected germination, with the spares of
 * the crop, less what the box holds.
 * @param chance that at least one comes up in a hole
 */
export function seedNeeds(
  uses: readonly SeedUse[],
  lots: readonly SeedLot[],
  year: number,
  chance = HOLE_CHANCE,
): SeedNeed[] {
  const kinds = new Map<string, SeedUse[]>();
  for (const use of uses) {
    if (!use.isSown || use.done) continue;
    const key = `${use.crop.id} ${use.variety.id}`;
    kinds.set(key, [...(kinds.get(key) ?? []), use]);
  }
  return [...kinds.values()]
    .map((list) => needOf(list, lots, year, chance))
    .sort((a, b) => (a.crop.id < b.crop.id ? -1 : 1));
}

function needOf(uses: readonly SeedUse[], lots: readonly SeedLot[], year: number, chance: number): SeedNeed {
  const { crop, variety } = uses[0]!;
  const holes = Math.ceil(uses.reduce((sum, { plants }) => sum + plants, 0) * (1 + crop.spareShare));
  const mine = lots
    .filter((lot) => lot.cropId === crop.id && lot.varietyId === variety.id)
    .sort((a, b) => a.year - b.year);
  const from: SeedNeed['from'] = [];
  const poor: string[] = [];
  let open = holes;
  for (const lot of mine) {
    const share = expectedGermination(crop, lot, year);
    const there = seedsIn(crop, lot.amount, lot.unit) ?? 0;
    if (share < POOR_SHARE) {
      poor.push(lot.id);
      continue;
    }
    if (open <= 0 || there === 0) continue;
    const perHole = Math.max(seedsPerHole(share, chance), 1);
    const filled = Math.min(open, Math.floor(there / perHole));
    if (filled === 0) continue;
    open -= filled;
    from.push({
      lotId: lot.id,
      perHole,
      holes: filled,
      seeds: filled * perHole,
      left: there - filled * perHole,
    });
  }
  // Fresh seed goes by the number the crop is sown with: one where it is reliable, more where it is doubtful.
  const order = open > 0 ? Math.ceil(open * crop.seedsPerHole * (1 + ORDER_SPARE)) : 0;
  const needed = from.reduce((sum, { seeds }) => sum + seeds, 0) + order;
  const orderGrams = crop.seedsPerGram ? order / crop.seedsPerGram : null;
  return { crop, variety, holes, needed, from, poor, order, orderGrams };
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

/** Trays to start, week by week, the spares of each crop among them; what is begun already is left out. */
export function traysByWeek(
  plantings: readonly { id: string; crop: Crop; plants: number; steps: readonly Milestone[] }[],
): TrayWeek[] {
  const weeks = new Map<Day, TrayWeek['sowings']>();
  for (const { id, crop, plants, steps } of plantings) {
    const start = steps.find(({ kind }) => kind === 'startIndoors');
    if (!start || start.done) continue;
    const week = weekStart(start.on);
    const cells = Math.ceil(plants * (1 + crop.spareShare));
    weeks.set(week, [...(weeks.get(week) ?? []), { plantingId: id, cells }]);
  }
  return [...weeks]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([week, sowings]) => {
      const cells = sowings.reduce((sum, one) => sum + one.cells, 0);
      return { week, sowings, cells, trays: Math.ceil(cells / TRAY_CELLS) };
    });
}
