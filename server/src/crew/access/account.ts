import type { Device } from '@unity-acre/contract/crew';
import { Not } from 'typeorm';
import { touch } from '../../database/stamps.ts';
import type { Database } from '../../database/store.ts';
import { type Call, type Handlers, prepared } from '../../http/handle.ts';
import { invalid } from '../../http/refusal.ts';
import { endStreamsOf } from '../../http/streams.ts';
import type { PasswordTries } from '../../http/tries.ts';
import { admit, signInOf } from '../caller.ts';
import { type AccountEntity, accounts, people, type SignInEntity, signIns } from '../entity.ts';
import { meOf } from './me.ts';
import { hashPassword, passwordFits } from './password.ts';
import { changePassword } from './passwordLinks.ts';
import { checkPassword } from './passwordRules.ts';

const instant = (ms: string): string => new Date(Number(ms)).toISOString();

/** The browsers an account is signed in with, the last seen first. */
async function devicesOf(
  store: Database,
  account: AccountEntity,
  here: SignInEntity | null,
): Promise<Device[]> {
  const rows = await store.manager.findBy(signIns, { accountId: account.id });
  return rows
    .sort((a, b) => Number(b.seenAt) - Number(a.seenAt))
    .map(({ id, agent, createdAt, seenAt, tokenHash }) => ({
      id,
      agent,
      since: instant(createdAt),
      seen: instant(seenAt),
      here: tokenHash === here?.tokenHash,
    }));
}

/** Signs browsers out, and ends what they listen to. */
async function signOut({ manager }: Database, rows: readonly SignInEntity[]): Promise<void> {
  const hashes = new Set(rows.map(({ tokenHash }) => tokenHash));
  for (const tokenHash of hashes) await manager.delete(signIns, { tokenHash });
  endStreamsOf((stream) => hashes.has(stream.tokenHash));
}

type AccountRoutes = Pick<
  Handlers,
  'savePassword' | 'saveEmail' | 'devices' | 'signOutDevice' | 'signOutElsewhere'
>;

/** What people do with their own account. Whoever only finds a browser open changes neither password nor address. */
export function accountRoutes(tries: PasswordTries): AccountRoutes {
  const checkCurrent = ({ caller, request, body }: Call<'savePassword'> | Call<'saveEmail'>): Promise<void> =>
    tries.guard({ address: request.ip ?? '', account: caller!.email, isKnown: true }, async () => {
      if (!(await passwordFits(body.current, caller!.passwordHash)))
        throw invalid('current', 'wrongPassword');
    });

  return {
    savePassword: prepared(
      async (call) => {
        await checkCurrent(call);
        checkPassword(call.body.password, call.caller!.email, 'password');
        return { from: call.caller!.passwordHash, to: await hashPassword(call.body.password) };
      },
      async (call, { from, to }) => {
        const { store, caller, publicUrl } = call;
        if (caller!.passwordHash !== from) throw invalid('current', 'wrongPassword');
        // Everybody who knew the old one is out; this browser is let in anew.
        const account = await changePassword(store, caller!, to);
        await admit(store, call, account, publicUrl);
        return meOf(store, account);
      },
    ),

    saveEmail: prepared(checkCurrent, async ({ store, caller, body }) => {
      const { manager } = store;
      const { email } = body;
      const { id } = caller!;
      if (await manager.existsBy(accounts, { email, id: Not(id) })) throw invalid('email', 'emailTaken');
      const persons = await manager.findBy(people, { accountId: id });
      for (const { gardenId, id: personId } of persons) {
        if (await manager.existsBy(people, { gardenId, email, id: Not(personId) }))
          throw invalid('email', 'emailTaken');
      }
      await manager.update(accounts, { id }, { email });
      for (const person of persons) {
        await manager.update(people, { id: person.id }, { email, version: person.version + 1 });
        await touch(manager, person.gardenId, [people.options.name]);
      }
      return meOf(store, { ...caller!, email });
    }),

    devices: async ({ store, caller, request }) => devicesOf(store, caller!, await signInOf(store, request)),

    signOutDevice: async ({ store, caller, request, params }) => {
      const rows = await store.manager.findBy(signIns, { accountId: caller!.id, id: params.id });
      const here = await signInOf(store, request);
      await signOut(store, rows);
      return devicesOf(store, caller!, here);
    },

    signOutElsewhere: async ({ store, caller, request }) => {
      const here = await signInOf(store, request);
      const rows = await store.manager.findBy(signIns, { accountId: caller!.id });
      await signOut(
        store,
        rows.filter(({ tokenHash }) => tokenHash !== here?.tokenHash),
      );
      return devicesOf(store, caller!, here);
    },
  };
}
