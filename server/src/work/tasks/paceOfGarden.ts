import { type OwnPace, occurrenceParts, ownPace, taskParts } from '@unity-acre/core/work';
import { type EntityManager, IsNull, Not } from 'typeorm';
import { workDone } from '../entity.ts';

/** What the garden's own logs say of its pace. */
export async function paceOfGarden(manager: EntityManager, gardenId: string): Promise<OwnPace> {
  const rows = await manager.findBy(workDone, { gardenId, state: 'done', minutes: Not(IsNull()) });
  return ownPace(
    rows.flatMap(({ taskId, minutes, ...row }) => {
      const kind = (taskParts(taskId) ?? occurrenceParts(taskId))?.kind;
      return kind && minutes ? [{ ...row, kind, minutes }] : [];
    }),
  );
}
