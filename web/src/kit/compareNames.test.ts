import { shippedRows } from '@unity-acre/core/crops';
import { expect, it } from 'vitest';
import { compareNames } from './compareNames.ts';

it('puts names in the order of a list, accents and capitals aside, and ñ after n', () => {
  const names = ['Zanahoria', 'Ñame', 'Nabo', 'apio', 'Ajo', 'Ají', 'Árbol', 'Nuez'];
  expect(names.sort(compareNames)).toEqual([
    'Ají',
    'Ajo',
    'apio',
    'Árbol',
    'Nabo',
    'Nuez',
    'Ñame',
    'Zanahoria',
  ]);
});

it.each(['en', 'es'] as const)('orders the crops in %s as a dictionary does', (language) => {
  const names = shippedRows.map(({ name }) => name[language]);
  const { compare } = new Intl.Collator(language, { sensitivity: 'base', ignorePunctuation: false });
  expect([...names].sort(compareNames)).toEqual([...names].sort(compare));
});
