import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Not } from 'typeorm';
import { v7 as newId } from 'uuid';
import type { Database } from '../../database/store.ts';
import { type Call, type Handlers, prepared } from '../../http/handle.ts';
import { invalid, Refusal } from '../../http/refusal.ts';
import { endStreamsOf } from '../../http/streams.ts';
import type { PasswordTries } from '../../http/tries.ts';
import { admit, hashOf, newToken } from '../caller.ts';
import { type AccountEntity, accounts, passwordLinks, people, signIns } from '../entity.ts';
import { filled } from '../letters.ts';
import { holds, lifetimes } from '../lifetimes.ts';
import { meOf } from './me.ts';
import { hashPassword } from './password.ts';
import en from './passwordLetter.en.json' with { type: 'json' };
import es from './passwordLetter.es.json' with { type: 'json' };
import { checkPassword } from './passwordRules.ts';

const words = { en, es };

/** Makes a link for a new password. It is good once and for a day; earlier ones end. @returns its secret */
export async function newPasswordLink(
  { manager, clock }: Database,
  accountId: string,
): Promise<{ token: string; expiresAt: number }> {
  const token = newToken();
  const expiresAt = clock.now() + lifetimes.passwordLink;
  await manager.delete(passwordLinks, { accountId });
  await manager.insert(passwordLinks, { tokenHash: hashOf(token), accountId, expiresAt: String(expiresAt) });
  return { token, expiresAt };
}

export const passwordLinkAddress = (publicUrl: string, token: string): string =>
  `${publicUrl}/password/${token}`;

/** Gives an account another password, and signs it out everywhere. */
export async function changePassword(
  { manager }: Database,
  account: AccountEntity,
  passwordHash: string,
): Promise<AccountEntity> {
  await manager.update(accounts, { id: account.id }, { passwordHash });
  await manager.delete(passwordLinks, { accountId: account.id });
  const open = await manager.findBy(signIns, { accountId: account.id });
  const hashes = new Set(open.map(({ tokenHash }) => tokenHash));
  await manager.delete(signIns, { accountId: account.id });
  endStreamsOf(({ tokenHash }) => hashes.has(tokenHash));
  return { ...account, passwordHash };
}

/** The account of a link that is good. @throws Refusal `notFound` */
async function opened({
  store,
  params,
}: Call<'passwordLink'> | Call<'usePasswordLink'>): Promise<AccountEntity> {
  const { manager, clock } = store;
  const link = await manager.findOneBy(passwordLinks, { tokenHash: hashOf(params.token) });
  if (!link || !holds(link.expiresAt, lifetimes.passwordLink, clock.now())) throw new Refusal('notFound');
  return manager.findOneByOrFail(accounts, { id: link.accountId });
}

/** Leaves a letter with the stand-in for mail: a file in the data folder, for the address it is to alone. */
function post(dataDir: string, to: string, { subject, body }: { subject: string; body: string }): void {
  const folder = join(dataDir, 'outbox');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const text = `To: ${to}\r\nSubject: ${subject}\r\nContent-Type: text/plain; charset=utf-8\r\n\r\n${body}\r\n`;
  writeFileSync(join(folder, `${newId()}.eml`), text, { mode: 0o600 });
}

type LinkRoutes = Pick<Handlers, 'forgot' | 'passwordLink' | 'usePasswordLink' | 'makePasswordLink'>;

export function passwordLinkRoutes(dataDir: string, asked: PasswordTries): LinkRoutes {
  return {
    /** Says the same whether there is such an account or not. */
    forgot: async ({ store, body, request, publicUrl }) => {
      await asked.count({ address: request.ip ?? '', account: body.email });
      const account = await store.manager.findOneBy(accounts, { email: body.email });
      if (!account) return { ok: true };
      const person = await store.manager.findOneBy(people, { accountId: account.id });
      const { token } = await newPasswordLink(store, account.id);
      const { subject, mail } = words[person?.language ?? 'en'];
      post(dataDir, account.email, {
        subject,
        body: filled(mail, { who: person?.name ?? '', link: passwordLinkAddress(publicUrl, token) }),
      });
      return { ok: true };
    },

    passwordLink: async (call) => ({ email: (await opened(call)).email }),

    usePasswordLink: prepared(
      async (call) => {
        const { email } = await opened(call);
        checkPassword(call.body.password, email, 'password');
        return hashPassword(call.body.password);
      },
      async (call, passwordHash) => {
        const account = await changePassword(call.store, await opened(call), passwordHash);
        await admit(call.store, call, account, call.publicUrl);
        return meOf(call.store, account);
      },
    ),

    makePasswordLink: async ({ store, params, publicUrl }) => {
      const person = await store.manager.findOneBy(people, params);
      if (!person) throw new Refusal('notFound');
      const { accountId, gardenId } = person;
      if (!accountId) throw invalid('email', 'noAccountYet');
      // Who belongs to another garden too is not let in there by a coordinator of this one.
      if (await store.manager.existsBy(people, { accountId, gardenId: Not(gardenId) }))
        throw invalid('email', 'otherGardens');
      const { token, expiresAt } = await newPasswordLink(store, accountId);
      return {
        address: passwordLinkAddress(publicUrl, token),
        expires: new Date(expiresAt).toISOString(),
      };
    },
  };
}
