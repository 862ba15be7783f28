import {
  type AnswerOf,
  CHANGE_HEADER,
  type ParamsOf,
  type Problem,
  type QueryOf,
  type RouteName,
  type SentOf,
  type TableLine,
  table,
} from '@unity-acre/contract';

/** A request that was refused, or that never reached the garden. */
export class Refused extends Error {
  override name = 'Refused';
  constructor(
    readonly problem:
      | Pick<Problem, 'code' | 'errors' | 'current'>
      | { code: 'unreachable'; errors?: never; current?: never },
  ) {
    super(problem.code);
  }
}

export interface Ask<Name extends RouteName> {
  params?: ParamsOf<Name>;
  query?: QueryOf<Name>;
  body?: SentOf<Name>;
  /** the version of the row that the change is made to */
  ifMatch?: number | undefined;
}

export interface Told<Name extends RouteName> {
  data: AnswerOf<Name>;
  /** the change this write made, which can be undone */
  change: string | null;
}

/** Calls a route of the contract. @throws Refused */
export async function ask<Name extends RouteName>(
  name: Name,
  { params, query, body, ifMatch }: Ask<Name> = {},
): Promise<Told<Name>> {
  const { method, path }: TableLine = table[name];
  const values = (params ?? {}) as Record<string, unknown>;
  const address = path.replace(/:(\w+)/g, (_, key) => encodeURIComponent(String(values[key])));
  const given = Object.entries((query ?? {}) as Record<string, unknown>).filter(
    ([, value]) => value !== undefined,
  );
  const search = new URLSearchParams(given.map(([key, value]): [string, string] => [key, String(value)]));
  const headers: Record<string, string> = {};
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (ifMatch !== undefined) headers['if-match'] = `"${ifMatch}"`;
  let response: Response;
  let answer: unknown;
  try {
    response = await fetch(`${address}${search.size ? `?${search}` : ''}`, {
      method,
      headers,
      body: body === undefined ? null : JSON.stringify(body),
    });
    answer = await response.json();
  } catch {
    throw new Refused({ code: 'unreachable' });
  }
  if (!response.ok) throw new Refused(answer as Problem);
  return { data: answer as AnswerOf<Name>, change: response.headers.get(CHANGE_HEADER) };
}
