import {
  type AnswerOf,
  CHANGE_HEADER,
  CLIENT_HEADER,
  type ParamsOf,
  type Problem,
  type QueryOf,
  type RouteName,
  type SentOf,
  type TableLine,
  TOUCHED_HEADER,
  table,
} from '@unity-acre/contract';
import { Refused } from './refused.ts';
import { sendFile } from './sendFile.ts';

/** This page, while it is open: the garden does not tell it of changes that it made itself. */
export const clientName = `page-${Math.random().toString(36).slice(2)}`;

/** A file on its way to the garden. */
export interface Upload {
  content: Blob;
  /** @param share of it that has gone, 0 to 1 */
  onProgress?(share: number): void;
  /** ends it on the way */
  signal?: AbortSignal;
}

export interface Ask<Name extends RouteName> {
  params?: ParamsOf<Name>;
  query?: QueryOf<Name>;
  body?: SentOf<Name>;
  /** sent in the place of a body */
  file?: Upload | undefined;
  /** the version of the row that the change is made to */
  ifMatch?: number | undefined;
}

export interface Told<Name extends RouteName> {
  data: AnswerOf<Name>;
  /** the change this write made, which can be undone */
  change: string | null;
  /** the kinds of rows it touched */
  touched: string[];
}

/** Lets somebody who was signed out sign in again. @returns true once they have, false where they will not */
type SignInAgain = () => Promise<boolean>;
let signInAgain: SignInAgain | null = null;

/** Says what is done when a request finds that its sign-in has run out. @returns what ends that */
export function whenSignedOut(again: SignInAgain): () => void {
  signInAgain = again;
  return () => {
    if (signInAgain === again) signInAgain = null;
  };
}

/**
 * Calls a route of the contract. Where the sign-in has run out it waits until somebody has signed in again, and goes on.
 * @throws Refused
 */
export async function ask<Name extends RouteName>(name: Name, asked: Ask<Name> = {}): Promise<Told<Name>> {
  const { isOk, answer, header } = await send(name, asked);
  if (isOk) {
    return {
      data: answer as AnswerOf<Name>,
      change: header(CHANGE_HEADER),
      touched: header(TOUCHED_HEADER)?.split(',') ?? [],
    };
  }
  const refused = new Refused(answer as Problem);
  if (refused.problem.code === 'signedOut' && (await signInAgain?.())) return ask(name, asked);
  throw refused;
}

/** What came back, however it was sent. */
export interface Answered {
  isOk: boolean;
  answer: unknown;
  header(name: string): string | null;
}

function send<Name extends RouteName>(
  name: Name,
  { params, query, body, file, ifMatch }: Ask<Name>,
): Promise<Answered> {
  const { method, path }: TableLine = table[name];
  const values = (params ?? {}) as Record<string, unknown>;
  const address = path.replace(/:(\w+)/g, (_, key) => encodeURIComponent(String(values[key])));
  const given = Object.entries((query ?? {}) as Record<string, unknown>).filter(
    ([, value]) => value !== undefined,
  );
  const search = new URLSearchParams(given.map(([key, value]): [string, string] => [key, String(value)]));
  const headers: Record<string, string> = {};
  if (method !== 'GET') headers[CLIENT_HEADER] = clientName;
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (file) headers['content-type'] = bodyTypes[name] ?? file.content.type;
  if (ifMatch !== undefined) headers['if-match'] = `"${ifMatch}"`;
  const to = `${address}${search.size ? `?${search}` : ''}`;
  return file ? sendFile(method, to, headers, file) : sendJson(method, to, headers, body);
}

/** The media types of files that do not say their own rightly. */
const bodyTypes: Partial<Record<RouteName, string>> = {
  importStation: 'text/csv',
  importCrops: 'text/csv',
  importGround: 'application/geo+json',
};

/** What the page began to ask for before its script ran, by address; each is taken once. */
const early = (globalThis as { early?: Record<string, Promise<Response>> }).early ?? {};

function takeEarly(method: string, address: string): Promise<Response> | undefined {
  const begun = method === 'GET' ? early[address] : undefined;
  delete early[address];
  return begun;
}

async function sendJson(
  method: string,
  address: string,
  headers: Record<string, string>,
  body: unknown,
): Promise<Answered> {
  try {
    const response = await (takeEarly(method, address) ??
      fetch(address, { method, headers, body: body === undefined ? null : JSON.stringify(body) }));
    return {
      isOk: response.ok,
      answer: await response.json(),
      header: (name) => response.headers.get(name),
    };
  } catch {
    throw new Refused({ code: 'unreachable' });
  }
}
