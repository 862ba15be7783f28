import type { MoveInput } from '@unity-acre/contract/work';
import type { Member } from '../../crew/caller.ts';
import { Letters } from '../../crew/index.ts';
import type { Writing } from '../../database/change.ts';
import type { Clock } from '../../database/store.ts';
import { invalid } from '../../http/refusal.ts';
import type { GardenEntity } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { type SessionEntity, sessions, signUps } from '../entity.ts';
import { placesOf } from './waiting.ts';

/** How a session stands after it is moved or called off. Its work is free again where it is called off. */
export function movedSession(row: SessionEntity, { to, why }: MoveInput): SessionEntity {
  if (!to) return { ...row, state: 'calledOff', why, taskIds: [], rotaTaskIds: [], crews: [] };
  return { ...row, ...to, why, state: 'called', movedFrom: row.movedFrom ?? row.on };
}

/** Moves a session or calls it off, and writes to everybody who was expected. */
export async function moveIn(
  writing: Writing,
  row: SessionEntity,
  move: MoveInput,
  { garden }: Pick<Member, 'garden'>,
  clock: Clock,
): Promise<SessionEntity> {
  if (move.to && move.to.on < todayIn(garden, clock)) throw invalid('to.on', 'inThePast');
  const moved = await writing.set(sessions, row, movedSession(row, move));
  await tellExpected(writing, move.to ? 'moved' : 'calledOff', row, moved, garden, clock);
  return moved;
}

/**
 * Writes to everybody who is expected at a session, or waits for a place in it, that it is moved or called off. Of a day that
 * is past there is nothing to tell.
 * @param before the session as they know it
 */
export async function tellExpected(
  writing: Writing,
  kind: 'moved' | 'calledOff',
  before: SessionEntity,
  now: SessionEntity,
  garden: GardenEntity,
  clock: Clock,
): Promise<void> {
  if (before.state === 'calledOff' || now.on < todayIn(garden, clock)) return;
  const letters = await Letters.of(writing, garden, clock);
  const { coming, waiting } = placesOf(await writing.manager.findBy(signUps, { sessionId: before.id }));
  const told = new Set([...coming, ...waiting].map(({ personId }) => personId));
  if (before.leadId) told.add(before.leadId);
  for (const personId of told) await letters.write(kind, personId, { session: now, before: before.on });
}

/** Whether a session is at another time than before. */
export const isMoved = (before: SessionEntity, now: Pick<SessionEntity, 'on' | 'from' | 'to'>): boolean =>
  before.on !== now.on || before.from !== now.from || before.to !== now.to;
