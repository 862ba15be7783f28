import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { type Route, type RouteName, routes } from './index.ts';

/* Whatever is sent, it has an end: every number, text and list that a route takes is bounded. */

interface Json {
  [key: string]: unknown;
}

/** Places in a schema that take more than any bound. */
function unbounded(schema: Json, at: string): string[] {
  const inside = ['anyOf', 'oneOf', 'allOf'].flatMap((key) =>
    ((schema[key] as Json[] | undefined) ?? []).flatMap((one) => unbounded(one, at)),
  );
  const properties = Object.entries((schema.properties as Record<string, Json> | undefined) ?? {}).flatMap(
    ([name, one]) => unbounded(one, `${at}.${name}`),
  );
  const rest = schema.additionalProperties;
  const further = typeof rest === 'object' && rest !== null ? unbounded(rest as Json, `${at}.*`) : [];
  const items = schema.items ? unbounded(schema.items as Json, `${at}[]`) : [];
  const isIn = (value: unknown) => typeof value === 'number' && Math.abs(value) < Number.MAX_SAFE_INTEGER;
  const own: string[] = [];
  if (schema.type === 'number' || schema.type === 'integer') {
    if (!isIn(schema.minimum) && !isIn(schema.exclusiveMinimum)) own.push(`${at}: no minimum`);
    if (!isIn(schema.maximum) && !isIn(schema.exclusiveMaximum)) own.push(`${at}: no maximum`);
  }
  const isFixed = 'enum' in schema || 'const' in schema || 'format' in schema || 'pattern' in schema;
  if (schema.type === 'string' && !isFixed && schema.maxLength === undefined) own.push(`${at}: no longest`);
  if (schema.type === 'array' && schema.maxItems === undefined) own.push(`${at}: no longest list`);
  return [...own, ...inside, ...properties, ...further, ...items];
}

describe.each(Object.keys(routes) as RouteName[])('%s', (name) => {
  it('takes nothing without an end', async () => {
    const { z: zod } = await import('zod');
    const route: Route = routes[name];
    for (const part of ['query', 'body'] as const) {
      const schema = zod.toJSONSchema(route[part] as z.ZodType, {
        io: 'input',
        unrepresentable: 'any',
      }) as Json;
      expect(unbounded(schema, part)).toEqual([]);
    }
  });
});
