import type { Request } from 'express';
import type { Refusal } from './refusal.ts';

/**
 * What a client uploads, piece by piece, up to a size; nothing beyond it is read.
 * @param tooLarge makes the refusal of what is larger
 */
function takeStream(request: Request, most: number, tooLarge: () => Refusal): AsyncIterable<Buffer> {
  const refuse = (): Refusal => {
    // The rest of the upload is let fall unread, and the connection with it.
    request.res?.setHeader('connection', 'close');
    request.resume();
    return tooLarge();
  };
  if (Number(request.headers['content-length']) > most) throw refuse();
  return (async function* () {
    let size = 0;
    for await (const chunk of request as AsyncIterable<Buffer>) {
      size += chunk.length;
      if (size > most) throw refuse();
      yield chunk;
    }
  })();
}

/** What a client uploads, whole. */
export async function takeBytes(request: Request, most: number, tooLarge: () => Refusal): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of takeStream(request, most, tooLarge)) chunks.push(chunk);
  return Buffer.concat(chunks);
}
