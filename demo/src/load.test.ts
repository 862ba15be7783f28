import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStore, readSettings, type Store, start } from '@unity-acre/server';
import { pino } from 'pino';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { hasDemo, loadDemo } from './load.ts';
import { gardenId } from './place.ts';
import { demoSignIns } from './signIns.ts';

let folder: string;
let store: Store;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'acre-demo-'));
  store = await openStore(folder);
  await loadDemo(store);
});
afterAll(async () => {
  await store.close();
  rmSync(folder, { recursive: true, force: true });
});

it('is loaded once', async () => {
  expect(await hasDemo(store)).toBe(true);
  await expect(loadDemo(store)).rejects.toThrow();
});

it('answers every list of the contract as the contract says, for everyone who may sign in', async () => {
  const running = await start({
    settings: readSettings({ PORT: '0', DATA_DIR: folder }),
    store,
    version: 'test',
    pages: null,
    logger: pino({ level: 'silent' }),
    checkAnswers: true,
  });
  for (const { email, password, role } of demoSignIns) {
    const signedIn = await fetch(`${running.url}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: running.url },
      body: JSON.stringify({ email, password }),
    });
    expect(signedIn.status, email).toBe(200);
    const cookie = signedIn.headers.getSetCookie()[0]!.split(';')[0]!;
    const lists = ['', '/beds', '/landmarks', '/harvest-totals?year=2025'];
    if (role !== 'receiver')
      lists.push(
        '/plantings?year=2026',
        '/plantings?year=2023',
        '/tasks?from=2026-01-01',
        '/sessions',
        '/entries?limit=500',
      );
    for (const list of lists) {
      const response = await fetch(`${running.url}/api/gardens/${gardenId}${list}`, { headers: { cookie } });
      expect(response.status, list).toBe(200);
    }
  }
  await running.stop();
});
