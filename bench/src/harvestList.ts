import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoSignIns, gardenId, loadDemo } from '@unity-acre/demo';
import { openStore, readSettings, start } from '@unity-acre/server';
import autocannon from 'autocannon';
import Database from 'better-sqlite3';
import express from 'express';
import { pino } from 'pino';
import { sized } from './size.ts';

/*
 * Lists 500 harvest entries over HTTP, side by side with a bare Express and better-sqlite3 server that reads the same
 * rows of the same file and answers with the same bytes. Rounds alternate, so that both meet the same machine.
 */

const ROUNDS = sized(5, 1);
const SECONDS = sized(4, 1);
const CONNECTIONS = 8;
const WANTED = 0.8;

const dataDir = mkdtempSync(join(tmpdir(), 'acre-bench-'));
const store = await openStore(dataDir);
await loadDemo(store);
const ours = await start({
  settings: readSettings({ PORT: '0', DATA_DIR: dataDir }),
  store,
  version: 'bench',
  pages: null,
  logger: pino({ level: 'silent' }),
});
const coordinator = demoSignIns[0]!;
const signedIn = await fetch(`${ours.url}/api/sign-in`, {
  method: 'POST',
  headers: { 'content-type': 'application/json', origin: ours.url },
  body: JSON.stringify({ email: coordinator.email, password: coordinator.password }),
});
const cookie = signedIn.headers.getSetCookie()[0]!.split(';')[0]!;
const path = `/api/gardens/${gardenId}/entries?kind=harvest&limit=500`;

const database = new Database(join(dataDir, 'unity-acre.sqlite'), { readonly: true });
const select = database.prepare(
  `SELECT entry.*, person.name AS byName FROM entry JOIN person ON person.id = entry.personId
   WHERE entry.gardenId = ? AND entry.kind = 'harvest' ORDER BY onDay DESC, entry.id DESC LIMIT 501`,
);
interface BareRow {
  [column: string]: unknown;
}
const bare = express().get(path.split('?')[0]!, (_request, response) => {
  const rows = select.all(gardenId) as BareRow[];
  const page = rows.slice(0, 500);
  const last = page.at(-1)!;
  response.json({
    entries: page.map((row) => ({
      id: row.id,
      version: row.version,
      kind: row.kind,
      on: row.onDay,
      plantingId: row.plantingId,
      bedId: row.bedId,
      cropId: row.cropId,
      amount: row.amountUnit === null ? null : { value: row.amountValue, unit: row.amountUnit },
      grams: row.grams,
      destination: row.destination,
      seedsFrom: typeof row.seedsFrom === 'string' ? JSON.parse(row.seedsFrom) : null,
      note: row.note,
      personId: row.personId,
      by: row.byName,
      loggedAt: row.loggedAt,
      taskId: row.taskId,
      share: row.share,
      minutes: row.minutes,
      people: typeof row.people === 'string' ? JSON.parse(row.people) : [],
    })),
    next: rows.length > 500 ? `${last.onDay}_${last.id}` : null,
  });
});
const bareServer = await new Promise<import('node:http').Server>((resolve) => {
  const listening = bare.listen(0, '127.0.0.1', () => resolve(listening));
});
const bareUrl = `http://127.0.0.1:${(bareServer.address() as import('node:net').AddressInfo).port}`;

const [a, b] = await Promise.all(
  [ours.url, bareUrl].map(async (url) => (await fetch(url + path, { headers: { cookie } })).text()),
);
if (a !== b) throw new Error('the two servers do not answer with the same bytes');
if (JSON.parse(a!).entries.length !== 500) throw new Error('there are not 500 harvests to list');

const load = async (url: string): Promise<number> => {
  const { requests } = await autocannon({
    url: url + path,
    headers: { cookie },
    duration: SECONDS,
    connections: CONNECTIONS,
  });
  return requests.average;
};
await load(ours.url);
await load(bareUrl);
const ratios: number[] = [];
for (let round = 1; round <= ROUNDS; round++) {
  const mine = await load(ours.url);
  const theirs = await load(bareUrl);
  ratios.push(mine / theirs);
  console.log(
    `round ${round}: Unity Acre ${mine.toFixed(0)}/s, bare ${theirs.toFixed(0)}/s, ratio ${(mine / theirs).toFixed(2)}`,
  );
}
const median = [...ratios].sort((x, y) => x - y)[Math.floor(ROUNDS / 2)]!;
console.log(
  `\n500 harvest entries, ${(a!.length / 1024).toFixed(0)} KB: median ratio ${median.toFixed(2)} (wanted: ${WANTED} or more)`,
);

database.close();
await new Promise((resolve) => bareServer.close(resolve));
await ours.stop();
rmSync(dataDir, { recursive: true, force: true });
