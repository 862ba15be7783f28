import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Express, RequestHandler } from 'express';
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

/** Serves the built interface: its files, and its one page for every other address. */
export function servePages(app: Express, folder: string): void {
  app.use('/assets', filesOf(join(folder, 'assets'), { immutable: true, maxAge: '1y' }));
  app.use(filesOf(folder, { maxAge: '1h' }));
  const file = join(folder, 'index.html');
  const page = existsSync(file) ? readFileSync(file, 'utf8') : null;
  app.get(/^\/(?!api\/|assets\/).*/, (_request, response) => {
    if (page === null) throw new Refusal('notFound');
    response
      .type('html')
      .setHeader('cache-control', 'no-store')
      .send(page.replaceAll(NONCE, response.locals.nonce as string));
  });
}

export const newNonce = (): string => randomBytes(16).toString('base64');
