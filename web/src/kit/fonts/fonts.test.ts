import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { allWords } from '../../words/all.ts';

const sheet = readFileSync(join(import.meta.dirname, 'fonts.css'), 'utf8');
/** The letters that the first fonts have, as their style sheet says. */
const letters = new Set(
  [...sheet.matchAll(/U\+([0-9A-F]+)(?:-([0-9A-F]+))?/g)].flatMap(([, from, to = from]) => {
    const [first, last] = [Number.parseInt(from!, 16), Number.parseInt(to!, 16)];
    return Array.from({ length: last - first + 1 }, (_, i) => String.fromCodePoint(first + i));
  }),
);

const textsOf = (tree: object): string[] =>
  Object.values(tree).flatMap((value) => (typeof value === 'string' ? [value] : textsOf(value)));
/** What the whole fonts have, control characters apart; other signs are the system's either way. */
const isInWhole = (letter: string): boolean => /[\u0020-\u00ff\u2000-\u206f\u2191\u2193\u2212]/.test(letter);

it.each(Object.entries(allWords))(
  'has every letter that the program speaks with, so that no larger font is fetched: %s',
  (_, words) => {
    const spoken = [...new Set(textsOf(words).join(''))].filter(isInWhole);
    expect(spoken.length).toBeGreaterThan(80);
    expect(spoken.filter((letter) => !letters.has(letter))).toEqual([]);
  },
);
