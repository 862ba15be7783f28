import type { Session } from '@unity-acre/contract/work';
import { group } from 'd3-array';
import { type EntityManager, In } from 'typeorm';
import type { PersonEntity } from '../crew/entity.ts';
import { Names } from '../crew/index.ts';
import { findInPieces } from '../database/pieces.ts';
import { Breather } from '../heavy/breather.ts';
import { type SessionEntity, type SignUpEntity, signUps, workDone } from './entity.ts';
import { placesOf } from './waiting.ts';

/** What a session keeps of its work when some of it goes elsewhere. */
export const withoutTasks = (
  { taskIds, rotaTaskIds, crews }: Pick<SessionEntity, 'taskIds' | 'rotaTaskIds' | 'crews'>,
  isGone: (taskId: string) => boolean,
) => ({
  taskIds: taskIds.filter((id) => !isGone(id)),
  rotaTaskIds: rotaTaskIds.filter((id) => !isGone(id)),
  crews: crews.filter(({ taskId }) => !isGone(taskId)),
});

/** Sessions as somebody sees them. */
export async function sessionViews(
  manager: EntityManager,
  rows: readonly SessionEntity[],
  viewer: PersonEntity,
): Promise<Session[]> {
  const sessionId = In(rows.map((row) => row.id));
  const breather = new Breather();
  const said = await findInPieces(manager, signUps, { sessionId, comes: true });
  await breather.rest();
  const names = await Names.for(manager, viewer);
  await breather.rest();
  const bySession = group(said, (row) => row.sessionId);
  const work = group(
    await manager.find(workDone, { where: { sessionId }, order: { id: 'ASC' } }),
    (row) => row.sessionId,
  );
  return rows.map(({ gardenId: _, ...row }) => {
    const { coming, waiting } = placesOf(bySession.get(row.id) ?? []);
    const named = ({ personId }: SignUpEntity) => ({
      personId,
      name: names.of(personId),
      headcount: names.person(personId)?.headcount ?? 1,
    });
    return {
      ...row,
      lead: names.of(row.leadId) || null,
      signUps: coming.map((signUp) => {
        const { byRota, offered, arrived, left } = signUp;
        return { ...named(signUp), byRota, offered, arrived, left };
      }),
      waiting: waiting.map(named),
      work: (work.get(row.id) ?? []).map(
        ({ id: _id, gardenId: _g, version: _v, sessionId: _s, expected: _e, ...done }) => done,
      ),
    };
  });
}
