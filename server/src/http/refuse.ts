import { CHANGE_HEADER } from '@unity-acre/contract';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { Refusal } from './refusal.ts';

const methodsThatWrite = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/**
 * Writes are taken only from this installation's own pages: browsers always name where a write comes from.
 * @param origins addresses whose pages may write
 * @param sameHost true where no public address is set, so that pages are this server's own by whatever name it was reached
 */
export const ownPagesOnly =
  (origins: () => readonly string[], sameHost: boolean): RequestHandler =>
  (request, _response, next) => {
    const { origin, host } = request.headers;
    const own = origins().includes(String(origin)) || (sameHost && origin === `http://${host}`);
    if (methodsThatWrite.has(request.method) && !own) throw new Refusal('wrongOrigin');
    next();
  };

export const notFound: RequestHandler = () => {
  throw new Refusal('notFound');
};

/** Answers every error as Problem Details. What nobody foresaw is logged and told apart. */
export const answerErrors =
  (logger: Logger): ErrorRequestHandler =>
  (error, request, response, _next) => {
    const refusal = refusalOf(error);
    // The route, not the address: some addresses are secrets. Of the error its words, not the values of its statement.
    if (!refusal) {
      const { name, message, stack } = error as Error;
      const route = String(request.route?.path ?? 'no route');
      logger.error({ error: { name, message, stack }, method: request.method, route }, 'request failed');
    }
    const problem = (refusal ?? new Refusal('unexpected')).problem;
    if (response.headersSent) {
      response.end();
      return;
    }
    // What was to be acknowledged was not: no sign-in and no change goes with the refusal.
    response.removeHeader('set-cookie');
    response.removeHeader(CHANGE_HEADER);
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  };

function refusalOf(error: unknown): Refusal | null {
  if (error instanceof Refusal) return error;
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large') return new Refusal('tooLarge');
  if (type === 'entity.parse.failed' || status === 400) return new Refusal('notJson');
  if (status === 404) return new Refusal('notFound');
  if (status === 413) return new Refusal('tooLarge');
  return status !== undefined && status >= 400 && status < 500 ? new Refusal('notJson') : null;
}
