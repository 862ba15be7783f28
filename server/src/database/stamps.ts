import type { EntityManager } from 'typeorm';
import { rowsWhere } from './plainRows.ts';
import { type Room, roomOf, stamps } from './rooms.ts';

/**
 * Notes, within the transaction that is open, that rows of these tables have changed. What was worked out from them is then
 * worked out again.
 */
export async function touch(
  manager: EntityManager,
  gardenId: string,
  entityNames: Iterable<string>,
): Promise<void> {
  for (const room of new Set([...entityNames].map(roomOf))) {
    const { affected } = await manager.increment(stamps, { gardenId, room }, 'changes', 1);
    if (!affected) await manager.insert(stamps, { gardenId, room, changes: 1 });
  }
}

/** What a garden's rows stand at, in the rooms asked for: the same stamp means the same rows. */
export async function stampOf(
  manager: EntityManager,
  gardenId: string,
  rooms: readonly Room[],
): Promise<string> {
  const rows = await rowsWhere(manager, stamps, { gardenId });
  const known = new Map(rows.map(({ room, changes }) => [room, changes]));
  return rooms.map((room) => known.get(room) ?? 0).join('.');
}
