import { memberOf, signInOf, whoAsks } from '../crew/caller.ts';
import { listeners } from '../database/listeners.ts';
import { apart, type Handlers } from './handle.ts';
import { keepStream } from './streams.ts';

/** A line now and then, so that nothing between here and the browser takes the stream for dead. */
const ALIVE_MS = 25_000;

/**
 * Server-sent events: a line "changed" with the kinds of rows that were touched, whenever another client changed something
 * of the garden. What they say is read by the usual routes, so that nobody is told more than they may know. A stream ends
 * with the sign-in and the membership it was opened by.
 */
export const eventRoutes: Pick<Handlers, 'events'> = {
  events: apart(async ({ params, query, member, request, response, store }) => {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      // Without this the answer is held back to be compressed.
      'cache-control': 'no-store, no-transform',
    });
    response.write('retry: 3000\n\n');
    const mayListen = async (): Promise<boolean> => {
      const caller = await whoAsks(store, request);
      return caller !== null && (await memberOf(store, caller, params.gardenId)) !== null;
    };
    const write = (line: string) => {
      if (!response.writableEnded) response.write(line);
    };
    const say = async (line: string) => {
      if (await mayListen()) write(line);
      else response.end();
    };
    const saying = (line: string) => () => void say(line).catch(() => response.end());
    const signIn = await signInOf(store, request);
    keepStream({ response, tokenHash: signIn?.tokenHash ?? '', personId: member.person.id });
    const stop = listeners.listen(params.gardenId, ({ kinds, client }) => {
      if (client === null || client !== query.client) write(`event: changed\ndata: ${kinds.join()}\n\n`);
    });
    // Whoever is put out is cut off at once; a sign-in that runs out is seen here.
    const alive = setInterval(saying(': alive\n\n'), ALIVE_MS);
    response.on('close', () => {
      stop();
      clearInterval(alive);
    });
    return null;
  }),
};
