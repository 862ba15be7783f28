import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express } from 'express';
import { Refusal } from './refusal.ts';

/** Where the built pages leave room for the nonce of a response. */
const NONCE = '__NONCE__';

/** Serves the built interface: files as they are, and its one page for every other address. */
export function servePages(app: Express, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', index: false, redirect: false }),
  );
  app.use(express.static(folder, { index: false, redirect: false, maxAge: '1h' }));
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
