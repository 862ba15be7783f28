import { z } from 'zod';
import type { Audience, Method } from './audience.ts';

/** What goes into a route and what comes out. */
export interface Shapes<
  Params extends z.ZodType = z.ZodType,
  Query extends z.ZodType = z.ZodType,
  Body extends z.ZodType = z.ZodType,
  Answer extends z.ZodType = z.ZodType,
> {
  params: Params;
  query: Query;
  body: Body;
  answer: Answer;
  /** the media type of the answer where it is not JSON */
  mediaType: string;
  /** the media type of what is sent where it is not JSON: a file, read as it arrives */
  bodyType: string;
}

export interface Route extends Shapes {
  method: Method;
  path: string;
  may: Audience;
  summary: string;
  versioned: boolean;
}

/** The cookie that carries a sign-in. */
export const SESSION_COOKIE = 'acre';

const nothing = z.object({});
/** The answer of a route that has nothing to say. */
const done = z.object({ ok: z.literal(true) });

export const shape = <
  Params extends z.ZodType = typeof nothing,
  Query extends z.ZodType = typeof nothing,
  Body extends z.ZodType = typeof nothing,
  Answer extends z.ZodType = typeof done,
>(
  parts: Partial<Shapes<Params, Query, Body, Answer>>,
): Shapes<Params, Query, Body, Answer> => ({
  params: parts.params ?? (nothing as unknown as Params),
  query: parts.query ?? (nothing as unknown as Query),
  body: parts.body ?? (nothing as unknown as Body),
  answer: parts.answer ?? (done as unknown as Answer),
  mediaType: parts.mediaType ?? 'application/json',
  bodyType: parts.bodyType ?? 'application/json',
});
