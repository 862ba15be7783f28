import { headsBehind } from '@unity-acre/core/crew';
import { type EntityManager, type EntitySchema, In, IsNull, Not } from 'typeorm';
import { people } from '../../crew/entity.ts';
import { Letters } from '../../crew/index.ts';
import type { Writing } from '../../database/change.ts';
import type { Clock } from '../../database/store.ts';
import { inOrder } from '../../http/order.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { type SessionEntity, type SignUpEntity, sessions, signUps } from '../entity.ts';

/** Those with a place and those who wait for one, in the order in which they signed up or began to wait. */
export function placesOf(rows: readonly SignUpEntity[]): { coming: SignUpEntity[]; waiting: SignUpEntity[] } {
  const said = rows.filter(({ comes }) => comes).sort((a, b) => inOrder(a.id, b.id));
  return {
    coming: said.filter(({ waitingSince }) => waitingSince === null),
    waiting: said
      .filter(({ waitingSince }) => waitingSince !== null)
      .sort((a, b) => inOrder(a.waitingSince!, b.waitingSince!)),
  };
}

/** How many heads stand behind sign-ups. */
export async function headsIn(manager: EntityManager, rows: readonly SignUpEntity[]): Promise<number> {
  const persons = await manager.findBy(people, { id: In(rows.map(({ personId }) => personId)) });
  return headsBehind(persons);
}

/**
 * Gives places that are free in sessions to come to those who wait for them, the longest waiting first, and tells them. To be
 * called within every change after which a place may be free.
 */
export async function moveUp(
  writing: Writing,
  garden: GardenEntity,
  clock: Clock,
  sessionIds: readonly string[],
): Promise<void> {
  const today = todayIn(garden, clock);
  const rows = await writing.manager.findBy(sessions, { gardenId: garden.id, id: In([...sessionIds]) });
  const ids = rows.map(({ id }) => id);
  const waiting = await writing.manager.findBy(signUps, { sessionId: In(ids), waitingSince: Not(IsNull()) });
  const wanted = new Set(waiting.map(({ sessionId }) => sessionId));
  for (const session of rows) {
    const isAhead = session.state === 'called' && session.on >= today;
    if (isAhead && wanted.has(session.id)) await moveUpIn(writing, garden, clock, session);
  }
}

async function moveUpIn(
  writing: Writing,
  garden: GardenEntity,
  clock: Clock,
  session: SessionEntity,
): Promise<void> {
  const { manager } = writing;
  const { coming, waiting } = placesOf(await manager.findBy(signUps, { sessionId: session.id }));
  let free = session.capacity - (await headsIn(manager, coming));
  const letters = await Letters.of(writing, garden, clock);
  for (const row of waiting) {
    const heads = await headsIn(manager, [row]);
    if (heads > free) continue;
    free -= heads;
    await writing.set(signUps, row, { waitingSince: null });
    await letters.write('placeFree', row.personId, { session });
  }
}

/** The same for all sessions that a change may have made room in, whatever it was: the sign-ups, people and sessions it touched. */
export async function moveUpAfter(writing: Writing, garden: GardenEntity, clock: Clock): Promise<void> {
  const touched = writing.rows.flatMap(({ entity, before, after }) =>
    [before, after].flatMap((row) => (row ? [{ entity, row }] : [])),
  );
  const of = <Row>(entity: EntitySchema<Row>) =>
    touched.filter((one) => one.entity === entity.options.name).map(({ row }) => row as unknown as Row);
  const persons = of(people).map(({ id }) => id);
  const theirs = persons.length === 0 ? [] : await writing.manager.findBy(signUps, { personId: In(persons) });
  const ids = [
    ...of(sessions).map(({ id }) => id),
    ...[...of(signUps), ...theirs].map((row) => row.sessionId),
  ];
  if (ids.length > 0) await moveUp(writing, garden, clock, [...new Set(ids)]);
}
