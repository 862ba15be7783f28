import { expect, it } from 'vitest';
import { nameInText } from './nameInText.ts';
import { plainCatalogue } from './shipped.ts';

it('has crops with a small letter inside a sentence, but for those named for a place', () => {
  expect(nameInText('Sweet corn')).toBe('sweet corn');
  expect(nameInText('Coles de Bruselas')).toBe('coles de Bruselas');
  const kept = plainCatalogue.crops.map(({ name }) => name.en).filter((name) => nameInText(name) === name);
  expect(kept.sort()).toEqual(['Brussels sprouts', 'Chinese cabbage']);
  expect(plainCatalogue.crops.filter(({ name }) => nameInText(name.es) === name.es)).toEqual([]);
});
