import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  type AnswerOf,
  CHANGE_HEADER,
  type Problem,
  type Role,
  type RouteName,
  routes,
} from '@unity-acre/contract';
import type { BedInput } from '@unity-acre/contract/ground';
import type { EntryInput } from '@unity-acre/contract/log';
import type { PlantingInput } from '@unity-acre/contract/season';
import type { SessionInput } from '@unity-acre/contract/work';
import { pino } from 'pino';
import { v7 as newId } from 'uuid';
import type { SqliteDriver } from '../database/sqlite.ts';
import type { Clock } from '../database/store.ts';
import type { TryLimits } from '../http/tries.ts';
import { type Running, start } from '../start.ts';

export { newId };

/** Noon of a Wednesday in the third week of May, in the garden of the tests. */
const MAY_20 = Date.UTC(2026, 4, 20, 17);

export const gardenInput = {
  name: 'Test garden',
  latitude: 44.5,
  longitude: -88,
  timeZone: 'America/Chicago',
  units: 'imperial' as const,
  lastFrost: '05-10',
  firstFrost: '10-03',
  offsetC: 0,
};

/** What the operator of the test installations shows. */
export const OPERATOR_TOKEN = 'operator-token-of-the-tests';

export const password = 'correct horse battery';

export interface Answer<T> {
  status: number;
  body: T;
  problem: Problem;
  change: string | null;
  cookie: string | null;
  headers: Headers;
}

interface Ask {
  cookie?: string;
  params?: Record<string, string | number>;
  query?: Record<string, string | number>;
  body?: unknown;
  /** sent as it is, instead of `body` */
  raw?: string;
  ifMatch?: number;
  origin?: string | null;
}

interface HarnessOptions {
  /** false where it is measured how long answers take */
  checkAnswers?: boolean;
  dataDir?: string;
  tries?: Partial<TryLimits>;
  writesPerMinute?: number;
  publicUrl?: string;
  trustProxy?: number | string[];
  driver?: SqliteDriver;
  /** the folder of the built interface */
  pages?: string;
}

/** A server of its own on a free port, with a data folder of its own. */
export class Harness {
  private constructor(
    readonly running: Running,
    readonly dataDir: string,
    readonly clock: { time: number } & Clock,
  ) {}

  static async open(options: HarnessOptions = {}): Promise<Harness> {
    const dataDir = options.dataDir ?? mkdtempSync(join(tmpdir(), 'acre-'));
    const clock = { time: MAY_20, now: () => clock.time };
    const running = await start({
      settings: {
        port: 0,
        host: '127.0.0.1',
        dataDir,
        publicUrl: options.publicUrl ?? null,
        trustProxy: options.trustProxy ?? 0,
        operatorToken: OPERATOR_TOKEN,
      },
      version: 'test',
      pages: options.pages ?? null,
      logger: pino({ level: process.env.LOG ?? 'silent' }),
      clock,
      checkAnswers: options.checkAnswers ?? true,
      tries: options.tries ?? { perPair: 1000, perAddress: 100_000 },
      writesPerMinute: options.writesPerMinute ?? 1_000_000,
      ...(options.driver && { driver: options.driver }),
    });
    return new Harness(running, dataDir, clock);
  }

  async close(keepData = false): Promise<void> {
    await this.running.stop();
    if (!keepData) rmSync(this.dataDir, { recursive: true, force: true });
  }

  async ask<Name extends RouteName>(name: Name, ask: Ask = {}): Promise<Answer<AnswerOf<Name>>> {
    const { method, path } = routes[name];
    const filled = path.replace(/:(\w+)/g, (_, key) =>
      encodeURIComponent(String(ask.params?.[key] ?? newId())),
    );
    const query = new URLSearchParams(
      Object.entries(ask.query ?? {}).map(([key, value]): [string, string] => [key, String(value)]),
    );
    const headers = new Headers();
    if (ask.cookie) headers.set('cookie', ask.cookie);
    if (ask.ifMatch !== undefined) headers.set('if-match', `"${ask.ifMatch}"`);
    if (ask.origin !== null) headers.set('origin', ask.origin ?? this.running.url);
    const sends = method === 'PUT' || method === 'POST';
    if (sends) headers.set('content-type', 'application/json');
    const response = await fetch(`${this.running.url}${filled}${query.size ? `?${query}` : ''}`, {
      method,
      headers,
      body: sends ? (ask.raw ?? JSON.stringify(ask.body ?? {})) : null,
    });
    const type = response.headers.get('content-type');
    // A stream has no end to wait for.
    const isStream = type?.includes('event-stream');
    const text = isStream ? '' : await response.text();
    if (isStream) await response.body?.cancel();
    const body = type?.includes('json') ? JSON.parse(text) : text;
    return {
      status: response.status,
      body,
      problem: body,
      change: response.headers.get(CHANGE_HEADER),
      cookie: response.headers.getSetCookie()[0]?.split(';')[0] ?? null,
      headers: response.headers,
    };
  }

  /** A fresh installation with one garden and its coordinator signed in. */
  async setUp(): Promise<TestGarden> {
    const id = newId();
    const coordinatorId = newId();
    const answer = await this.ask('setUp', {
      body: {
        id,
        coordinator: { id: coordinatorId, name: 'Cleo Coordinator', email: 'cleo@example.org', password },
        garden: gardenInput,
      },
    });
    if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
    return new TestGarden(this, id, answer.cookie!, coordinatorId);
  }
}

/** A garden under test, with short ways to what most tests need. */
export class TestGarden {
  constructor(
    readonly harness: Harness,
    readonly id: string,
    readonly cookie: string,
    readonly coordinatorId: string,
  ) {}

  ask<Name extends RouteName>(name: Name, ask: Ask = {}): Promise<Answer<AnswerOf<Name>>> {
    return this.harness.ask(name, {
      cookie: this.cookie,
      ...ask,
      params: { gardenId: this.id, ...ask.params },
    });
  }

  /** Adds a person of a role who has joined, and signs them in. */
  async member(role: Role, name: string = role): Promise<{ id: string; cookie: string }> {
    const id = newId();
    const email = `${role.toLowerCase()}-${id.slice(-6)}@example.org`;
    await this.ok('savePerson', {
      params: { id },
      body: { name, email, role, household: '', headcount: 1, waitingSince: null },
    });
    const { address } = await this.ok('invite', { params: { id } });
    const token = address.split('/').at(-1)!;
    const joined = await this.harness.ask('join', { params: { token }, body: { password } });
    return { id, cookie: joined.cookie! };
  }

  /** Adds somebody who has no account. @returns their id */
  async person(name: string, over: object = {}): Promise<string> {
    const id = newId();
    const usual = { email: null, role: 'volunteer', household: '', headcount: 1, waitingSince: null };
    await this.ok('savePerson', { params: { id }, body: { name, ...usual, ...over } });
    return id;
  }

  async ok<Name extends RouteName>(name: Name, ask: Ask = {}): Promise<AnswerOf<Name>> {
    const answer = await this.ask(name, ask);
    if (answer.status !== 200) throw new Error(`${name}: ${JSON.stringify(answer.body)}`);
    return answer.body;
  }

  bed(over: Partial<BedInput> = {}, id = newId()) {
    const body = { ...plainBed, ...over };
    return this.ok('saveBed', { params: { id }, body });
  }

  planting(bedId: string, over: Partial<PlantingInput> = {}, id = newId()) {
    return this.ok('savePlanting', { params: { id }, body: { ...peas(bedId), ...over } });
  }

  session(over: Partial<SessionInput> = {}, id = newId()) {
    return this.ok('saveSession', { params: { id }, body: { ...saturday, ...over } });
  }

  entry(over: Partial<EntryInput>, id = newId()) {
    return this.ok('saveEntry', { params: { id }, body: { ...observation, ...over } });
  }
}

export const plainBed: BedInput = {
  name: 'Bed 7',
  kind: 'ground',
  form: 'rectangle',
  x: 0,
  y: 0,
  width: 1.2192,
  length: 7.3152,
  angle: 0,
  points: null,
  height: 0,
  soilDepth: null,
  offsetC: 0,
  note: '',
};

export const peas = (bedId: string): PlantingInput => ({
  cropId: 'pea',
  varietyId: 'snap',
  bedId,
  year: 2026,
  cropping: 'spring',
  method: 'sowInPlace',
  pattern: 'rows',
  width: 1.2192,
  length: 6.096,
  startOn: null,
  afterId: null,
  afterDays: null,
  betweenId: null,
  pinned: false,
  protection: 'none' as const,
  inRow: null,
  betweenRows: null,
  seedsPerHole: null,
  at: null,
  practices: {},
  note: '',
});

export const saturday: SessionInput = {
  title: 'Saturday work morning',
  on: '2026-05-23',
  from: '09:00',
  to: '11:30',
  meetAt: 'The tap',
  leadId: null,
  capacity: 12,
  children: true,
  taskIds: [],
  note: '',
};

export const observation: EntryInput = {
  kind: 'observation',
  on: '2026-05-20',
  plantingId: null,
  bedId: null,
  cropId: null,
  amount: null,
  destination: null,
  seedsFrom: null,
  note: 'Slugs on the lettuce',
};
