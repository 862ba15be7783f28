import { crewFacts, type SetUpInput } from '@unity-acre/contract/crew';
import { defaultGroundRules } from '@unity-acre/core/ground';
import { defaultRules } from '@unity-acre/core/season';
import { v7 as newId } from 'uuid';
import { touch } from '../../database/stamps.ts';
import type { Database } from '../../database/store.ts';
import { type Call, type Handlers, prepared } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import type { PasswordTries } from '../../http/tries.ts';
import { type GardenEntity, gardens } from '../../place/entity.ts';
import { refuseSea } from '../../place/index.ts';
import { admit, dismiss, hashOf, isKnownTo, whoAsks } from '../caller.ts';
import { type AccountEntity, accounts, type InvitationEntity, invitations, people } from '../entity.ts';
import { holds, lifetimes } from '../lifetimes.ts';
import { type DemoSignIns, meOf as meWith } from './me.ts';
import { hashPassword, passwordFits } from './password.ts';
import { checkPassword } from './passwordRules.ts';

type AccessRoutes = Pick<Handlers, 'me' | 'setUp' | 'signIn' | 'signOut' | 'invitation' | 'join'>;

/** Signing in and out, the first set-up, and invitations. */
export function access(demoSignIns: DemoSignIns, tries: PasswordTries): AccessRoutes {
  const meOf = (store: Database, account: AccountEntity | null) => meWith(store, account, demoSignIns);

  return {
    me: async ({ store, request }) => meOf(store, await whoAsks(store, request)),

    setUp: prepared(
      async ({ store, body }) => {
        // Nobody makes the server work at passwords for a garden that is there already.
        if (await store.manager.exists(gardens)) throw new Refusal('alreadySetUp');
        refuseSea(body.garden, 'garden.latitude');
        checkPassword(body.coordinator.password, body.coordinator.email, 'coordinator.password');
        return hashPassword(body.coordinator.password);
      },
      async (call, passwordHash) => {
        const { store, body, publicUrl } = call;
        const { manager } = store;
        if ((await manager.count(gardens)) > 0) throw new Refusal('alreadySetUp');
        const { coordinator } = body;
        const account = { id: newId(), email: coordinator.email, passwordHash };
        await manager.insert(gardens, newGarden(body.id, body));
        await manager.insert(accounts, account);
        await manager.insert(people, {
          id: coordinator.id,
          gardenId: body.id,
          version: 1,
          name: coordinator.name,
          email: coordinator.email,
          role: 'coordinator',
          household: '',
          headcount: 1,
          waitingSince: null,
          accountId: account.id,
          retiredOn: null,
          ...crewFacts.parse({}),
        });
        await admit(store, call, account, publicUrl);
        return meOf(store, account);
      },
    ),

    signIn: prepared(
      async ({ store, body, request }) => {
        const account = await store.manager.findOneBy(accounts, { email: body.email });
        const isKnown = isKnownTo(request, account);
        return tries.guard({ address: request.ip ?? '', account: body.email, isKnown }, async () => {
          if (await passwordFits(body.password, account?.passwordHash ?? null)) return account!;
          throw new Refusal('wrongPassword');
        });
      },
      async (call, { id, passwordHash }) => {
        const { store, publicUrl } = call;
        // A password that was changed while it was being looked at opens nothing any more.
        const account = await store.manager.findOneBy(accounts, { id, passwordHash });
        if (!account) throw new Refusal('wrongPassword');
        await admit(store, call, account, publicUrl);
        return meOf(store, account);
      },
    ),

    signOut: async ({ store, request, response, publicUrl }) => {
      await dismiss(store, request, response, publicUrl);
      return { ok: true };
    },

    invitation: async (call) => {
      const { person, garden, account } = await opened(call);
      const { name, email, language } = person;
      return { garden: garden.name, name, email: email!, hasAccount: account !== null, language };
    },

    join: prepared(
      async (call) => {
        const { password } = call.body;
        const { account, person } = await opened(call);
        if (!account) {
          checkPassword(password, person.email!, 'password');
          return hashPassword(password);
        }
        const { request } = call;
        const isKnown = isKnownTo(request, account);
        return tries.guard({ address: request.ip ?? '', account: account.email, isKnown }, async () => {
          if (await passwordFits(password, account.passwordHash)) return account.passwordHash;
          throw invalid('password', 'wrongPassword');
        });
      },
      async (call, passwordHash) => {
        const { store, publicUrl } = call;
        const { manager } = store;
        const { row, person, account } = await opened(call);
        // Somebody of this address joined, or chose another password, while this one was being looked at.
        if (account && account.passwordHash !== passwordHash) throw invalid('password', 'wrongPassword');
        const joined = account ?? { id: newId(), email: person.email!, passwordHash };
        await manager.delete(invitations, { tokenHash: row.tokenHash });
        if (!account) await manager.insert(accounts, joined);
        await manager.update(people, { id: person.id }, { accountId: joined.id });
        await touch(manager, person.gardenId, [people.options.name]);
        await admit(store, call, joined, publicUrl);
        return meOf(store, joined);
      },
    ),
  };
}

const newGarden = (
  id: string,
  { garden, normals }: Pick<SetUpInput, 'garden' | 'normals'>,
): GardenEntity => ({
  ...garden,
  normals,
  id,
  gardenId: id,
  version: 1,
  rules: defaultRules,
  ground: { ...defaultGroundRules, north: 0 },
  recordId: null,
  setToday: null,
});

async function opened({ store, params }: Call<'invitation'> | Call<'join'>) {
  const row: InvitationEntity | null = await store.manager.findOneBy(invitations, {
    tokenHash: hashOf(params.token),
  });
  if (!row || !holds(row.expiresAt, lifetimes.invitation, store.clock.now())) throw new Refusal('notFound');
  const person = await store.manager.findOneByOrFail(people, { id: row.personId });
  if (!person.email) throw new Refusal('notFound');
  const garden = await store.manager.findOneByOrFail(gardens, { id: row.gardenId });
  const account = await store.manager.findOneBy(accounts, { email: person.email });
  return { row, person, garden, account };
}
