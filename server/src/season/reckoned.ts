import type { Planting, PlantingInput } from '@unity-acre/contract/season';
import { addDays, type Day } from '@unity-acre/core/calendar';
import { type Crop, cropById, varietyOf } from '@unity-acre/core/crops';
import { milestoneOf } from '@unity-acre/core/log';
import {
  type Amounts,
  amounts,
  type Happened,
  type Milestone,
  milestones,
  moves,
  overdueAfterDays,
  type PlantingPlan,
} from '@unity-acre/core/season';
import { type EntityManager, In } from 'typeorm';
import { entries } from '../log/entity.ts';
import type { GardenEntity } from '../place/entity.ts';
import { type PlantingEntity, plantings } from './entity.ts';

/** A planting with everything the core reckons of it. */
export interface Reckoned {
  row: PlantingEntity;
  crop: Crop;
  steps: Milestone[];
  /** the steps as they stood before anything was logged */
  planned: Milestone[];
  amounts: Amounts;
}

/** The catalogue's view of a planting. @returns null where the catalogue no longer has what was planted */
export function planOf(planting: PlantingInput): PlantingPlan | null {
  const crop = cropById(planting.cropId);
  const variety = crop && varietyOf(crop, planting.varietyId);
  if (!crop || !variety) return null;
  const { method, turn, year, startOn } = planting;
  return { crop, variety, method, turn, year, startOn };
}

/** What the log says of plantings: the first day of each kind of entry. */
async function factsOf(
  manager: EntityManager,
  rows: readonly PlantingEntity[],
): Promise<Map<string, Happened[]>> {
  const methods = new Map(rows.map((row) => [row.id, row.method]));
  const facts = new Map<string, Happened[]>();
  if (rows.length === 0) return facts;
  const found = await manager.find(entries, {
    where: { plantingId: In([...methods.keys()]) },
    select: { plantingId: true, kind: true, on: true },
  });
  for (const { plantingId, kind, on } of found) {
    const step = milestoneOf(kind, methods.get(plantingId!)!);
    if (step) facts.set(plantingId!, [...(facts.get(plantingId!) ?? []), { kind: step, on }]);
  }
  return facts;
}

/** Reckons plantings from what the garden is and what was logged. What the catalogue cannot place is left out. */
export async function reckon(
  manager: EntityManager,
  garden: GardenEntity,
  rows: readonly PlantingEntity[],
): Promise<Reckoned[]> {
  const facts = await factsOf(manager, rows);
  return rows.flatMap((row) => {
    const plan = planOf(row);
    const planned = plan && milestones(plan, garden);
    if (!plan || !planned) return [];
    const happened = facts.get(row.id) ?? [];
    const steps = happened.length > 0 ? milestones(plan, garden, happened)! : planned;
    return [
      {
        row,
        crop: plan.crop,
        steps,
        planned,
        amounts: amounts(plan.crop, row.method, row.pattern, row.width, row.length),
      },
    ];
  });
}

export const reckonYear = async (
  manager: EntityManager,
  garden: GardenEntity,
  year: number,
): Promise<Reckoned[]> =>
  reckon(manager, garden, await manager.findBy(plantings, { gardenId: garden.id, year }));

/** The day after which a sowing that is not up is suspect; null where nothing is waited for. */
function overdueAfter({ crop, steps }: Reckoned): Day | null {
  const sown = steps[0]!;
  const emerged = steps.findIndex((step) => step.kind === 'emerge');
  if (!sown.done || emerged === -1 || steps.slice(emerged).some((step) => step.done)) return null;
  return addDays(sown.on, overdueAfterDays(crop));
}

export function plantingView(reckoned: Reckoned): Planting {
  const { gardenId: _, ...row } = reckoned.row;
  const { plants, seeds, packing } = reckoned.amounts;
  return {
    ...row,
    plants,
    seeds,
    rowLength: packing.rowLength,
    steps: reckoned.steps,
    moved: moves(reckoned.planned, reckoned.steps),
    overdueAfter: overdueAfter(reckoned),
  };
}
