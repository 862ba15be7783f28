import { openapi } from '@unity-acre/contract';
import compression from 'compression';
import express, { type Express, type RequestHandler, type Response } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { backupState, type Nightly } from './backup/nightly.ts';
import { backupRoutes } from './backup/routes.ts';
import { access, accountRoutes, type DemoSignIns, passwordLinkRoutes, peopleRoutes } from './crew/index.ts';
import { cropRoutes } from './crops/index.ts';
import { clockBehind } from './database/moments.ts';
import type { Store } from './database/store.ts';
import { groundRoutes } from './ground/index.ts';
import { harvestRoutes } from './harvest/index.ts';
import { isTooDeep } from './http/depth.ts';
import { eventRoutes } from './http/events.ts';
import { answersWithin, apart, type Binding, bind, type Handlers } from './http/handle.ts';
import { stateOf } from './http/health.ts';
import { newNonce, servePages } from './http/pages.ts';
import { Refusal } from './http/refusal.ts';
import { answerErrors, notFound, ownPagesOnly } from './http/refuse.ts';
import {
  lettersAskedFor,
  PasswordTries,
  type TryLimits,
  usualLimits,
  WRITES_PER_MINUTE,
  WriteAllowance,
} from './http/tries.ts';
import { whoAndWhere } from './http/whoAndWhere.ts';
import { logRoutes } from './log/index.ts';
import { placeRoutes } from './place/index.ts';
import { seasonRoutes } from './season/index.ts';
import { moveUpAfter, workRoutes } from './work/index.ts';

export interface AppOptions {
  store: Store;
  logger: Logger;
  version: string;
  /** the address people use; asked at each request, since a free port is known only after listening */
  publicUrl: () => string;
  /** true where no public address is set: pages may write by whatever name this server was reached */
  sameHost: boolean;
  /** true where people come by https */
  isSecure?: boolean;
  /** other addresses whose pages may write, such as the developers' page server */
  otherOrigins?: readonly string[];
  nightly: Nightly;
  operatorToken: string | null;
  /** the folder of the built interface; null serves none */
  pages: string | null;
  demoSignIns?: DemoSignIns;
  checkAnswers?: boolean;
  /** proxies whose word is taken for where a request comes from */
  trustProxy?: number | string[];
  tries?: Partial<TryLimits>;
  writesPerMinute?: number;
}

/** The largest body taken; a long note with every field full is well below it. */
const LARGEST_BODY = '256kb';

const HALF_A_YEAR_S = 15_768_000;

/** Pages load nothing from elsewhere and run no script but their own. */
const policyOf = (isSecure: boolean) =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'", (_request, response) => `'nonce-${(response as Response).locals.nonce}'`],
        styleSrc: ["'self'", (_request, response) => `'nonce-${(response as Response).locals.nonce}'`],
        imgSrc: ["'self'", 'data:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        formAction: ["'self'"],
        baseUri: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    // Who came by https once is not led back to plain http for half a year.
    strictTransportSecurity: isSecure && { maxAge: HALF_A_YEAR_S, includeSubDomains: false },
  });

const giveNonce: RequestHandler = (_request, response, next) => {
  response.locals.nonce = newNonce();
  next();
};

/** The whole program as one Express application. */
export function createApp(options: AppOptions): Express {
  const { store, version, publicUrl } = options;
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', false);
  app.set('query parser', 'simple');
  app.set('trust proxy', options.trustProxy ?? 0);
  app.use(giveNonce, policyOf(options.isSecure ?? false));
  app.use('/api', (_request, response, next) => {
    response.setHeader('cache-control', 'no-store');
    next();
  });
  app.use(
    '/api',
    ownPagesOnly(() => [publicUrl(), ...(options.otherOrigins ?? [])], options.sameHost),
  );
  app.use(compression());
  app.use(
    express.json({
      limit: LARGEST_BODY,
      strict: false,
      verify: (_request, _response, body) => {
        if (isTooDeep(body)) throw new Refusal('tooDeep');
      },
    }),
  );

  const tries = new PasswordTries({ ...usualLimits, ...options.tries });
  const handlers: Handlers = {
    health: apart(async () => {
      const database = await health();
      const backup = backupState(options.nightly);
      // A damaged database is not asked when it was last changed.
      const isReadable = database !== 'damaged' && database !== 'failing';
      return {
        version,
        database,
        backup,
        clockBehind: isReadable ? await clockBehind(store.manager, store.clock.now()) : null,
      };
    }),
    ...backupRoutes({ ...options, program: version }),
    openapi: async () => document,
    ...access(options.demoSignIns ?? [], tries),
    ...accountRoutes(tries),
    ...passwordLinkRoutes(store.dataDir, new PasswordTries(lettersAskedFor)),
    ...placeRoutes,
    ...cropRoutes,
    ...groundRoutes,
    ...peopleRoutes,
    ...seasonRoutes,
    ...workRoutes,
    ...logRoutes,
    ...harvestRoutes,
    ...eventRoutes,
  };
  const document = openapi(version);
  const health = stateOf(store);
  const binding: Binding = {
    store,
    publicUrl,
    checkAnswers: options.checkAnswers ?? false,
    follow: moveUpAfter,
    writes: new WriteAllowance(options.writesPerMinute ?? WRITES_PER_MINUTE),
  };
  bind(app, handlers, binding);
  app.use('/api', notFound);
  if (options.pages) servePages(app, options.pages, whoAndWhere(answersWithin(handlers, binding)));
  app.use(notFound);
  app.use(answerErrors(options.logger));
  return app;
}
