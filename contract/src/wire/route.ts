import { z } from 'zod';

export const roles = ['coordinator', 'crewLead', 'volunteer', 'receiver'] as const;
export type Role = (typeof roles)[number];

/** Who may call a route: anyone at all, anyone signed in, or members of the garden in these roles. */
export type Audience = 'anyone' | 'signedIn' | readonly Role[];

export interface Route<
  Params extends z.ZodType = z.ZodType,
  Query extends z.ZodType = z.ZodType,
  Body extends z.ZodType = z.ZodType,
  Answer extends z.ZodType = z.ZodType,
> {
  method: 'GET' | 'PUT' | 'POST' | 'DELETE';
  /** Express path; a path with `:gardenId` belongs to that garden */
  path: string;
  may: Audience;
  summary: string;
  params: Params;
  query: Query;
  body: Body;
  answer: Answer;
  /** true where a change of an existing row must name its version in If-Match */
  versioned: boolean;
  /** the media type of the answer where it is not JSON */
  mediaType: string;
}

const nothing = z.object({});
/** The answer of a route that has nothing to say. */
export const done = z.object({ ok: z.literal(true) });

export function route<
  Params extends z.ZodType = typeof nothing,
  Query extends z.ZodType = typeof nothing,
  Body extends z.ZodType = typeof nothing,
  Answer extends z.ZodType = typeof done,
>(
  method: Route['method'],
  path: string,
  may: Audience,
  summary: string,
  parts: {
    params?: Params;
    query?: Query;
    body?: Body;
    answer?: Answer;
    versioned?: boolean;
    mediaType?: string;
  } = {},
): Route<Params, Query, Body, Answer> {
  return {
    method,
    path,
    may,
    summary,
    params: parts.params ?? (nothing as unknown as Params),
    query: parts.query ?? (nothing as unknown as Query),
    body: parts.body ?? (nothing as unknown as Body),
    answer: parts.answer ?? (done as unknown as Answer),
    versioned: parts.versioned ?? false,
    mediaType: parts.mediaType ?? 'application/json',
  };
}
