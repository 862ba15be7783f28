import type { Session } from '@unity-acre/contract/work';
import { group } from 'd3-array';
import { type EntityManager, In } from 'typeorm';
import { type PersonEntity, people } from '../crew/entity.ts';
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

/** Sessions as somebody sees them: who is under age is named to coordinators, to who leads the session, and to their guardian. */
export async function sessionViews(
  manager: EntityManager,
  rows: readonly SessionEntity[],
  viewer: PersonEntity,
): Promise<Session[]> {
  const sessionId = In(rows.map((row) => row.id));
  const said = await manager.findBy(signUps, { sessionId, comes: true });
  const persons = new Map<string, PersonEntity>();
  const wanted = [...said.map((row) => row.personId), ...rows.flatMap((row) => row.leadId ?? [])];
  for (const person of await manager.findBy(people, { id: In([...new Set(wanted)]) }))
    persons.set(person.id, person);
  const bySession = group(said, (row) => row.sessionId);
  const work = group(
    await manager.find(workDone, { where: { sessionId }, order: { id: 'ASC' } }),
    (row) => row.sessionId,
  );
  return rows.map(({ gardenId: _, ...row }) => {
    const { coming, waiting } = placesOf(bySession.get(row.id) ?? []);
    const named = ({ personId }: SignUpEntity) => ({
      personId,
      name: nameFor(viewer, row, persons.get(personId)),
      headcount: persons.get(personId)?.headcount ?? 1,
    });
    return {
      ...row,
      lead: (row.leadId && persons.get(row.leadId)?.name) || null,
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

function nameFor(
  viewer: PersonEntity,
  session: Pick<SessionEntity, 'leadId'>,
  person: PersonEntity | undefined,
): string {
  if (!person) return '';
  const isKnown =
    person.kind !== 'minor' ||
    viewer.role === 'coordinator' ||
    [session.leadId, person.guardianId].includes(viewer.id);
  return isKnown ? person.name : '';
}
