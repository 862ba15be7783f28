import type { Person } from '@unity-acre/contract/crew';
import { type EntityManager, IsNull, Not } from 'typeorm';
import type { Handlers } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { calendarAddresses, signUps } from '../work/entity.ts';
import { hashOf, newToken } from './caller.ts';
import { invitations, type PersonEntity, people } from './entity.ts';

const INVITATION_DAYS = 14;
const DAY_MS = 86_400_000;

const personView = ({ gardenId: _, accountId, ...row }: PersonEntity): Person => ({
  ...row,
  joined: accountId !== null,
});

/** Somebody who can sign in must be left to run the garden. */
async function keepACoordinator(manager: EntityManager, leaving: PersonEntity): Promise<void> {
  if (leaving.role !== 'coordinator' || !leaving.accountId) return;
  const left = await manager.countBy(people, {
    gardenId: leaving.gardenId,
    role: 'coordinator',
    accountId: Not(IsNull()),
    id: Not(leaving.id),
  });
  if (left === 0) throw invalid('role', 'lastCoordinator');
}

type PeopleRoutes = Pick<Handlers, 'people' | 'savePerson' | 'removePerson' | 'invite'>;

export const peopleRoutes: PeopleRoutes = {
  people: async ({ store, params }) => {
    const rows = await store.manager.find(people, {
      where: { gardenId: params.gardenId },
      order: { name: 'ASC' },
    });
    return rows.map(personView);
  },

  savePerson: ({ params, body, ifMatch, change }) =>
    change('person.saved', body.name, async (writing) => {
      const { manager } = writing;
      const known = await manager.findOneBy(people, { id: params.id, gardenId: params.gardenId });
      if (known && body.role !== 'coordinator') await keepACoordinator(manager, known);
      if (known?.accountId && known.email !== body.email) throw invalid('email', 'emailFixed');
      if (body.email) {
        const same = await manager.findOneBy(people, { gardenId: params.gardenId, email: body.email });
        if (same && same.id !== params.id) throw invalid('email', 'emailTaken');
      }
      const values = { ...body, accountId: known?.accountId ?? null };
      return personView(await writing.put(people, params.id, values, ifMatch));
    }),

  removePerson: async ({ store, params, ifMatch, change }) => {
    const known = await store.manager.findOneBy(people, { id: params.id, gardenId: params.gardenId });
    await change('person.removed', known?.name ?? '', async (writing) => {
      const { manager } = writing;
      if (known) await keepACoordinator(manager, known);
      for (const row of await manager.findBy(signUps, { personId: params.id, gardenId: params.gardenId })) {
        await writing.removeFound(signUps, row);
      }
      // Secrets are not rows that undo brings back.
      await manager.delete(invitations, { personId: params.id, gardenId: params.gardenId });
      await manager.delete(calendarAddresses, { personId: params.id, gardenId: params.gardenId });
      await writing.remove(people, params.id, ifMatch);
    });
    return { ok: true };
  },

  invite: async ({ store, params, publicUrl }) => {
    const person = await store.manager.findOneBy(people, params);
    if (!person) throw new Refusal('notFound');
    if (!person.email) throw invalid('email', 'needsEmail');
    const token = newToken();
    const expiresAt = store.clock.now() + INVITATION_DAYS * DAY_MS;
    await store.gate.write(() =>
      store.manager.insert(invitations, {
        tokenHash: hashOf(token),
        gardenId: person.gardenId,
        personId: person.id,
        expiresAt: String(expiresAt),
      }),
    );
    return { address: `${publicUrl}/join/${token}`, expires: new Date(expiresAt).toISOString() };
  },
};
