import { z } from 'zod';
import { splitCode } from './code.ts';
import fields from './fields.en.json' with { type: 'json' };
import words from './words.en.json' with { type: 'json' };

/** What went wrong in one field: a code, its limit where it has one, and the remedy in English. */
export const fieldError = z.object({
  field: z.string(),
  code: z.string(),
  limit: z.string().optional(),
  message: z.string(),
});
export type FieldError = z.infer<typeof fieldError>;

/** The closed set of problems, with their HTTP status. */
export const problems = {
  invalid: 422,
  notJson: 400,
  tooDeep: 400,
  tooLarge: 413,
  signedOut: 401,
  wrongPassword: 401,
  notAllowed: 403,
  wrongOrigin: 403,
  notFound: 404,
  stale: 409,
  rotaStale: 409,
  taken: 409,
  full: 409,
  calledOff: 409,
  sessionOver: 409,
  noChildren: 409,
  notOffered: 409,
  alreadyThere: 409,
  cannotUndo: 409,
  alreadySetUp: 409,
  inUse: 409,
  versionNeeded: 428,
  tooManyTries: 429,
  tooManyWrites: 429,
  unexpected: 500,
  databaseFull: 507,
  databaseReadOnly: 503,
  databaseDamaged: 503,
  notSaved: 503,
} as const;
export type ProblemCode = keyof typeof problems;

/** A Problem Details object (RFC 9457) as every error answer carries it. */
export const problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  code: z.enum(Object.keys(problems) as [ProblemCode, ...ProblemCode[]]),
  errors: z.array(fieldError).optional(),
  /** for a stale write: the row as it stands now, with its version */
  current: z.unknown().optional(),
});
export type Problem = z.infer<typeof problem>;

const inEnglish: Record<string, string> = fields;

export function fieldErrorOf(field: string, message: string): FieldError {
  const { code, limit } = splitCode(message);
  const text = (inEnglish[code] ?? inEnglish.wrongType ?? code).replace('{{limit}}', limit ?? '');
  return { field, code, ...(limit === undefined ? {} : { limit }), message: text };
}

/** The field errors of a failed parse, one for each issue, with dotted paths. */
export const fieldErrors = (error: z.ZodError): FieldError[] =>
  error.issues.map((issue) => fieldErrorOf(issue.path.join('.'), issue.message));

export function problemOf(
  code: ProblemCode,
  more: { errors?: FieldError[]; current?: unknown; detail?: string } = {},
): Problem {
  const { title, detail } = words.problem[code];
  return { type: `urn:unity-acre:problem:${code}`, title, status: problems[code], detail, code, ...more };
}
