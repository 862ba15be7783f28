import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { checkCatalogue } from '@unity-acre/core/crops';
import { type Logger, pino } from 'pino';
import { type AppOptions, createApp } from './app.ts';
import { keepBackups, type Nightly } from './backup/nightly.ts';
import { forgetRemoved } from './crew/index.ts';
import type { SqliteDriver } from './database/sqlite.ts';
import { type Clock, openStore, type Store } from './database/store.ts';
import { endStreams } from './http/streams.ts';
import { repeat } from './repeat.ts';
import { proposals } from './season/index.ts';
import type { Settings } from './settings.ts';
import { remindByTheClock, rotas } from './work/index.ts';

export interface Running {
  /** the address people use */
  url: string;
  /** the port it listens on */
  port: number;
  store: Store;
  nightly: Nightly;
  /** Stops taking requests, lets those under way end, closes the database. */
  stop(): Promise<void>;
}

export interface StartOptions
  extends Partial<
    Pick<AppOptions, 'demoSignIns' | 'checkAnswers' | 'tries' | 'writesPerMinute' | 'otherOrigins'>
  > {
  settings: Settings;
  version: string;
  pages: string | null;
  logger?: Logger;
  clock?: Clock;
  /** SQLite's driver, where a test gives one that fails */
  driver?: SqliteDriver;
  /** an open database, where the caller has one already */
  store?: Store;
}

/** How long requests under way may take to end when the program stops. */
const GRACE_MS = 3_000;
/** How often it is looked whether there is anybody to remind, and anybody to forget. */
const REMIND_EVERY_MS = 5 * 60_000;
const FORGET_EVERY_MS = 60 * 60_000;

/**
 * Opens the database and serves everything from one process on one port.
 * @throws UnusableDatabase, or the listening error (a port in use)
 */
export async function start(options: StartOptions): Promise<Running> {
  const { settings } = options;
  const logger = options.logger ?? pino({ level: 'info' });
  checkCatalogue();
  const store =
    options.store ?? (await openStore(settings.dataDir, { clock: options.clock, driver: options.driver }));
  let server: Server;
  const url = () => {
    if (settings.publicUrl) return settings.publicUrl;
    const { port } = server.address() as AddressInfo;
    const host = ['0.0.0.0', '::'].includes(settings.host) ? 'localhost' : settings.host;
    return `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
  };
  const nightly = keepBackups(store, options.version, logger);
  const app = createApp({
    ...options,
    store,
    logger,
    nightly,
    publicUrl: url,
    operatorToken: settings.operatorToken,
    sameHost: settings.publicUrl === null,
    isSecure: settings.publicUrl?.startsWith('https:') ?? false,
    trustProxy: settings.trustProxy,
  });
  try {
    server = await new Promise<Server>((resolve, reject) => {
      const listening = app.listen(settings.port, settings.host, (error?: Error) =>
        error ? reject(error) : resolve(listening),
      );
    });
  } catch (error) {
    await nightly.end();
    await store.close();
    throw error;
  }
  const endReminding = repeat(() => remindByTheClock(store), REMIND_EVERY_MS, logger);
  const endForgetting = repeat(() => forgetRemoved(store), FORGET_EVERY_MS, logger);
  return {
    url: url(),
    port: (server.address() as AddressInfo).port,
    store,
    nightly,
    async stop() {
      const closed = new Promise((resolve) => server.close(resolve));
      endStreams();
      server.closeIdleConnections();
      const grace = setTimeout(() => server.closeAllConnections(), GRACE_MS);
      proposals.close();
      rotas.close();
      const ended = nightly.end();
      await Promise.all([ended, endReminding(), endForgetting()]);
      await closed;
      clearTimeout(grace);
      await store.close();
    },
  };
}

/** Stops once on Ctrl-C or a polite kill; a second Ctrl-C ends at once. */
export function stopOnSignals(running: Running): void {
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      if (stopping) process.exit(130);
      stopping = true;
      running.stop().then(
        () => process.exit(0),
        () => process.exit(1),
      );
    });
  }
}
