import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import express from 'express';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { servePages } from './pages.ts';

const script = 'export const bed = "Bed 7";';
const folder = mkdtempSync(join(tmpdir(), 'acre-pages-'));
let url: string;
let close: () => void;
beforeAll(async () => {
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<head><script nonce="__NONCE__"></script></head>');
  writeFileSync(join(folder, 'assets/start-1.js'), script);
  writeFileSync(join(folder, 'assets/start-1.js.br'), brotliCompressSync(script));
  const app = express();
  app.use((_request, response, next) => {
    response.locals.nonce = 'once';
    next();
  });
  servePages(app, folder, async ({ path }) => {
    if (path === '/fails') throw new Error('locked');
    if (path === '/waits') await new Promise(() => undefined);
    return { '/api/me': { name: 'Ana </script><script>$& "Bed 7"' } };
  });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((listening) => server.once('listening', listening));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  close = () => server.close();
});
afterAll(() => {
  close();
  rmSync(folder, { recursive: true });
});

it.each([
  ['gzip, deflate, br', 'br'],
  ['identity', null],
])('gives files as they were compressed to whoever takes %s', async (accepted, encoding) => {
  const answer = await fetch(`${url}/assets/start-1.js`, { headers: { 'accept-encoding': accepted } });
  expect(answer.headers.get('content-encoding')).toBe(encoding);
  expect(answer.headers.get('content-type')).toContain('javascript');
  expect(answer.headers.get('cache-control')).toContain('immutable');
  expect(await answer.text()).toBe(script);
});

it('gives its one page for every address, with a nonce, never kept, and none for a file that is not there', async () => {
  const page = await fetch(`${url}/season/next`);
  expect(await page.text()).toContain('</script><script nonce="once"></script></head>');
  expect(page.headers.get('cache-control')).toBe('no-store');
  expect((await fetch(`${url}/assets/gone.js`)).status).toBe(404);
});

/** What a page brings along, and its text. */
async function pageAt(path: string): Promise<{ brought: unknown; text: string }> {
  const text = await (await fetch(url + path)).text();
  const [, brought] = /<script type="application\/json" id="brought">(.*?)<\/script>/.exec(text)!;
  return { brought: JSON.parse(brought!), text };
}

it('brings answers along as data that cannot end its element, whatever is in them', async () => {
  const { brought, text } = await pageAt('/season');
  expect(brought).toEqual({ '/api/me': { name: 'Ana </script><script>$& "Bed 7"' } });
  expect(text.match(/<script/g)).toHaveLength(2);
});

it.each(['/fails', '/waits'])('comes without them where asking for them %s', async (path) => {
  expect((await pageAt(path)).brought).toEqual({});
});
