import { isDeepStrictEqual } from 'node:util';
import {
  type AnswerOf,
  type BodyOf,
  CHANGE_HEADER,
  fieldErrors,
  type ParamsOf,
  type QueryOf,
  type Role,
  type Route,
  type RouteName,
  routes,
} from '@unity-acre/contract';
import type { ChangeVerb } from '@unity-acre/contract/log';
import type { Express, Request, RequestHandler, Response } from 'express';
import { type Caller, type Member, memberOf, whoAsks } from '../crew/caller.ts';
import { change, type IfMatch, type Writing } from '../database/change.ts';
import type { Store } from '../database/store.ts';
import { Refusal } from './refusal.ts';

/** What a handler is given. */
export interface Call<Name extends RouteName> {
  params: ParamsOf<Name>;
  query: QueryOf<Name>;
  body: BodyOf<Name>;
  /** the version the client says it changed */
  ifMatch: IfMatch;
  /** who asks; null for a stranger */
  caller: Caller | null;
  /** who asks, as a member of the garden of the route. @throws Error on routes without a garden */
  member: Member;
  store: Store;
  request: Request;
  response: Response;
  /** the address people use, without a slash at its end */
  publicUrl: string;
  /** Does the work as one undoable change in the name of the caller, and names it to the client. */
  change<T>(verb: ChangeVerb, what: string, work: (writing: Writing) => Promise<T>): Promise<T>;
}

type Handler<Name extends RouteName> = (call: Call<Name>) => Promise<AnswerOf<Name>>;
export type Handlers = { [Name in RouteName]: Handler<Name> };

export interface Binding {
  store: Store;
  publicUrl: () => string;
  /** true in tests: an answer that is not what the contract says is an error */
  checkAnswers: boolean;
  /** middleware a route gets before its handler */
  before?: Partial<Record<RouteName, RequestHandler[]>>;
}

/** Binds every route of the contract to its handler, with the check of who may call it in this one place. */
export function bind(app: Express, handlers: Handlers, binding: Binding): void {
  for (const name of Object.keys(routes) as RouteName[]) {
    const route: Route = routes[name];
    const method = route.method.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
    const handler = handlers[name] as Handler<RouteName>;
    app[method](route.path, ...(binding.before?.[name] ?? []), async (request, response) => {
      const answer = () => answerTo(route, handler, binding, request, response);
      const value = await (route.method === 'GET' ? binding.store.gate.read(answer) : answer());
      if (response.headersSent) return;
      if (binding.checkAnswers) checkAnswer(name, route, value);
      if (route.mediaType === 'application/json') response.json(value);
      else response.type(route.mediaType).send(value);
    });
  }
}

async function answerTo(
  route: Route,
  handler: Handler<RouteName>,
  { store, publicUrl }: Binding,
  request: Request,
  response: Response,
): Promise<unknown> {
  const caller = route.may === 'anyone' ? null : await whoAsks(store, request);
  if (route.may !== 'anyone' && !caller) throw new Refusal('signedOut');
  const member = Array.isArray(route.may) ? await admitted(store, caller!, request, route.may) : null;

  const params = route.params.safeParse(request.params);
  if (!params.success) throw new Refusal('notFound');
  const query = route.query.safeParse(request.query);
  if (!query.success) throw new Refusal('invalid', { errors: fieldErrors(query.error) });
  const body = route.body.safeParse(request.body ?? {});
  if (!body.success) throw new Refusal('invalid', { errors: fieldErrors(body.error) });

  const call = {
    params: params.data,
    query: query.data,
    body: body.data,
    ifMatch: versionIn(request),
    caller,
    get member() {
      if (!member) throw new Error(`${route.path} has no garden`);
      return member;
    },
    store,
    request,
    response,
    publicUrl: publicUrl(),
    async change<T>(verb: ChangeVerb, what: string, work: (writing: Writing) => Promise<T>): Promise<T> {
      if (!member) throw new Error(`${route.path} has no garden`);
      const { garden, person } = member;
      const deed = { gardenId: garden.id, personId: person.id, verb, what };
      const { result, changeId } = await change(store, deed, work);
      if (changeId) response.setHeader(CHANGE_HEADER, changeId);
      return result;
    },
  };
  return handler(call as Call<RouteName>);
}

/** Whether another garden exists is nobody's business: a garden one is not in is not there. */
async function admitted(
  store: Store,
  caller: Caller,
  request: Request,
  may: readonly Role[],
): Promise<Member> {
  const member = await memberOf(store, caller, String(request.params.gardenId));
  if (!member) throw new Refusal('notFound');
  if (!may.includes(member.person.role)) throw new Refusal('notAllowed');
  return member;
}

function versionIn(request: Request): IfMatch {
  const header = request.headers['if-match'];
  if (header === undefined) return undefined;
  const version = /^"?(\d{1,9})"?$/.exec(header);
  if (!version) throw new Refusal('versionNeeded');
  return Number(version[1]);
}

function checkAnswer(name: RouteName, route: Route, value: unknown): void {
  const wire = JSON.parse(JSON.stringify(value));
  const parsed = route.answer.parse(wire);
  if (!isDeepStrictEqual(JSON.parse(JSON.stringify(parsed)), wire)) {
    throw new Error(`The answer of ${name} has fields that the contract does not know`);
  }
}
