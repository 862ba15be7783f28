import i18next, { type i18n } from 'i18next';
import { beforeAll, describe, expect, it } from 'vitest';
import { allWords } from './all.ts';
import { countedThings, countInWords } from './counted.ts';

const { en, es } = allWords;

const flat = (tree: object, at = ''): [string, string][] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'object' ? flat(value, `${at}${key}.`) : [[`${at}${key}`, value] as [string, string]],
  );
const blanks = (text: string) =>
  [...text.matchAll(/\{\{(\w+)(?:, \w+)?\}\}/g)].map((match) => match[1]).sort();

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

it('counts inside sentences only what there are words for', () => {
  expect(Object.keys(en.kit.counted).sort()).toEqual(
    countedThings.flatMap((thing) => [`${thing}_one`, `${thing}_other`]).sort(),
  );
  for (const [key, text] of [...flat(en), ...flat(es)])
    for (const [, thing] of text.matchAll(/\{\{\w+, (\w+)\}\}/g)) expect(countedThings, key).toContain(thing);
});

/* Turns that an American garden volunteer would not say, and spellings of other places. */
const unsaid =
  /\breckon|\bafresh|\banew\b|\bsomebody|\bnobody|\beverybody|\bautumn|catalogue|\bmetres|\bcentre\b|e-mail|\bmould|neighbour|colour|\bwhilst|gives? way|neither .* nor|\bgrown person|\brota\b|\bcalled off|\bstrike out|\bcourgette|\bgrey\b|\blabelled/i;

it.each([
  ['English', en, unsaid],
  // Words of Spain, and the familiar form beside the polite one.
  [
    'Spanish',
    es,
    /\bbancal|\bjudía|\bguisante|\bordenador|\bvosotros|\bvuestr|\bplaza\b|\bcoger|(?<!\p{L})(tu|tus|tuyo)(?!\p{L})/iu,
  ],
] as const)('says nothing in %s that its readers would not', (_, words, unsaidHere) => {
  for (const [key, text] of flat(words)) {
    expect(text.replace(/\{\{[^}]*\}\}/g, ''), key).not.toMatch(unsaidHere);
    // "5%" and an apostrophe as it is printed.
    expect(text, key).not.toMatch(/[\d}] %|\w'\w/);
  }
});

/** What is the same in both languages: names, units, signs, and words that both have. */
const shared = /^(\W|\d|[A-Z]{1,4}\b|°|cm|mm|kg|lb|oz|ft|in|yd|m|h|min|no|normal|color|total|general|N)*$/i;
const same = new Set(
  flat(en)
    .filter(([key, text]) => text === new Map(flat(es)).get(key))
    .map(([key]) => key),
);

describe.each(['en', 'es'] as const)('every sentence in %s', (language) => {
  const words = flat(allWords[language]);
  let spoken: i18n;
  beforeAll(async () => {
    spoken = i18next.createInstance();
    await spoken.init({
      ...{
        lng: language,
        resources: { [language]: allWords[language] },
        interpolation: { escapeValue: false },
      },
      ...{ showSupportNotice: false, ns: Object.keys(allWords[language]), defaultNS: 'kit' },
    });
    countInWords(spoken);
  });

  /** Every key once, without the endings of its plurals, with its blanks. */
  const asked = new Map<string, string[]>();
  for (const [key, text] of words) {
    const [room = '', ...rest] = key.split('.');
    const asked_ = `${room}:${rest.join('.').replace(/_(zero|one|other)$/, '')}`;
    asked.set(asked_, [...(asked.get(asked_) ?? []), ...(blanks(text) as string[])]);
  }

  /** Blanks that are names and no numbers. */
  const named = { year: 2026, crop: 'Basil', name: 'Ana', title: 'Saturday', bed: 'Bed 7' };

  /* What is counted may be named by a word that may as well follow a name: "{{name}} is". */
  const verbs = /^(is|set|gets|keeps|has|está|es|recibe|conserva|tiene)$/;
  /* A word in the plural after 1, or in the singular after another number: of every word that is counted anywhere. */
  const pairs = words.flatMap(([key, one]) => {
    const other = key.endsWith('_one') && new Map(words).get(key.replace(/_one$/, '_other'));
    const after = (text: string) => /\{\{(?:count|n)\}\} (\p{L}+)/u.exec(text)?.[1];
    const [single, many] = [after(one), other ? after(other) : undefined];
    return single && many && single !== many && !verbs.test(single) ? [[single, many] as const] : [];
  });

  it.each([0, 1, 2, 5])('has the right plural for %d', (number) => {
    expect(pairs.length).toBeGreaterThan(25);
    for (const [key, names] of asked) {
      const filled: Record<string, unknown> = Object.fromEntries(names.map((name) => [name, number]));
      expect(spoken.exists(key, { count: number }), key).toBe(true);
      const text: string = spoken.t(key as 'kit:save', { ...filled, ...named, count: number });
      expect(text, key).not.toBe('');
      expect(text, key).not.toMatch(/\{\{|\}\}/);
      for (const [single, many] of pairs)
        expect(text, key).not.toMatch(
          new RegExp(`(?<![\\d.,–-])${number} ${number === 1 ? many : single}(?!\\p{L})`, 'u'),
        );
    }
  });
});

it('says in Spanish what it says in English in other words', () => {
  const english = new Map(flat(en));
  const left = [...same].filter((key) => !shared.test(english.get(key)!.replace(/\{\{[^}]*\}\}/g, '')));
  expect(left.sort()).toEqual([]);
});
