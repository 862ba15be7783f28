import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Request, Response } from 'express';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Harness, newId, type TestGarden } from '../testing/harness.ts';
import { whoAndWhere } from './whoAndWhere.ts';

const pages = mkdtempSync(join(tmpdir(), 'acre-pages-'));
let harness: Harness;
let garden: TestGarden;
beforeAll(async () => {
  writeFileSync(join(pages, 'index.html'), '<head></head>');
  harness = await Harness.open({ pages });
  garden = await harness.setUp();
});
afterAll(async () => {
  await harness.close();
  rmSync(pages, { recursive: true });
});

async function broughtTo(cookie: string | null): Promise<Record<string, unknown>> {
  const page = await fetch(`${harness.running.url}/season`, { headers: cookie ? { cookie } : {} });
  const [, brought] = /id="brought">(.*?)<\/script>/.exec(await page.text())!;
  return JSON.parse(brought!);
}

it('brings to somebody who is signed in what they would be told if they asked', async () => {
  expect(await broughtTo(garden.cookie)).toEqual({
    '/api/me': await garden.ok('me'),
    [`/api/gardens/${garden.id}`]: await garden.ok('garden'),
  });
});

it('brings to each their own', async () => {
  const { cookie } = await garden.member('volunteer', 'Vera Volunteer');
  const brought = await broughtTo(cookie);
  expect(brought['/api/me']).toEqual((await harness.ask('me', { cookie })).body);
  expect(brought[`/api/gardens/${garden.id}`]).toEqual((await garden.ask('garden', { cookie })).body);
});

it.each([
  ['a stranger', null],
  ['a sign-in that is none', 'acre=made-up'],
])('brings no garden to %s', async (_, cookie) => {
  const brought = await broughtTo(cookie);
  expect(Object.keys(brought)).toEqual(['/api/me']);
  expect(brought['/api/me']).toMatchObject({ memberships: [] });
});

it('leaves it to somebody of two gardens which one they ask for', async () => {
  const me = { memberships: [{ gardenId: newId() }, { gardenId: newId() }] };
  const answer = async (name: string) => (name === 'me' ? me : {});
  const request = {} as Request;
  expect(await whoAndWhere(answer)(request, {} as Response)).toEqual({ '/api/me': me });
});
