import type { EntityManager } from 'typeorm';
import { v7 as newId } from 'uuid';
import { changes } from '../log/entity.ts';

/* A server's clock may be set back while it is off. What is kept in the order of time stays in it none the less. */

/** Clocks that are set right by the network are off by this at the most, ms. */
const OFF_MS = 10 * 60_000;

/** The moment a version 7 id was made, ms since the epoch. Source: RFC 9562, section 5.7. */
const madeAt = (id: string): number => Number.parseInt(id.replaceAll('-', '').slice(0, 12), 16);

/** An id that sorts after the last one, whatever the clock says. @param now ms since the epoch */
export function idAfter(last: string | null, now: number): string {
  return newId({ msecs: last === null ? now : Math.max(now, madeAt(last) + 1) });
}

/** An instant after the last one, whatever the clock says. @param now ms since the epoch */
export function momentAfter(last: string | null, now: number): string {
  return new Date(last === null ? now : Math.max(now, Date.parse(last) + 1)).toISOString();
}

/** The id of a garden's last change, or of the last of all; null before the first. */
export async function lastChange(manager: EntityManager, gardenId?: string): Promise<string | null> {
  const query = manager.createQueryBuilder(changes, 'change').select('MAX(change.id)', 'last');
  if (gardenId !== undefined) query.where('change.gardenId = :gardenId', { gardenId });
  return (await query.getRawOne<{ last: string | null }>())?.last ?? null;
}

/** Where the clock is behind what was kept: the instant of the last change; null where it is not. */
export async function clockBehind(manager: EntityManager, now: number): Promise<string | null> {
  const last = await lastChange(manager);
  return last !== null && madeAt(last) > now + OFF_MS ? new Date(madeAt(last)).toISOString() : null;
}
