import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { Harness, type TestGarden } from '../../server/src/testing/harness.ts';
import { fillGarden, LARGE } from '../../server/src/testing/largeGarden.ts';
import { isSmall, sized } from './size.ts';

/*
 * A season of 1,000 plantings in 520 beds with 190,000 entries: what an unchanged season costs beside sending the same bytes from
 * memory, what one entry costs, and how long forty open screens wait while people sign up.
 */

const ROUNDS = sized(15, 2);
const SCREENS = sized(40, 3);
const WANTED_UNCHANGED = 1.5;
const WANTED_P95_MS = 150;
/** After an entry elsewhere, with everything that stands kept. */
const WANTED_TASKS_MS = 100;
const WANTED_CARDS_MS = 50;

const size = isSmall ? { beds: 20, people: 20, plantings: 40, entries: 2_000, sessions: 6 } : LARGE;
const harness = await Harness.open({ checkAnswers: false });
const garden = await harness.setUp();
await fillGarden(harness.running.store, garden.id, size);

const path = `/api/gardens/${garden.id}/plantings?year=2026`;
const headers = { cookie: garden.cookie };
const read = async (url: string) => {
  const begun = performance.now();
  const bytes = await (await fetch(url, { headers })).arrayBuffer();
  return { ms: performance.now() - begun, bytes };
};
const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
const at = (list: number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.floor((list.length - 1) * share)]!;

const cold = await read(harness.running.url + path);
const memory = await serving(Buffer.from(cold.bytes));
const memoryUrl = `http://127.0.0.1:${(memory.address() as AddressInfo).port}/`;
const unchanged: number[] = [];
const bare: number[] = [];
const changed: number[] = [];
for (let round = 0; round < ROUNDS; round++) {
  bare.push((await read(memoryUrl)).ms);
  unchanged.push((await read(harness.running.url + path)).ms);
  await garden.entry({});
  changed.push((await read(harness.running.url + path)).ms);
}
const ratio = median(unchanged) / median(bare);
console.log(
  `plantings, ${(cold.bytes.byteLength / 1e6).toFixed(1)} MB: first ${cold.ms.toFixed(0)} ms, unchanged ${median(unchanged).toFixed(0)} ms, from memory ${median(bare).toFixed(0)} ms, ratio ${ratio.toFixed(2)} (wanted: ${WANTED_UNCHANGED} or less)`,
);
console.log(
  `after one entry ${median(changed).toFixed(0)} ms, ${(median(changed) / cold.ms).toFixed(2)} of the first time`,
);

await workOf('tasks of two weeks', 'tasks?from=2026-05-18&until=2026-05-31', WANTED_TASKS_MS);
const open = await garden.ok('tasks', { query: { from: '2026-05-23', until: '2026-05-23' } });
const { id: filled } = await garden.session({
  on: '2026-07-25',
  taskIds: open
    .filter(({ kind }) => kind !== 'keepMoist')
    .slice(0, sized(40, 4))
    .map(({ id }) => id),
});
await workOf('cards of a session of 40 tasks', `sessions/${filled}/cards`, WANTED_CARDS_MS);

const waits = await signingUp(garden);
console.log(
  `${SCREENS} open screens, ${waits.length} sign-ups and lists: p50 ${at(waits, 0.5).toFixed(0)} ms, p95 ${at(waits, 0.95).toFixed(0)} ms (wanted: ${WANTED_P95_MS} or less)`,
);

memory.close();
await harness.close();

/** How long a list of work takes: for the first time, unchanged, and after an entry, which moves none of it. */
async function workOf(what: string, list: string, wanted: number): Promise<void> {
  const url = `${harness.running.url}/api/gardens/${garden.id}/${list}`;
  const first = await read(url);
  const again: number[] = [];
  const after: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    again.push((await read(url)).ms);
    await garden.entry({});
    after.push((await read(url)).ms);
  }
  console.log(
    `${what}, ${(first.bytes.byteLength / 1e6).toFixed(2)} MB: first ${first.ms.toFixed(0)} ms, unchanged ${median(again).toFixed(0)} ms, after one entry ${median(after).toFixed(0)} ms (wanted: ${wanted} or less), ${(median(after) / median(bare)).toFixed(1)} times the season's plantings from memory`,
  );
}

/** The same bytes, as they go over the wire, from memory. */
async function serving(bytes: Buffer): Promise<Server> {
  const zipped = gzipSync(bytes, { level: 4 });
  const server = createServer((_request, response) => {
    response.writeHead(200, { 'content-type': 'application/json', 'content-encoding': 'gzip' });
    response.end(zipped);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return server;
}

/** Screens that listen and ask for the sessions at every change, while people sign up one after another. */
async function signingUp({ id: gardenId, cookie }: TestGarden): Promise<number[]> {
  const times: number[] = [];
  const timed = async (work: () => Promise<unknown>) => {
    const begun = performance.now();
    await work();
    times.push(performance.now() - begun);
  };
  const session = await garden.session({ capacity: 200 });
  const persons = (await garden.ok('people')).slice(0, SCREENS);
  const url = `${harness.running.url}/api/gardens/${gardenId}`;
  const streams = await Promise.all(
    Array.from({ length: SCREENS }, () => fetch(`${url}/events`, { headers: { cookie } })),
  );
  for (const { id: personId } of persons) {
    await timed(() => garden.ok('signUp', { params: { id: session.id, personId } }));
    // Every fourth screen looks again at once, as people do who have it open.
    await Promise.all(
      streams
        .filter((_, i) => i % 4 === 0)
        .map(() =>
          timed(() =>
            fetch(`${url}/sessions?from=2026-05-18&until=2026-08-31`, { headers: { cookie } }).then((r) =>
              r.arrayBuffer(),
            ),
          ),
        ),
    );
  }
  await Promise.all(streams.map((stream) => stream.body?.cancel()));
  return times;
}
