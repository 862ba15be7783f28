import { addDays, type Day, hourAt } from '@unity-acre/core/calendar';
import { Between, IsNull, Not } from 'typeorm';
import { crewRules } from '../../crew/entity.ts';
import { Letters, timeOf } from '../../crew/index.ts';
import { change, type Writing } from '../../database/change.ts';
import type { Clock, Store } from '../../database/store.ts';
import { BY_THE_CLOCK } from '../../log/entity.ts';
import { type GardenEntity, gardens } from '../../place/entity.ts';
import { todayIn } from '../../place/index.ts';
import { messages, sessions, signUps } from '../entity.ts';
import { placesOf } from '../sessions/waiting.ts';

/** Nobody is written to by the clock before the first or from the last of these hours. */
const WAKING = { from: 8, until: 20 };

/**
 * Reminds everybody who is expected at a session until a day and was not yet reminded of it at its time.
 * @returns how many letters were written
 */
export async function writeReminders(
  writing: Writing,
  garden: GardenEntity,
  clock: Clock,
  until: Day,
): Promise<number> {
  const { manager } = writing;
  const soon = await manager.find(sessions, {
    where: { gardenId: garden.id, state: 'called', on: Between(todayIn(garden, clock), until) },
    order: { on: 'ASC', from: 'ASC' },
  });
  const letters = await Letters.of(writing, garden, clock);
  let count = 0;
  for (const session of soon) {
    const about = timeOf(session);
    const earlier = await manager.findBy(messages, { sessionId: session.id, kind: 'reminder', about });
    const reminded = new Set(earlier.map(({ personId }) => personId));
    const { coming } = placesOf(await manager.findBy(signUps, { sessionId: session.id }));
    const expected = new Set([
      ...coming.map(({ personId }) => personId),
      ...(session.leadId ? [session.leadId] : []),
    ]);
    for (const personId of expected) {
      if (!reminded.has(personId) && (await letters.write('reminder', personId, { session }))) count += 1;
    }
  }
  return count;
}

/** Writes the reminders of all gardens that want them by the clock. */
export async function remindByTheClock(store: Store): Promise<void> {
  for (const { id, remindDays } of await store.manager.findBy(crewRules, { remindDays: Not(IsNull()) })) {
    const garden = await store.manager.findOneByOrFail(gardens, { id });
    const hour = hourAt(store.clock.now(), garden.timeZone);
    if (hour < WAKING.from || hour >= WAKING.until) continue;
    const until = addDays(todayIn(garden, store.clock), remindDays!);
    const deed = {
      gardenId: id,
      personId: BY_THE_CLOCK,
      route: null,
      verb: 'message.written',
      what: until,
    } as const;
    await change(store, deed, (writing) => writeReminders(writing, garden, store.clock, until));
  }
}
