import { createHash, randomBytes } from 'node:crypto';
import { SESSION_COOKIE } from '@unity-acre/contract';
import { parse, serialize } from 'cookie';
import type { Request, Response } from 'express';
import { v7 as newId } from 'uuid';
import { rowWhere } from '../database/plainRows.ts';
import type { Database, Store } from '../database/store.ts';
import { endStreamsOf } from '../http/streams.ts';
import { type GardenEntity, gardens } from '../place/entity.ts';
import {
  type AccountEntity,
  accounts,
  type PersonEntity,
  people,
  type SignInEntity,
  signIns,
} from './entity.ts';
import { holds, lifetimes } from './lifetimes.ts';

export type Caller = AccountEntity;

/** Somebody in a garden. */
export interface Member {
  garden: GardenEntity;
  person: PersonEntity;
}

/** Those who lead whatever session it is. */
export const leads = ({ role }: Pick<PersonEntity, 'role'>): boolean =>
  role === 'coordinator' || role === 'crewLead';

/** Oneself and one's children, or anybody for those who lead. */
export const maySpeakFor = (caller: PersonEntity, person: PersonEntity): boolean =>
  leads(caller) || person.id === caller.id || person.guardianId === caller.id;

const COOKIE = SESSION_COOKIE;
/** Tells a browser that was signed in to an account before. It opens nothing. */
const KNOWN_COOKIE = 'acre-known';
const KNOWN_DAYS = 365;
/** How exactly it is kept when a browser was last seen: each time is a write. */
const SEEN_EVERY_MS = 3_600_000;
const AGENT_LENGTH = 200;

/** A secret to hand out; only its hash is kept. */
export const newToken = (): string => randomBytes(32).toString('base64url');
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('base64url');

function tokenIn(request: Request): string | null {
  // A browser may send several cookies of the name, or one that is not ours: whatever does not fit is no sign-in.
  return parse(request.headers.cookie ?? '')[COOKIE] ?? null;
}

/** The sign-in of the request's cookie, while it holds. */
export async function signInOf(store: Database, request: Request): Promise<SignInEntity | null> {
  const token = tokenIn(request);
  if (!token) return null;
  const signIn = await rowWhere(store.manager, signIns, { tokenHash: hashOf(token) });
  if (!signIn) return null;
  const now = store.clock.now();
  const isIdle = now - Number(signIn.seenAt) > lifetimes.idle;
  return holds(signIn.expiresAt, lifetimes.signIn, now) && !isIdle ? signIn : null;
}

/** The account of the request's cookie, or null for a stranger. */
export async function whoAsks(store: Database, request: Request): Promise<Caller | null> {
  const signIn = await signInOf(store, request);
  return signIn && rowWhere(store.manager, accounts, { id: signIn.accountId });
}

/** Keeps that a browser was seen, once in an hour. */
export async function noteSeen(store: Store, request: Request): Promise<void> {
  const signIn = await signInOf(store, request);
  const now = store.clock.now();
  if (!signIn || Math.abs(now - Number(signIn.seenAt)) < SEEN_EVERY_MS) return;
  const { tokenHash } = signIn;
  await store.write((manager) => manager.update(signIns, { tokenHash }, { seenAt: String(now) }));
}

/** The caller as a member of a garden, or null where they are none. */
export async function memberOf(store: Database, caller: Caller, gardenId: string): Promise<Member | null> {
  const person = await rowWhere(store.manager, people, { accountId: caller.id, gardenId });
  if (!person) return null;
  const garden = await rowWhere(store.manager, gardens, { id: gardenId });
  return garden && { garden, person };
}

/** Signs the browser in. */
export async function admit(
  store: Database,
  { request, response }: { request: Request; response: Response },
  account: AccountEntity,
  publicUrl: string,
): Promise<void> {
  const accountId = account.id;
  const token = newToken();
  const now = store.clock.now();
  await store.manager.insert(signIns, {
    tokenHash: hashOf(token),
    accountId,
    expiresAt: String(now + lifetimes.signIn),
    id: newId(),
    createdAt: String(now),
    seenAt: String(now),
    agent: String(request.headers['user-agent'] ?? '').slice(0, AGENT_LENGTH),
  });
  setCookie(response, COOKIE, token, lifetimes.signIn / 1_000, publicUrl);
  setCookie(response, KNOWN_COOKIE, knownMark(account), KNOWN_DAYS * 86_400, publicUrl);
}

/** What only this account's browsers hold; another password makes other ones. */
const knownMark = ({ id, passwordHash }: AccountEntity): string => hashOf(`${id} ${passwordHash}`);

/** Whether the browser was signed in to the account before. */
export function isKnownTo(request: Request, account: AccountEntity | null): boolean {
  const shown = parse(request.headers.cookie ?? '')[KNOWN_COOKIE] ?? '';
  return account !== null && shown === knownMark(account);
}

/** Signs the browser out, here and for good. */
export async function dismiss(
  store: Database,
  request: Request,
  response: Response,
  publicUrl: string,
): Promise<void> {
  const token = tokenIn(request);
  if (token) {
    await store.manager.delete(signIns, { tokenHash: hashOf(token) });
    endStreamsOf((stream) => stream.tokenHash === hashOf(token));
  }
  setCookie(response, COOKIE, '', 0, publicUrl);
}

function setCookie(response: Response, name: string, value: string, maxAge: number, publicUrl: string): void {
  response.appendHeader(
    'set-cookie',
    serialize(name, value, {
      httpOnly: true,
      sameSite: 'lax',
      path: '/',
      maxAge,
      secure: publicUrl.startsWith('https:'),
    }),
  );
}
