import { rateLimit } from 'express-rate-limit';
import { Refusal } from './refusal.ts';

const QUARTER_OF_AN_HOUR_MS = 15 * 60_000;

/**
 * Limits failed tries at a password, by address of the caller. Counted in this process; several processes would share a
 * store here.
 */
export const fewTries = (limit: number) =>
  rateLimit({
    windowMs: QUARTER_OF_AN_HOUR_MS,
    limit,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, _response, next) => next(new Refusal('tooManyTries')),
  });
