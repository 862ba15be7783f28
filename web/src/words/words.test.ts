import { expect, it } from 'vitest';
import { allWords } from './all.ts';

const { en, es } = allWords;

const flat = (tree: object, at = ''): [string, string][] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'object' ? flat(value, `${at}${key}.`) : [[`${at}${key}`, value] as [string, string]],
  );
const blanks = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]).sort();

it('says everything in both languages, with the same blanks', () => {
  const english = new Map(flat(en));
  const spanish = new Map(flat(es));
  expect([...spanish.keys()].sort()).toEqual([...english.keys()].sort());
  for (const [key, text] of english) {
    expect(spanish.get(key)!.trim(), key).not.toBe('');
    expect(blanks(spanish.get(key)!), key).toEqual(blanks(text));
  }
});

it('uses sentence case and no exclamation marks', () => {
  for (const [key, text] of [...flat(en), ...flat(es)]) expect(text, key).not.toMatch(/[!¡]/);
});
