import { type RouteName, table } from '@unity-acre/contract';
import type { EntityManager, EntitySchema } from 'typeorm';
import { type Member, maySpeakFor } from '../crew/caller.ts';
import { people } from '../crew/entity.ts';
import { Refusal } from '../http/refusal.ts';
import { givenHours, sessions, signUps } from '../work/entity.ts';
import { mayLead } from '../work/index.ts';
import { BY_THE_CLOCK, type ChangeEntity, entries } from './entity.ts';

type Check = (manager: EntityManager, change: ChangeEntity, member: Member) => Promise<boolean>;

/** The rows of a table that a change touched, as they were or became. */
const rowsOf = <Row>(change: ChangeEntity, entity: EntitySchema<Row>): Row[] =>
  change.rows.flatMap((row) =>
    row.entity === entity.options.name
      ? [row.before, row.after].flatMap((one) => (one ? [one as unknown as Row] : []))
      : [],
  );

/** Everybody whose rows these are is oneself, or somebody one speaks for today. */
const speaksFor =
  (entity: EntitySchema<{ personId: string }>): Check =>
  async (manager, change, { person }) => {
    for (const personId of new Set(rowsOf(change, entity).map((row) => row.personId))) {
      const one = await manager.findOneBy(people, { id: personId, gardenId: change.gardenId });
      if (one && !maySpeakFor(person, one)) return false;
    }
    return true;
  };

/** One leads the session, today, of which something was noted. */
const leadsStill: Check = async (manager, change, member) => {
  const ids = new Set(
    change.rows.flatMap(({ before, after }) => {
      const { sessionId } = { ...before, ...after } as { sessionId?: string };
      return sessionId ? [sessionId] : [];
    }),
  );
  for (const id of ids) {
    const session = await manager.findOneBy(sessions, { id, gardenId: change.gardenId });
    if (session && !mayLead(session, member)) return false;
  }
  return true;
};

/**
 * What must hold today, besides the role, of who undoes what a route did. Routes for leads and coordinators ask for the role
 * alone; here stand those that ask for more.
 */
const checks: Partial<Record<RouteName, Check>> = {
  signUp: speaksFor(signUps as EntitySchema<{ personId: string }>),
  signOff: speaksFor(signUps as EntitySchema<{ personId: string }>),
  offerPlace: speaksFor(signUps as EntitySchema<{ personId: string }>),
  rollCall: leadsStill,
  logWork: leadsStill,
  saveGiven: speaksFor(givenHours as EntitySchema<{ personId: string }>),
  removeGiven: speaksFor(givenHours as EntitySchema<{ personId: string }>),
  saveEntry: async (_, change, { person }) =>
    person.role === 'coordinator' || rowsOf(change, entries).every(({ personId }) => personId === person.id),
  removeEntry: async (_, change, { person }) =>
    person.role === 'coordinator' || rowsOf(change, entries).every(({ personId }) => personId === person.id),
};

/**
 * Whether somebody may undo a change as far as the change itself tells: their own, or anybody's for a coordinator, and only in a
 * role in which they could do the same today.
 */
export function looksUndoable(change: Omit<ChangeEntity, 'rows'>, { person }: Member): boolean {
  if (change.undoneById !== null || change.personId === BY_THE_CLOCK || change.entities === '') return false;
  if (change.personId !== person.id && person.role !== 'coordinator') return false;
  // Of what was done before routes were kept nobody knows what it asks for.
  if (change.route === null) return person.role === 'coordinator';
  const { may } = table[change.route];
  return Array.isArray(may) && may.includes(person.role);
}

/** @throws Refusal `notAllowed` for who could not do today what the change did */
export async function checkUndo(manager: EntityManager, change: ChangeEntity, member: Member): Promise<void> {
  const isTheirs =
    looksUndoable(change, member) &&
    ((change.route && (await checks[change.route]?.(manager, change, member))) ?? true);
  if (!isTheirs) throw new Refusal('notAllowed');
}
