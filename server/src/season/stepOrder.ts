import { type EntryKind, milestoneOf } from '@unity-acre/core/log';
import { courseRank, type MilestoneKind, sideSteps } from '@unity-acre/core/season';
import type { EntityManager } from 'typeorm';
import { invalid } from '../http/refusal.ts';
import { entries } from '../log/entity.ts';
import type { PlantingEntity } from './entity.ts';

/**
 * Seed is not up before it is sown: steps that are logged stand in the order in which a plant meets them.
 * @param field the field that the day came in
 */
export async function checkOrder(
  manager: EntityManager,
  planting: PlantingEntity,
  entryId: string,
  kindOfEntry: EntryKind,
  on: string,
  field = 'on',
): Promise<void> {
  const step = milestoneOf(kindOfEntry, planting.method);
  if (!step || sideSteps.includes(step)) return;
  const rank = (kind: MilestoneKind) => courseRank(kind, planting.method);
  const others = await manager.findBy(entries, { plantingId: planting.id });
  for (const other of others) {
    const kind = milestoneOf(other.kind, planting.method);
    if (other.id === entryId || !kind || kind === step || sideSteps.includes(kind)) continue;
    const earlier = rank(kind) < rank(step);
    if (earlier && other.on > on) throw invalid(field, 'beforePrevious');
    if (!earlier && other.on < on) throw invalid(field, 'afterNext');
  }
}
