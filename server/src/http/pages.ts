import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import type { Express, Request, RequestHandler, Response } from 'express';
import serveCompressed from 'express-static-gzip';
import { Refusal } from './refusal.ts';

/** Where the built pages leave room for the nonce of a response. */
const NONCE = '__NONCE__';

/** Files of a folder as they are, or as they were compressed when they were built. */
const filesOf = (folder: string, options: { maxAge: string; immutable?: boolean }): RequestHandler =>
  serveCompressed(folder, {
    enableBrotli: true,
    index: false,
    serveStatic: { redirect: false, ...options },
  });

/** What a page is given along with it: answers, by the address they would be asked at. */
export type BringsAlong = (request: Request, response: Response) => Promise<Record<string, unknown>>;

/** A page is not held up for longer than it would take to ask for what it brings, milliseconds. */
const BRINGS_WITHIN_MS = 150;

/** Data in a page of its own: nothing in it can end the element it stands in. */
const asElement = (brought: Record<string, unknown>): string =>
  `<script type="application/json" id="brought">${JSON.stringify(brought).replaceAll('<', '\\u003c')}</script>`;

/** Serves the built interface: its files, and its one page for every other address, with what whoever asks will ask first. */
export function servePages(app: Express, folder: string, bringsAlong: BringsAlong): void {
  app.use('/assets', filesOf(join(folder, 'assets'), { immutable: true, maxAge: '1y' }));
  app.use(filesOf(folder, { maxAge: '1h' }));
  const file = join(folder, 'index.html');
  const page = existsSync(file) ? readFileSync(file, 'utf8') : null;
  app.get(/^\/(?!api\/|assets\/).*/, async (request, response) => {
    if (page === null) throw new Refusal('notFound');
    // Whatever keeps an answer from being brought along is said where it is asked for.
    const brought = await Promise.race([
      bringsAlong(request, response).catch(() => ({})),
      setTimeout(BRINGS_WITHIN_MS, {}, { ref: false }),
    ]);
    response
      .type('html')
      .setHeader('cache-control', 'no-store')
      .send(
        page
          .replaceAll(NONCE, response.locals.nonce as string)
          .replace('<head>', () => `<head>${asElement(brought)}`),
      );
  });
}

export const newNonce = (): string => randomBytes(16).toString('base64');
