import type { MoveInput } from '@unity-acre/contract/work';
import type { Member } from '../crew/caller.ts';
import { Letters } from '../crew/index.ts';
import type { Writing } from '../database/change.ts';
import type { Clock } from '../database/store.ts';
import { invalid } from '../http/refusal.ts';
import { todayIn } from '../place/index.ts';
import { type SessionEntity, sessions, signUps } from './entity.ts';
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
  const letters = await Letters.of(writing, garden, clock);
  const { coming } = placesOf(await writing.manager.findBy(signUps, { sessionId: row.id }));
  const told = new Set([...coming.map(({ personId }) => personId), ...(row.leadId ? [row.leadId] : [])]);
  for (const personId of told)
    await letters.write(move.to ? 'moved' : 'calledOff', personId, { session: moved, before: row.on });
  return moved;
}
