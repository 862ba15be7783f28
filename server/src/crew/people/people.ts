import type { Person, PersonInput } from '@unity-acre/contract/crew';
import { type EntityManager, In, IsNull, Not } from 'typeorm';
import { findInPieces } from '../../database/pieces.ts';
import type { Database } from '../../database/store.ts';
import type { Handlers } from '../../http/handle.ts';
import { byName } from '../../http/order.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { endStreamsOf } from '../../http/streams.ts';
import { calendarAddresses, givenHours, sessions, signUps } from '../../work/entity.ts';
import { hashOf, newToken } from '../caller.ts';
import { invitations, type PersonEntity, people, plotApplications } from '../entity.ts';
import { lifetimes } from '../lifetimes.ts';
import { Names } from '../names.ts';

/** @param invitedUntil when an invitation of theirs runs out, milliseconds; absent where there is none */
export const personView = (
  { gardenId: _, accountId, ...row }: PersonEntity,
  invitedUntil?: number | undefined,
): Person => ({
  ...row,
  joined: accountId !== null,
  invitedUntil: invitedUntil === undefined ? null : new Date(invitedUntil).toISOString(),
});

/** Until when each person's invitation opens the door, of those that still do. */
async function invitedUntil({ manager, clock }: Database, gardenId: string): Promise<Map<string, number>> {
  const rows = await manager.findBy(invitations, { gardenId });
  return new Map(
    rows
      .map(({ personId, expiresAt }): [string, number] => [personId, Number(expiresAt)])
      .filter(([, expiresAt]) => expiresAt > clock.now()),
  );
}

/** Somebody who can sign in must be left to run the garden. */
export async function keepACoordinator(manager: EntityManager, leaving: PersonEntity): Promise<void> {
  if (leaving.role !== 'coordinator' || !leaving.accountId) return;
  const left = await manager.countBy(people, {
    gardenId: leaving.gardenId,
    role: 'coordinator',
    accountId: Not(IsNull()),
    id: Not(leaving.id),
  });
  if (left === 0) throw invalid('role', 'lastCoordinator');
}

/**
 * What must hold of a garden's people after an undo, as it is checked before each is changed: somebody can run the garden, and
 * whoever is under age has a grown guardian in it.
 * @throws Refusal `cannotUndo`
 */
export async function checkCrew(manager: EntityManager, gardenId: string): Promise<void> {
  const crew = await manager.findBy(people, { gardenId });
  const grown = new Set(crew.filter(({ kind }) => kind === 'adult').map(({ id }) => id));
  const isRun = crew.some(({ role, accountId }) => role === 'coordinator' && accountId !== null);
  const areLookedAfter = crew.every(
    ({ kind, guardianId }) => kind !== 'minor' || (guardianId !== null && grown.has(guardianId)),
  );
  if (!isRun || !areLookedAfter) throw new Refusal('cannotUndo');
}

/** The people somebody refers to are of this garden: a grown guardian, and those they would like to work with. */
async function checkOthers(
  manager: EntityManager,
  gardenId: string,
  id: string,
  body: PersonInput,
): Promise<void> {
  if (body.guardianId !== null) {
    const guardian = await manager.findOneBy(people, { id: body.guardianId, gardenId });
    if (guardian?.kind !== 'adult' || guardian.id === id) throw invalid('guardianId', 'unknownGuardian');
  }
  if (body.kind !== 'adult' && (await manager.existsBy(people, { gardenId, guardianId: id })))
    throw invalid('kind', 'isGuardian');
}

/**
 * Those somebody likes to work with, without such as have been removed since they were named.
 * @throws Refusal `invalid` for somebody who is newly named and is not in the garden
 */
async function companions(
  manager: EntityManager,
  gardenId: string,
  named: readonly string[],
  before: readonly string[],
): Promise<string[]> {
  const found = await manager.find(people, { where: { gardenId, id: In([...named]) }, select: { id: true } });
  const there = new Set(found.map(({ id }) => id));
  if (named.some((id) => !there.has(id) && !before.includes(id))) throw invalid('together', 'unknownPerson');
  return [...new Set(named)].filter((id) => there.has(id));
}

type PeopleRoutes = Pick<Handlers, 'people' | 'savePerson' | 'removePerson' | 'invite'>;

export const peopleRoutes: PeopleRoutes = {
  people: async ({ store, member }) => {
    const names = await Names.for(store.manager, member.person);
    const readable = new Set(names.readable().map(({ id }) => id));
    const rows = await findInPieces(store.manager, people, { gardenId: member.garden.id });
    const invited = await invitedUntil(store, member.garden.id);
    return rows
      .filter(({ id }) => readable.has(id))
      .map((person) => ({ ...personView(person, invited.get(person.id)), name: names.of(person.id) }))
      .sort((a, b) => byName(a.name, b.name));
  },

  savePerson: ({ store, params, body, ifMatch, change }) =>
    change('person.saved', body.name, async (writing) => {
      const { manager } = writing;
      const known = await manager.findOneBy(people, { id: params.id, gardenId: params.gardenId });
      if (known && body.role !== 'coordinator') await keepACoordinator(manager, known);
      if (known?.accountId && known.email !== body.email) throw invalid('email', 'emailFixed');
      if (body.email) {
        const same = await manager.findOneBy(people, { gardenId: params.gardenId, email: body.email });
        if (same && same.id !== params.id) throw invalid('email', 'emailTaken');
      }
      await checkOthers(manager, params.gardenId, params.id, body);
      const values = {
        ...body,
        together: await companions(manager, params.gardenId, body.together, known?.together ?? []),
        accountId: known?.accountId ?? null,
        retiredOn: known?.retiredOn ?? null,
      };
      const row = await writing.put(people, params.id, values, ifMatch);
      const invited = await invitedUntil({ manager, clock: store.clock }, params.gardenId);
      return personView(row, invited.get(row.id));
    }),

  removePerson: async ({ store, params, ifMatch, change }) => {
    const known = await store.manager.findOneBy(people, { id: params.id, gardenId: params.gardenId });
    await change('person.removed', known?.name ?? '', async (writing) => {
      const { manager } = writing;
      if (known) await keepACoordinator(manager, known);
      if (await manager.existsBy(people, { gardenId: params.gardenId, guardianId: params.id }))
        throw invalid('guardianId', 'isGuardian');
      for (const row of await manager.findBy(signUps, { personId: params.id, gardenId: params.gardenId })) {
        await writing.removeFound(signUps, row);
      }
      for (const row of await manager.findBy(givenHours, {
        personId: params.id,
        gardenId: params.gardenId,
      })) {
        await writing.removeFound(givenHours, row);
      }
      for (const row of await manager.findBy(plotApplications, { personId: params.id })) {
        await writing.removeFound(plotApplications, row);
      }
      for (const other of await manager.findBy(people, { gardenId: params.gardenId })) {
        if (!other.together.includes(params.id)) continue;
        const together = other.together.filter((id) => id !== params.id);
        await writing.set<PersonEntity>(people, other, { together });
      }
      // What they led goes on, and shows that nobody leads it.
      for (const led of await manager.findBy(sessions, { leadId: params.id, gardenId: params.gardenId })) {
        await writing.set(sessions, led, { leadId: null });
      }
      // Secrets are not rows that undo brings back.
      await manager.delete(invitations, { personId: params.id, gardenId: params.gardenId });
      await manager.delete(calendarAddresses, { personId: params.id, gardenId: params.gardenId });
      endStreamsOf(({ personId }) => personId === params.id);
      await writing.remove(people, params.id, ifMatch);
    });
    return { ok: true };
  },

  invite: async ({ store, params, publicUrl, touched }) => {
    const person = await store.manager.findOneBy(people, params);
    if (!person || person.retiredOn !== null) throw new Refusal('notFound');
    if (!person.email) throw invalid('email', 'needsEmail');
    touched('invitation');
    return newInvitation(store, person, publicUrl);
  },
};

/** Makes an invitation. The one handed out last is the one that opens the door. */
export async function newInvitation(
  { manager, clock }: Database,
  { id: personId, gardenId }: PersonEntity,
  publicUrl: string,
): Promise<{ address: string; expires: string }> {
  const token = newToken();
  const expiresAt = clock.now() + lifetimes.invitation;
  await manager.delete(invitations, { personId });
  await manager.insert(invitations, {
    tokenHash: hashOf(token),
    gardenId,
    personId,
    expiresAt: String(expiresAt),
  });
  return { address: `${publicUrl}/join/${token}`, expires: new Date(expiresAt).toISOString() };
}
