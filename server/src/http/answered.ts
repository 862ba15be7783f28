import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { Request, Response } from 'express';

const zip = promisify(gzip);
/** Below this many characters a compressed answer is no smaller worth speaking of. */
const WORTH_ZIPPING = 1_024;

/** An answer as the JSON that is sent, compressed once however often it is. */
export class Answered {
  #zipped: Promise<Buffer> | null = null;

  constructor(readonly json: string) {}

  async send(request: Request, response: Response): Promise<void> {
    response.type('json');
    if (this.json.length < WORTH_ZIPPING || !request.acceptsEncodings('gzip')) {
      response.send(this.json);
      return;
    }
    this.#zipped ??= zip(this.json, { level: 4 });
    response.vary('accept-encoding').setHeader('content-encoding', 'gzip');
    response.send(await this.#zipped);
  }
}
