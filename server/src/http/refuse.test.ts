import express from 'express';
import { pino } from 'pino';
import { expect, it } from 'vitest';
import { answerErrors } from './refuse.ts';

/** Asks a program that fails, and gives what it answered and logged. */
async function failing(path: string, address: string, error: Error) {
  const logged: string[] = [];
  const app = express();
  app.get(path, (_request, response) => {
    response.setHeader('set-cookie', 'acre=secret-token');
    response.setHeader('x-change', 'a-change');
    throw error;
  });
  app.use(answerErrors(pino({}, { write: (line: string) => void logged.push(line) })));
  const server = await new Promise<import('node:http').Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  const { port } = server.address() as import('node:net').AddressInfo;
  const response = await fetch(`http://127.0.0.1:${port}${address}`);
  const answer = { status: response.status, headers: response.headers, text: await response.text() };
  server.close();
  return { answer, log: logged.join('') };
}

it('logs what nobody foresaw without the secrets in its address and its statement', async () => {
  const error = Object.assign(new Error('no such table'), {
    parameters: ['secret-value'],
    query: 'SELECT 1',
  });
  const { answer, log } = await failing('/api/calendar/:token', '/api/calendar/secret-token', error);
  expect(answer.status).toBe(500);
  expect(log).toContain('no such table');
  expect(log).toContain('/api/calendar/:token');
  expect(log).not.toContain('secret');
  expect(answer.text).not.toContain('no such table');
});

it('acknowledges nothing with a refusal: no sign-in, no change', async () => {
  const { answer } = await failing('/api/x', '/api/x', new Error('failed'));
  expect(answer.headers.get('set-cookie')).toBeNull();
  expect(answer.headers.get('x-change')).toBeNull();
});
