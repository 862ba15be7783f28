import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { type RouteName, routes } from '@unity-acre/contract';
import { plainCatalogue } from '@unity-acre/core/crops';
import { findingKey } from '@unity-acre/core/season';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gardens } from '../place/entity.ts';
import { Harness, newId, observation, password, plainBed } from '../testing/harness.ts';
import { fillGarden, LARGE } from '../testing/largeGarden.ts';

/*
 * Nobody's request holds up everybody else's: in the largest garden, while every list is asked for and the largest files are read,
 * the main thread is never at one thing for longer than this.
 */
const LONGEST_MS = 50;
/** What another program on the machine held up is tried again so often. */
const TRIES = 3;

let harness: Harness;
let server: ChildProcess;
let url: string;
let cookie: string;
let gardenId: string;
let people: string[];
let beds: string[];

beforeAll(async () => {
  harness = await Harness.open();
  const garden = await harness.setUp();
  gardenId = garden.id;
  await fillGarden(harness.running.store, garden.id, LARGE);
  // In the thick of the season, with everything still to be done.
  await harness.running.store.write((manager) =>
    manager.update(gardens, { id: garden.id }, { setToday: '2026-05-20' }),
  );
  people = (await garden.ok('people')).map(({ id }) => id);
  beds = (await garden.ok('beds')).map(({ id }) => id);
  await harness.close(true);
  server = spawn(
    process.execPath,
    ['--import', 'tsx', join(import.meta.dirname, '../testing/watched.ts'), harness.dataDir],
    { stdio: ['ignore', 'inherit', 'inherit', 'ipc'] },
  );
  [{ url }] = (await once(server, 'message')) as [{ url: string }];
  const signedIn = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify({ email: 'cleo@example.org', password }),
  });
  cookie = signedIn.headers.getSetCookie()[0]!.split(';')[0]!;
  // What runs for the first time is compiled first: that is the program's start, not a request's.
  for (const [, path] of reading()) await ask('GET', path);
  await save(newId(), observation);
}, 180_000);
afterAll(() => {
  server.disconnect();
});

async function ask(method: string, path: string, body?: unknown, type = 'application/json') {
  const response = await fetch(url + path, {
    method,
    headers: { origin: url, cookie, 'content-type': type },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  const isStream = response.headers.get('content-type')?.includes('event-stream');
  const text = isStream ? '' : await response.text();
  if (isStream) await response.body?.cancel();
  return { status: response.status, text };
}

/** The longest stretch since this was asked last, ms of the main thread's own time. */
async function longest(): Promise<number> {
  await new Promise((resolve) => setTimeout(resolve, 20));
  const told = once(server, 'message');
  server.send('longest');
  const [{ longest: ms }] = (await told) as [{ longest: number }];
  return ms;
}

/**
 * How long a piece of work holds the thread, ms: the least of three times, since the runtime's own tidying up falls into one or
 * another.
 */
async function shortestOf(work: () => Promise<unknown>): Promise<number> {
  let shortest = Number.POSITIVE_INFINITY;
  for (let n = 0; n < TRIES && shortest > LONGEST_MS; n++) {
    await work();
    shortest = Math.min(shortest, await longest());
  }
  return shortest;
}

const queries: Partial<Record<RouteName, Record<string, string>>> = {
  plantings: { year: '2026' },
  consistency: { year: '2026' },
  wishes: { year: '2026' },
  tasks: { year: '2026' },
  hours: { year: '2026' },
  harvestTotals: { year: '2025' },
  frostWatch: { on: '2026-05-30', from: '09:00', to: '11:00' },
  entries: { limit: '500' },
  changes: { limit: '200' },
  cropFile: { format: 'csv' },
};

/** Every list of the contract, as an address. */
const reading = (): [RouteName, string][] =>
  (Object.keys(routes) as RouteName[])
    .filter(
      (name) =>
        routes[name].method === 'GET' &&
        !routes[name].path.includes(':id') &&
        !routes[name].path.includes(':token'),
    )
    // These look through all of a season again and again; they are asked of a thread in the same way as `consistency`.
    .filter((name) => !['remedies', 'rollOver', 'backup', 'gardenBackup'].includes(name))
    .map((name) => [
      name,
      `${routes[name].path.replace(':gardenId', gardenId).replace(':year', '2026')}?${new URLSearchParams(queries[name])}`,
    ]);

const inGarden = (path: string) => `/api/gardens/${gardenId}${path}`;
const save = (id: string, entry: object) => ask('PUT', inGarden(`/entries/${id}`), entry);

describe('no list holds the main thread', () => {
  it('of a garden of 520 beds and 190,000 entries, after something was logged', async () => {
    const held: Record<string, number> = {};
    for (const [name, path] of reading()) {
      held[name] = await shortestOf(async () => {
        expect((await save(newId(), observation)).status).toBe(200);
        await longest();
        const { status } = await ask('GET', path);
        expect(status, name).toBeLessThan(500);
      });
    }
    expect(Object.entries(held).filter(([, ms]) => ms > LONGEST_MS)).toEqual([]);
  }, 120_000);
});

const varietyIn = (cropId: string): string => plainCatalogue.crop(cropId)!.varieties[0]!.id;

const corners = (n: number) =>
  Array.from({ length: n }, (_, i) => [
    -88 + 1e-4 * Math.cos((2 * Math.PI * i) / n),
    44.5 + 1e-4 * Math.sin((2 * Math.PI * i) / n),
  ]);
const feature = (ring: number[][]) => ({
  type: 'Feature',
  properties: {},
  geometry: { type: 'Polygon', coordinates: [[...ring, ring[0]]] },
});
const geo = (features: object[]) => JSON.stringify({ type: 'FeatureCollection', features });

const files: [string, () => [string, string, unknown, string?]][] = [
  [
    'GeoJSON of one outline of 20,000 corners',
    () => ['POST', '/ground-file?dry=yes', geo([feature(corners(20_000))]), 'application/geo+json'],
  ],
  [
    'GeoJSON of five megabytes',
    () => [
      'POST',
      '/ground-file?dry=yes',
      geo(Array.from({ length: 800 }, () => feature(corners(150)))),
      'application/geo+json',
    ],
  ],
  [
    'CSV of crops of two megabytes',
    () => [
      'POST',
      '/crop-file?format=csv&check=yes',
      `id,inRow,betweenRows\n${Array.from({ length: 90_000 }, (_, i) => `crop-${i},0.1,0.3`).join('\n')}`,
      'text/csv',
    ],
  ],
  [
    'CSV of people of two hundred kilobytes',
    () => [
      'POST',
      '/people-file',
      {
        csv: `name,email\n${Array.from({ length: 5_000 }, (_, i) => `Person ${i},p${i}@example.org`).join('\n')}`,
        mapping: null,
        dry: true,
      },
    ],
  ],
  [
    'a station’s record of a century',
    () => ['POST', '/station-record?name=x', `DATE,TMIN,TMAX,PRCP\n${century()}`, 'text/csv'],
  ],
  ['a bed of width 1e-9', () => ['PUT', `/beds/${newId()}`, { ...plainBed, name: 'Thin', width: 1e-9 }]],
  [
    'a bed that is a sliver of a kilometre',
    () => [
      'PUT',
      `/beds/${newId()}`,
      {
        ...plainBed,
        name: newId(),
        form: 'polygon',
        width: 1000,
        length: 1000,
        points: [
          { x: 0, y: 0 },
          { x: 1000, y: 999.9 },
          { x: 1000, y: 1000 },
          { x: 0, y: 0.1 },
        ],
      },
    ],
  ],
  [
    'two hundred and fifty kilobytes of deep JSON',
    () => ['PUT', `/beds/${newId()}`, `${'['.repeat(120_000)}${']'.repeat(120_000)}`],
  ],
  [
    'a layout of ninety beds of two hundred corners',
    () => [
      'POST',
      '/layout',
      {
        landmarks: [],
        beds: Array.from({ length: 60 }, (_, n) => ({
          ...plainBed,
          id: newId(),
          version: null,
          name: `Round ${n}`,
          form: 'polygon',
          width: 2,
          length: 2,
          points: Array.from({ length: 200 }, (_, i) => ({
            x: 1 + Number(Math.cos(i / 31.83).toFixed(3)),
            y: 1 + Number(Math.sin(i / 31.83).toFixed(3)),
          })),
        })),
      },
    ],
  ],
  [
    'fifty-two sessions at once',
    () => [
      'POST',
      '/sessions',
      {
        sessions: Array.from({ length: 52 }, (_, i) => ({
          id: newId(),
          title: `S ${i}`,
          on: '2027-06-05',
          from: '09:00',
          to: '10:00',
          meetAt: '',
          leadId: null,
          capacity: 9,
          children: true,
          taskIds: [],
          note: '',
        })),
      },
    ],
  ],
];

function century(): string {
  const first = Date.UTC(1920, 0, 1);
  return Array.from({ length: 36_500 }, (_, i) => {
    const mean = 9 - 15 * Math.cos((2 * Math.PI * (i - 20)) / 365.25) + 3 * Math.sin(i * 1.7);
    const day = new Date(first + i * 86_400_000).toISOString().slice(0, 10);
    return `${day},${Math.round((mean - 6) * 10)},${Math.round((mean + 6) * 10)},${i % 3 === 0 ? 40 : 0}`;
  }).join('\n');
}

describe('no file or form of the largest size does', () => {
  it.each(files)(
    '%s',
    async (_, made) => {
      const held = await shortestOf(async () => {
        const [method, path, body, type] = made();
        await longest();
        const { status, text } = await ask(method, inGarden(path), body, type);
        expect(status, text.slice(0, 300)).toBeLessThan(500);
      });
      expect(held).toBeLessThanOrEqual(LONGEST_MS);
    },
    120_000,
  );
});

describe('no work of the largest size does', () => {
  /** Asks for something that must be given, and what was answered. */
  const done = async (method: string, path: string, body?: unknown) => {
    const { status, text } = await ask(method, inGarden(path), body);
    expect(status, `${method} ${path} ${text.slice(0, 300)}`).toBe(200);
    return JSON.parse(text);
  };
  /** Waits until work on a thread has ended. */
  const ended = async (path: string) => {
    for (let n = 0; n < 600; n++) {
      const job = await done('GET', path);
      if (job.state !== 'working') return job;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error(`${path} has not ended`);
  };
  /** Works that are done one after another, each held against the limit. */
  const held = async (works: Record<string, () => Promise<unknown>>) => {
    const times: Record<string, number> = {};
    const tooLong = () => Object.entries(times).filter(([, ms]) => ms > LONGEST_MS);
    for (let n = 0; n === 0 || (n < TRIES && tooLong().length > 0); n++) {
      for (const [name, work] of Object.entries(works)) {
        await longest();
        await work();
        times[name] = Math.min(times[name] ?? Number.POSITIVE_INFINITY, await longest());
      }
    }
    expect(tooLong()).toEqual([]);
  };

  it('a rota for everybody, begun, made and applied', async () => {
    let rota: { id: string };
    await held({
      makes: async () => {
        rota = await done('POST', '/rotas', { from: '2026-05-20', until: '2026-07-31', seconds: 5 });
      },
      solves: async () => expect((await ended(`/rotas/${rota.id}`)).state).toBe('done'),
      applies: () => done('POST', `/rotas/${rota.id}/application`, {}),
      undoes: async () => {
        const { changes } = await done('GET', '/changes?limit=1');
        await done('POST', `/changes/${changes[0].id}/undo`, {});
      },
    });
  }, 180_000);

  it('places for eight wishes in every bed', async () => {
    const crops = ['lettuce', 'carrot', 'pea', 'radish', 'beet', 'spinach', 'bush-bean', 'kale'];
    for (const cropId of crops)
      await done('PUT', `/wishes/${newId()}`, {
        ...{ year: 2027, cropId, varietyId: varietyIn(cropId), by: 'plants', amount: 500 },
        ...{ from: null, until: null, tenure: null, weight: 3, note: '' },
      });
    const begin = () => done('POST', '/proposals', { year: 2027, afresh: false, gap: 0.05, seconds: 5 });
    // What is begun ends what was begun before it.
    const begins = await shortestOf(begin);
    const solves = await shortestOf(async () => {
      const { id } = await begin();
      await longest();
      await ended(`/proposals/${id}`);
    });
    expect(Math.max(begins, solves), JSON.stringify({ begins, solves })).toBeLessThanOrEqual(LONGEST_MS);
  }, 180_000);

  it('two hundred plots for two hundred and fifty, drawn and given out', async () => {
    const plots = beds.slice(0, 200);
    for (const bedId of plots)
      await done('PUT', `/beds/${bedId}/tenure/2026`, { kind: 'plot', personId: null });
    for (const personId of people.slice(0, 250))
      await done('PUT', `/plot-applications/2026/${newId()}`, {
        ...{ year: 2026, personId, wishes: plots.slice(0, 5), since: '2026-01-01', onlyNamed: false },
        needs: { tall: false, nearWater: false, fullSun: false, leastArea: null, mostArea: null },
      });
    const draw = { rule: 'allAlike', seed: 'a bucket of beans' };
    const looks = await shortestOf(() => done('GET', `/allotments/2026/look?${new URLSearchParams(draw)}`));
    const given = { ...draw, method: 'draw', acceptBy: '2026-06-01' };
    const gives = await shortestOf(() => done('POST', '/allotments/2026', given));
    expect(Math.max(looks, gives), JSON.stringify({ looks, gives })).toBeLessThanOrEqual(LONGEST_MS);
  }, 180_000);

  it('somebody with a long history who is erased', async () => {
    const leaving = people.slice(-3);
    const versions = new Map<string, number>(
      (await done('GET', '/people')).map(({ id, version }: { id: string; version: number }) => [id, version]),
    );
    const erase = async () => {
      const person = leaving.pop()!;
      const response = await fetch(url + inGarden(`/people/${person}/retired`), {
        method: 'PUT',
        headers: {
          ...{ origin: url, cookie, 'content-type': 'application/json' },
          'if-match': String(versions.get(person)),
        },
        body: JSON.stringify({ retired: true }),
      });
      expect(response.status).toBe(200);
      await done('POST', `/people/${person}/erasure`, {});
    };
    expect(await shortestOf(erase)).toBeLessThanOrEqual(LONGEST_MS);
  }, 60_000);

  it('cloths for a frost that threatens every bed', async () => {
    // So that the garden's own forecast, whatever it is, threatens everything that is up.
    for (const cropId of ['pea', 'carrot', 'lettuce', 'radish', 'beet', 'spinach', 'bush-bean'])
      await done('PUT', `/crops/${newId()}`, {
        cropId,
        patch: { hardiness: 'frostTender', frostDamageC: -1 },
      });
    for (const length of [5, 6, 7])
      await done('PUT', `/tools/${newId()}`, { name: 'frostCloth', count: 100, width: 3.1, length });
    const watch = () =>
      done('GET', `/frost?${new URLSearchParams({ on: '2026-05-21', from: '17:00', to: '19:00' })}`);
    const { covers } = await watch();
    expect(covers.length).toBeGreaterThan(500);
    expect(covers.filter(({ sheet }: { sheet: object | null }) => sheet)).toHaveLength(300);
    expect(await shortestOf(watch)).toBeLessThanOrEqual(LONGEST_MS);
  }, 120_000);

  it('what a thread looks through a season for again and again, and a backup, while they are under way', async () => {
    const [finding] = await done('GET', '/consistency?year=2026');
    const paths = [
      `/remedies?${new URLSearchParams({ year: '2026', key: findingKey(finding) })}`,
      '/next-year?year=2026&by=family',
      '/backup',
    ];
    for (const path of paths) {
      // What takes minutes on its thread is not waited for: the main one has done its part by then.
      const underWay = shortestOf(async () => {
        const signal = AbortSignal.timeout(6_000);
        const response = await fetch(url + inGarden(path), { headers: { cookie }, signal }).catch(() => null);
        expect(response?.status ?? 200, path).toBe(200);
        await response?.arrayBuffer().catch(() => null);
      });
      expect(await underWay, path).toBeLessThanOrEqual(LONGEST_MS);
    }
  }, 120_000);
});
