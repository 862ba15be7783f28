import type { Session } from '@unity-acre/contract/work';
import { group } from 'd3-array';
import { type EntityManager, In } from 'typeorm';
import { leads } from '../../crew/caller.ts';
import type { PersonEntity } from '../../crew/entity.ts';
import { Names } from '../../crew/index.ts';
import { breathe } from '../../heavy/breathe.ts';
import { type SessionEntity, type SignUpEntity, signUps, workDone } from '../entity.ts';
import { askedOf } from '../messages/asking.ts';
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

/** Who said they would come to sessions. There are many, so they are read as plain rows. */
async function saidOf(manager: EntityManager, rows: readonly SessionEntity[]): Promise<SignUpEntity[]> {
  const found = await manager
    .createQueryBuilder(signUps, 'signUp')
    .select('signUp.id', 'id')
    .addSelect('signUp.sessionId', 'sessionId')
    .addSelect('signUp.personId', 'personId')
    .addSelect('signUp.byRota', 'byRota')
    .addSelect('signUp.waitingSince', 'waitingSince')
    .addSelect('signUp.offered', 'offered')
    .addSelect('signUp.arrived', 'arrived')
    .addSelect('signUp.left', 'left')
    .where({ sessionId: In(rows.map((row) => row.id)), comes: true })
    .getRawMany<SignUpEntity>();
  // Plain rows have no truths, only the numbers they are kept as.
  return found.map((row) => ({
    ...row,
    comes: true,
    byRota: Boolean(row.byRota),
    offered: Boolean(row.offered),
  }));
}

/** Sessions as somebody sees them. */
export async function sessionViews(
  manager: EntityManager,
  rows: readonly SessionEntity[],
  viewer: PersonEntity,
): Promise<Session[]> {
  const sessionId = In(rows.map((row) => row.id));
  const said = await saidOf(manager, rows);
  await breathe();
  const names = await Names.for(manager, viewer);
  await breathe();
  const asked = leads(viewer) ? await askedOf(manager, rows) : null;
  await breathe();
  const bySession = group(said, (row) => row.sessionId);
  const work = group(
    await manager.find(workDone, { where: { sessionId }, order: { id: 'ASC' } }),
    (row) => row.sessionId,
  );
  const views: Session[] = [];
  for (const { gardenId: _, ...row } of rows) {
    await breathe();
    const { coming, waiting } = placesOf(bySession.get(row.id) ?? []);
    const named = ({ personId }: SignUpEntity) => ({
      personId,
      name: names.of(personId),
      headcount: names.person(personId)?.headcount ?? 1,
    });
    views.push({
      ...row,
      lead: names.of(row.leadId) || null,
      signUps: coming.map((signUp) => {
        const { byRota, offered, arrived, left } = signUp;
        return { ...named(signUp), byRota, offered, arrived, left };
      }),
      waiting: waiting.map(named),
      askedIds: [...(asked?.get(row.id) ?? [])],
      work: (work.get(row.id) ?? []).map(
        ({ id: _id, gardenId: _g, version: _v, sessionId: _s, expected: _e, markedAt: _m, ...done }) => done,
      ),
    });
  }
  return views;
}
