import { isDeepStrictEqual } from 'node:util';
import {
  type AnswerOf,
  type BodyOf,
  CHANGE_HEADER,
  CLIENT_HEADER,
  fieldErrors,
  type ParamsOf,
  type QueryOf,
  type Role,
  type Route,
  type RouteName,
  type RowKind,
  routes,
  TOUCHED_HEADER,
} from '@unity-acre/contract';
import type { ChangeVerb } from '@unity-acre/contract/log';
import type { Express, Request, Response } from 'express';
import { type Caller, type Member, memberOf, noteSeen, whoAsks } from '../crew/caller.ts';
import { type IfMatch, record, type Writing } from '../database/change.ts';
import { listeners } from '../database/listeners.ts';
import type { Clock, Database, Store } from '../database/store.ts';
import { jsonInPieces } from '../heavy/jsonInPieces.ts';
import type { GardenEntity } from '../place/entity.ts';
import { Answered } from './answered.ts';
import { Refusal } from './refusal.ts';
import type { WriteAllowance } from './tries.ts';

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
  /** rows and the time; for a route that writes, within its transaction */
  store: Database;
  request: Request;
  response: Response;
  /** the address people use, without a slash at its end */
  publicUrl: string;
  /** Does the work as one undoable change in the name of the caller, and names it to the client. */
  change<T>(verb: ChangeVerb, what: string, work: (writing: Writing) => Promise<T>): Promise<T>;
  /** Says that rows were changed which `change` did not see: they have no line in the trail. */
  touched(...kinds: RowKind[]): void;
}

/**
 * Answers a route. Routes that write run as one transaction: all they read by `store.manager` stands until they have ended, and
 * an error takes back all they wrote. Routes that read run while nobody writes.
 */
export interface Handler<Name extends RouteName, Prepared = unknown> {
  (call: Call<Name>, prepared: Prepared): Promise<AnswerOf<Name>>;
  /** what takes long and needs no rows that hold still: done before the transaction begins */
  prepare?(call: Call<Name>): Promise<Prepared>;
  /** what is worked out from what was read, once others may write again: on a thread, or for long */
  finish?(gathered: never): Promise<unknown>;
  /** how it meets those who write: as its method says where it does not say itself */
  mode?: 'reads' | 'apart';
}
// biome-ignore lint/suspicious/noExplicitAny: each handler has its own preparation
export type Handlers = { [Name in RouteName]: Handler<Name, any> };

/** A handler whose long work (a password's hash, a file that arrives) is done before its transaction begins. */
export const prepared = <Name extends RouteName, Prepared>(
  prepare: (call: Call<Name>) => Promise<Prepared>,
  handle: (call: Call<Name>, prepared: Prepared) => Promise<AnswerOf<Name>>,
): Handler<Name, Prepared> => Object.assign(handle, { prepare });

/** A handler that reads rows while nobody writes, and then works its answer out of them while others may. */
export const inTwoSteps = <Name extends RouteName, Gathered>(
  gather: (call: Call<Name>) => Promise<Gathered>,
  finish: (gathered: Gathered) => Promise<unknown>,
): Handler<Name> => Object.assign(gather as never, { finish }) as Handler<Name>;

/** A handler of a POST or DELETE that writes no rows: it begins or ends a job. */
export const writingNothing = <Name extends RouteName>(
  handle: (call: Call<Name>) => Promise<AnswerOf<Name>>,
): Handler<Name> => Object.assign(handle, { mode: 'reads' as const });

/** A handler that holds nobody up and waits for nobody, since it asks for a turn itself or lasts long. */
export const apart = <Name extends RouteName>(
  handle: (call: Call<Name>) => Promise<AnswerOf<Name>>,
): Handler<Name> => Object.assign(handle, { mode: 'apart' as const });

export interface Binding {
  store: Store;
  publicUrl: () => string;
  /** true in tests: an answer that is not what the contract says is an error */
  checkAnswers: boolean;
  /** what follows of every change, within it */
  follow?: (writing: Writing, garden: GardenEntity, clock: Clock) => Promise<void>;
  writes: WriteAllowance;
}

/** Binds every route of the contract to its handler, with the check of who may call it in this one place. */
export function bind(app: Express, handlers: Handlers, binding: Binding): void {
  for (const name of Object.keys(routes) as RouteName[]) {
    const route: Route = routes[name];
    const method = route.method.toLowerCase() as 'get' | 'put' | 'post' | 'delete';
    const handler = handlers[name] as Handler<RouteName>;
    app[method](route.path, async (request, response) => {
      const value = await answerTo({ name, route, handler, binding, request, response });
      if (response.headersSent) return;
      if (binding.checkAnswers)
        checkAnswer(name, route, value instanceof Answered ? JSON.parse(value.json) : value);
      if (value instanceof Answered) {
        await value.send(request, response);
        return;
      }
      if (route.mediaType === 'application/json') response.type('json').send(await jsonInPieces(value));
      else response.type(route.mediaType).send(value);
    });
  }
}

/** Answers a route that reads, in the name of whoever asks for something else: a page that brings its first answers along. */
export const answersWithin =
  (handlers: Handlers, binding: Binding) =>
  <Name extends RouteName>(
    name: Name,
    params: ParamsOf<Name>,
    request: Request,
    response: Response,
  ): Promise<unknown> =>
    answerTo({
      ...{ name, route: routes[name], handler: handlers[name] as Handler<RouteName>, binding, response },
      request: Object.create(request, { params: { value: params }, query: { value: {} } }),
    });

/** One request on its way to its handler. */
interface Asked {
  name: RouteName;
  route: Route;
  handler: Handler<RouteName>;
  binding: Binding;
  request: Request;
  response: Response;
}

async function answerTo(asked: Asked): Promise<unknown> {
  const { route, handler, request, binding } = asked;
  const { store } = binding;
  const answer = async () => handler((await callOf(asked, store)).call, undefined);
  if (handler.mode === 'apart') return answer();
  if (route.method === 'GET' || handler.mode === 'reads') {
    const gathered = await store.read(answer);
    const value = handler.finish ? await handler.finish(gathered as never) : gathered;
    if (route.may !== 'anyone') noteSeen(store, request).catch(() => undefined);
    return value;
  }
  const early = await callOf(asked, store);
  if (early.call.caller) await binding.writes.take(early.call.caller.id);
  const ready = await handler.prepare?.(early.call);
  let told: Told = { changeId: null, kinds: new Set() };
  const value = await store.write(async (manager) => {
    // Who asks may have been put out of the garden while this waited for its turn.
    const { call, tells } = await callOf(asked, { manager, clock: store.clock });
    told = tells;
    return handler(call, ready);
  });
  tellOf(asked, told);
  return value;
}

/** What is to be said of a write once it has ended well. */
interface Told {
  changeId: string | null;
  kinds: Set<RowKind>;
}

/** Tells who wrote what was touched by it, and everybody else who looks at the garden. */
function tellOf({ request, response }: Asked, { changeId, kinds }: Told): void {
  if (changeId) response.setHeader(CHANGE_HEADER, changeId);
  if (kinds.size === 0) return;
  response.setHeader(TOUCHED_HEADER, [...kinds].join());
  listeners.tell(String(request.params.gardenId), {
    kinds: [...kinds],
    client: request.get(CLIENT_HEADER) ?? null,
  });
}

/** A request as its handler takes it: checked against the contract, with who asks. */
async function callOf(
  { name, route, binding, request, response }: Asked,
  store: Database,
): Promise<{ call: Call<RouteName>; tells: Told }> {
  const caller = route.may === 'anyone' ? null : await whoAsks(store, request);
  if (route.may !== 'anyone' && !caller) throw new Refusal('signedOut');
  const member = Array.isArray(route.may) ? await admitted(store, caller!, request, route.may) : null;
  const inGarden = (): Member => {
    if (!member) throw new Error(`${route.path} has no garden`);
    return member;
  };
  const tells: Told = { changeId: null, kinds: new Set() };
  const call = {
    ...checked(route, request),
    ifMatch: versionIn(request),
    caller,
    get member() {
      return inGarden();
    },
    store,
    request,
    response,
    publicUrl: binding.publicUrl(),
    async change<T>(verb: ChangeVerb, what: string, work: (writing: Writing) => Promise<T>): Promise<T> {
      const { garden, person } = inGarden();
      const deed = { gardenId: garden.id, personId: person.id, route: name, verb, what };
      const { result, changeId, kinds } = await record(store, deed, async (writing) => {
        const worked = await work(writing);
        await binding.follow?.(writing, garden, store.clock);
        return worked;
      });
      if (changeId) tells.changeId = changeId;
      for (const kind of kinds) tells.kinds.add(kind);
      return result;
    },
    touched: (...kinds: RowKind[]) => {
      for (const kind of kinds) tells.kinds.add(kind);
    },
  };
  return { call: call as Call<RouteName>, tells };
}

function checked(route: Route, request: Request) {
  const params = route.params.safeParse(request.params);
  if (!params.success) throw new Refusal('notFound');
  const query = route.query.safeParse(request.query);
  if (!query.success) throw new Refusal('invalid', { errors: fieldErrors(query.error) });
  const body = route.body.safeParse(request.body ?? {});
  if (!body.success) throw new Refusal('invalid', { errors: fieldErrors(body.error) });
  return { params: params.data, query: query.data, body: body.data };
}

/** Whether another garden exists is nobody's business: a garden one is not in is not there. */
async function admitted(
  store: Database,
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
