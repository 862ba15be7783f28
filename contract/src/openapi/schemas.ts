import { z } from 'zod';
import * as crew from '../crew/index.ts';
import * as crops from '../crops/index.ts';
import * as ground from '../ground/index.ts';
import * as harvest from '../harvest/index.ts';
import * as log from '../log/index.ts';
import * as place from '../place/index.ts';
import * as season from '../season/index.ts';
import { problem } from '../wire/index.ts';
import * as work from '../work/index.ts';

export type Json = Record<string, unknown>;

const rooms = { crew, crops, ground, harvest, log, place, season, work };

const pascal = (name: string): string => name[0]!.toUpperCase() + name.slice(1);

/** Every schema that a room gives a name, under that name: what routes share is described once. */
function namedSchemas() {
  const named = z.registry<{ id: string }>();
  named.add(problem, { id: 'Problem' });
  const taken = new Set(['Problem']);
  for (const [room, schemas] of Object.entries(rooms)) {
    for (const [name, schema] of Object.entries(schemas)) {
      if (!(schema instanceof z.ZodType) || named.has(schema)) continue;
      const id = taken.has(pascal(name)) ? pascal(room) + pascal(name) : pascal(name);
      taken.add(id);
      named.add(schema, { id });
    }
  }
  return named;
}

const IN_DEFINITIONS = '#/$defs/';

/**
 * Describes schemas for the document, and gathers those with names as components. What is sent and what is answered can differ
 * for one schema (a field that may be left out has a value in the answer): then what is sent is named apart.
 */
export class Schemas {
  readonly components: Record<string, Json> = {};
  readonly #named = namedSchemas();

  of(schema: z.ZodType, io: 'input' | 'output'): Json {
    // As a field of another its own name is a reference, like those within it.
    const { properties, $defs = {} } = z.toJSONSchema(z.object({ it: schema }), {
      io,
      metadata: this.#named,
      unrepresentable: 'any',
    }) as unknown as { properties: { it: Json }; $defs?: Record<string, Json> };
    const names = new Map(Object.keys($defs).map((name) => [name, this.#nameOf(name, $defs, io)]));
    for (const [name, definition] of Object.entries($defs)) {
      const { id: _, ...described } = renamed(definition, names) as Json;
      this.components[names.get(name)!] ??= described;
    }
    return renamed(properties.it, names) as Json;
  }

  /** A name of its own where the other direction has another shape under the same. */
  #nameOf(name: string, definitions: Record<string, Json>, io: 'input' | 'output'): string {
    const clean = name.replace(/^__/, 'Shape');
    const { id: _, ...own } = renamed(definitions[name], new Map()) as Json;
    const known = this.#asWritten.get(clean);
    const text = JSON.stringify(own);
    if (known === undefined) this.#asWritten.set(clean, { io, text });
    return known === undefined || known.text === text || known.io === io
      ? clean
      : `${clean}${io === 'input' ? 'Sent' : 'Answered'}`;
  }

  readonly #asWritten = new Map<string, { io: 'input' | 'output'; text: string }>();
}

/** The same with every reference to a definition pointing at its component. */
function renamed(value: unknown, names: ReadonlyMap<string, string>): unknown {
  if (Array.isArray(value)) return value.map((one) => renamed(one, names));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => {
      if (key !== '$ref' || typeof one !== 'string') return [key, renamed(one, names)];
      const name = one.slice(IN_DEFINITIONS.length);
      return [key, `#/components/schemas/${names.get(name) ?? name}`];
    }),
  );
}
