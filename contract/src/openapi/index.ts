import type { z } from 'zod';
import { routes } from '../routes.ts';
import { CHANGE_HEADER, type RouteName } from '../table.ts';
import { CLIENT_HEADER, TOUCHED_HEADER } from '../touched.ts';
import { type ProblemCode, problem, problemOf, problems, type Route, SESSION_COOKIE } from '../wire/index.ts';
import { examples } from './examples.ts';
import { type Json, Schemas } from './schemas.ts';
import { tagOf, tags } from './tags.ts';

const header = (name: string, description: string): Json => ({
  name,
  in: 'header',
  required: false,
  description,
  schema: { type: 'string' },
});

function parametersOf(schemas: Schemas, schema: z.ZodType, where: 'path' | 'query'): Json[] {
  const { properties = {}, required = [] } = schemas.of(schema, 'input') as {
    properties?: Record<string, Json>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, shape]) => ({
    name,
    in: where,
    required: where === 'path' || required.includes(name),
    schema: shape,
  }));
}

/** The statuses a route can be refused with, besides those every request can meet. */
function refusalsOf(route: Route): number[] {
  const writes = route.method !== 'GET';
  return [
    ...(route.may === 'anyone' ? [] : [401]),
    ...(Array.isArray(route.may) ? [403, 404] : []),
    ...(route.versioned ? [409, 428] : []),
    ...(writes ? [422, 429] : []),
  ];
}

const toProblem = (status: number): Json => ({ $ref: `#/components/responses/Problem${status}` });

function bodyOf(schemas: Schemas, name: RouteName, route: Route): Json | null {
  if (route.method !== 'PUT' && route.method !== 'POST') return null;
  const isFile = route.bodyType !== 'application/json';
  const body = schemas.of(route.body, 'input');
  const isEmpty = !body.$ref && Object.keys((body.properties as Json | undefined) ?? {}).length === 0;
  if (isEmpty && !isFile) return null;
  const schema = isFile ? { type: 'string', format: 'binary' } : body;
  const example = examples[name];
  return {
    required: true,
    content: { [route.bodyType]: { schema, ...(example !== undefined && { example }) } },
  };
}

function operation(schemas: Schemas, name: RouteName, route: Route): Json {
  const requestBody = bodyOf(schemas, name, route);
  const writes = route.method !== 'GET';
  const writtenIn = writes && route.path.includes(':gardenId');
  return {
    operationId: name,
    summary: route.summary,
    tags: [tagOf(route.path)],
    'x-may': route.may,
    security: route.may === 'anyone' ? (name === 'backup' ? [{ operator: [] }] : []) : [{ session: [] }],
    parameters: [
      ...parametersOf(schemas, route.params, 'path'),
      ...parametersOf(schemas, route.query, 'query'),
      ...(route.versioned
        ? [header('If-Match', 'The version of the row that is changed, in quotes; left out for a new row')]
        : []),
      ...(writes ? [header(CLIENT_HEADER, 'A name by which the client is not told of its own changes')] : []),
    ],
    ...(requestBody && { requestBody }),
    responses: {
      200: {
        description: 'OK',
        ...(writtenIn && { headers: writtenHeaders }),
        content: { [route.mediaType]: { schema: schemas.of(route.answer, 'output') } },
      },
      ...Object.fromEntries(refusalsOf(route).map((status) => [status, toProblem(status)])),
      default: { $ref: '#/components/responses/Problem' },
    },
  };
}

const writtenHeaders = {
  [CHANGE_HEADER]: { description: 'The change that was made, to be undone by', schema: { type: 'string' } },
  [TOUCHED_HEADER]: { description: 'The kinds of rows that were touched', schema: { type: 'string' } },
};

const problemContent = (codes: readonly ProblemCode[]): Json => ({
  'application/problem+json': {
    schema: { $ref: '#/components/schemas/Problem' },
    examples: Object.fromEntries(codes.map((code) => [code, { value: problemOf(code) }])),
  },
});

/** A response for each status, with the codes that come with it. */
function problemResponses(): Record<string, Json> {
  const codes = Object.keys(problems) as ProblemCode[];
  const statuses = [...new Set(codes.map((code) => problems[code]))];
  const of = (status: number) => codes.filter((code) => problems[code] === status);
  return {
    Problem: { description: 'Problem Details (RFC 9457)', content: problemContent(['unexpected']) },
    ...Object.fromEntries(
      statuses.map((status) => [
        `Problem${status}`,
        { description: `Refused: ${of(status).join(', ')}`, content: problemContent(of(status)) },
      ]),
    ),
  };
}

/** The OpenAPI 3.1 document of all routes. @param version the program's version */
export function openapi(version: string): Json {
  const schemas = new Schemas();
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries(routes) as [RouteName, Route][]) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = { ...paths[path], [route.method.toLowerCase()]: operation(schemas, name, route) };
  }
  schemas.of(problem, 'output');
  return {
    openapi: '3.1.0',
    info: { title: 'Unity Acre', version },
    tags: Object.entries(tags).map(([name, description]) => ({ name, description })),
    paths,
    components: {
      schemas: schemas.components,
      responses: problemResponses(),
      securitySchemes: {
        session: {
          type: 'apiKey',
          in: 'cookie',
          name: SESSION_COOKIE,
          description: 'The cookie that signing in sets',
        },
        operator: { type: 'http', scheme: 'bearer', description: 'OPERATOR_TOKEN of the installation' },
      },
    },
  };
}
