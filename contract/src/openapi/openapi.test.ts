import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { openapi, type Route, type RouteName, routes } from '../index.ts';
import { examples } from './examples.ts';

const document = openapi('1.2.3') as {
  tags: { name: string }[];
  paths: Record<
    string,
    Record<string, { operationId: string; tags: string[]; security: object[]; responses: object }>
  >;
  components: { schemas: Record<string, object>; responses: object; securitySchemes: object };
};
const operations = Object.values(document.paths).flatMap((methods) => Object.values(methods));

/** A program written against the document, as somebody would who only has it. */
const client = `
import type { components, paths } from './acre';
type Bed = components['schemas']['Bed'];
type Problem = components['schemas']['Problem'];
export async function bedNames(gardenId: string): Promise<string[]> {
  type Answer = paths['/api/gardens/{gardenId}/beds']['get']['responses'][200]['content']['application/json'];
  const beds: Answer = await (await fetch('/api/gardens/' + gardenId + '/beds')).json();
  const first: Bed | undefined = beds[0];
  return first ? beds.map((bed) => bed.name + ' ' + bed.version) : [];
}
type SignIn = paths['/api/sign-in']['post']['requestBody']['content']['application/json'];
export const signIn: SignIn = { email: 'cleo@example.org', password: 'a quiet mill stream' };
export const isStale = (problem: Problem): boolean => problem.code === 'stale';
// @ts-expect-error: there is no such code
export const isOdd = (problem: Problem): boolean => problem.code === 'odd';
// @ts-expect-error: a sign-in has a password
export const half: SignIn = { email: 'cleo@example.org' };
`;

/** Compiles files that are only here. @returns what the compiler finds wrong */
function compiled(files: Record<string, string>): string[] {
  const options: ts.CompilerOptions = {
    strict: true,
    noEmit: true,
    target: ts.ScriptTarget.ES2022,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    lib: ['lib.es2022.d.ts', 'lib.dom.d.ts'],
    types: [],
  };
  const host = ts.createCompilerHost(options);
  const { fileExists, readFile, getSourceFile } = host;
  const at = (name: string) => files[name.split('/').at(-1)!];
  host.fileExists = (name) => at(name) !== undefined || fileExists(name);
  host.readFile = (name) => at(name) ?? readFile(name);
  host.getSourceFile = (name, version, ...rest) => {
    const text = at(name);
    return text === undefined
      ? getSourceFile(name, version, ...rest)
      : ts.createSourceFile(name, text, version);
  };
  const program = ts.createProgram(Object.keys(files), options, host);
  return ts
    .getPreEmitDiagnostics(program)
    .map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, '\n'));
}

describe('the OpenAPI document', () => {
  it('gives a typed client that compiles, and is refused where it is wrong', async () => {
    const types = astToString(await openapiTS(JSON.parse(JSON.stringify(document))));
    expect(compiled({ 'acre.ts': types, 'client.ts': client })).toEqual([]);
  }, 120_000);

  it('has every route under the tag of a room it declares', () => {
    const declared = new Set(document.tags.map(({ name }) => name));
    for (const { operationId, tags } of operations)
      expect(tags.every((tag) => declared.has(tag)) && tags.length === 1, operationId).toBe(true);
    expect(new Set(operations.flatMap(({ tags }) => tags))).toEqual(declared);
  });

  it('asks for the session of whoever calls a route that is not for anyone', () => {
    for (const { operationId, security } of operations) {
      const { may } = routes[operationId as RouteName] as Route;
      const needs = security.some((scheme) => 'session' in scheme);
      expect(needs, operationId).toBe(may !== 'anyone');
    }
    expect(document.components.securitySchemes).toHaveProperty('session.name', 'acre');
  });

  it('names what routes share, and refers to nothing that is not there', () => {
    const names = Object.keys(document.components.schemas);
    for (const name of ['Bed', 'Person', 'Planting', 'Session', 'Entry', 'Problem', 'Garden'])
      expect(names).toContain(name);
    const text = JSON.stringify(document);
    const referred = [...text.matchAll(/"#\/components\/(\w+)\/(\w+)"/g)];
    expect(referred.length).toBeGreaterThan(200);
    for (const [, kind, name] of referred)
      expect(document.components[kind as 'schemas'], name).toHaveProperty(name!);
    expect(text).not.toContain('$defs');
  });

  it.each(Object.entries(examples))('has an example for %s that the contract takes', (name, example) => {
    const { body } = routes[name as RouteName] as Route;
    expect(body.safeParse(example).error).toBeUndefined();
  });
});
