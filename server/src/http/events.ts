import type { Response } from 'express';
import { listeners } from '../database/listeners.ts';
import { apart, type Handlers } from './handle.ts';

/** A line now and then, so that nothing between here and the browser takes the stream for dead. */
const ALIVE_MS = 25_000;

const streams = new Set<Response>();

/** Ends all streams, so that the program can stop. */
export function endStreams(): void {
  for (const response of streams) response.end();
}

/**
 * Server-sent events: a line "changed" whenever something of the garden changed. What changed is read by the usual routes,
 * so that nobody is told more than they may know.
 */
export const eventRoutes: Pick<Handlers, 'events'> = {
  events: apart(async ({ params, response }) => {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      // Without this the answer is held back to be compressed.
      'cache-control': 'no-store, no-transform',
    });
    response.write('retry: 3000\n\n');
    streams.add(response);
    const stop = listeners.listen(params.gardenId, () => response.write('event: changed\ndata: \n\n'));
    const alive = setInterval(() => response.write(': alive\n\n'), ALIVE_MS);
    response.on('close', () => {
      stop();
      clearInterval(alive);
      streams.delete(response);
    });
    return null;
  }),
};
