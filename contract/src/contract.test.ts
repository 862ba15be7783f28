import { plainCatalogue } from '@unity-acre/core/crops';
import { describe, expect, it } from 'vitest';
import { openapi, type Route, routes } from './index.ts';
import fieldsEn from './wire/fields.en.json' with { type: 'json' };
import fieldsEs from './wire/fields.es.json' with { type: 'json' };
import en from './wire/words.en.json' with { type: 'json' };
import es from './wire/words.es.json' with { type: 'json' };

const paths = (tree: object, at = ''): string[] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'object' ? paths(value, `${at}${key}.`) : [`${at}${key}`],
  );

it('has every word in both languages, with the same blanks', () => {
  expect(paths(es)).toEqual(paths(en));
  const blanks = (text: string) => text.match(/\{\{\w+(?:, \w+)?\}\}/g) ?? [];
  expect(paths(fieldsEs)).toEqual(paths(fieldsEn));
  for (const [code, text] of Object.entries(fieldsEn)) {
    expect(blanks(fieldsEs[code as keyof typeof fieldsEs])).toEqual(blanks(text));
  }
});

describe('the OpenAPI document', () => {
  const document = openapi('1.2.3') as {
    openapi: string;
    paths: Record<
      string,
      Record<string, { operationId: string; parameters: { name: string; in: string }[] }>
    >;
  };

  it('has every route once, with the parameters of its path', () => {
    const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, operation]) => ({ path, method, ...operation })),
    );
    expect(operations.map((operation) => operation.operationId).sort()).toEqual(Object.keys(routes).sort());
    for (const { path, parameters } of operations) {
      const inPath = [...path.matchAll(/\{(\w+)\}/g)].map((match) => match[1]);
      expect(
        parameters
          .filter((p) => p.in === 'path')
          .map((p) => p.name)
          .sort(),
      ).toEqual(inPath.sort());
    }
  });
});

it('gives every route its own method and path', () => {
  const all = (Object.values(routes) as Route[]).map(({ method, path }) => `${method} ${path}`);
  expect(new Set(all).size).toBe(all.length);
});

it('takes ids of crops as the catalogue writes them', () => {
  for (const { id } of plainCatalogue.crops)
    expect(routes.savePlanting.body.shape.cropId.safeParse(id).success).toBe(true);
});
