import { z } from 'zod';
import { routes } from './routes.ts';
import type { RouteName } from './table.ts';
import { problem, type Route } from './wire/index.ts';

type Json = Record<string, unknown>;

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Json => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any', reused: 'inline' });
  return rest;
};

function parametersOf(schema: z.ZodType, where: 'path' | 'query'): Json[] {
  const { properties = {}, required = [] } = schemaOf(schema, 'input') as {
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

function operation(name: RouteName, route: Route): Json {
  const hasBody = route.method === 'PUT' || route.method === 'POST';
  const body = schemaOf(route.body, 'input');
  const isFile = route.bodyType !== 'application/json';
  const takesBody =
    hasBody && (isFile || Object.keys((body.properties as Json | undefined) ?? {}).length > 0);
  const content = { [route.bodyType]: { schema: isFile ? { type: 'string' } : body } };
  return {
    operationId: name,
    summary: route.summary,
    'x-may': route.may,
    parameters: [
      ...parametersOf(route.params, 'path'),
      ...parametersOf(route.query, 'query'),
      ...(route.versioned
        ? [{ name: 'If-Match', in: 'header', required: false, schema: { type: 'string' } }]
        : []),
    ],
    ...(takesBody ? { requestBody: { required: true, content } } : {}),
    responses: {
      200: {
        description: 'OK',
        content: { [route.mediaType]: { schema: schemaOf(route.answer, 'output') } },
      },
      default: {
        description: 'Problem Details (RFC 9457)',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    },
  };
}

/** The OpenAPI 3.1 document of all routes. @param version the program's version */
export function openapi(version: string): Json {
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries(routes) as [RouteName, Route][]) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = { ...paths[path], [route.method.toLowerCase()]: operation(name, route) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Unity Acre', version },
    paths,
    components: { schemas: { Problem: schemaOf(problem, 'output') } },
  };
}
