import { plainCatalogue } from '@unity-acre/core/crops';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fit } from './match.ts';

const found = (names: readonly string[], search: string) =>
  names
    .map((name) => ({ name, fits: fit(name, search) }))
    .filter(({ fits }) => fits > 0)
    .sort((a, b) => b.fits - a.fits)
    .map(({ name }) => name);

describe('finding by a few letters', () => {
  it.each([
    [['Bed 1', 'Bed 10', 'Bed 2'], 'bed 1', 'Bed 1'],
    [['Tomato', 'Tomatillo', 'Potato'], 'toma', 'Tomato'],
    [['Saturday work morning', 'Wednesday afternoon'], 'wed', 'Wednesday afternoon'],
    [['Casper Fennimore', 'June Hollin'], 'fen', 'Casper Fennimore'],
    [['Brócoli', 'Brussels sprouts'], 'broc', 'Brócoli'],
    [['Make the schedule', 'Messages'], 'sched', 'Make the schedule'],
  ])('of %j, "%s" is %s', (names, search, first) => expect(found(names, search)[0]).toBe(first));

  it('finds what is spelled wrong', () => {
    const crops = plainCatalogue.crops.map(({ name }) => name.en);
    expect(found(crops, 'brocolli')[0]).toBe('Broccoli');
    expect(found(crops, 'zuchini')[0]).toBe('Zucchini');
    expect(found(crops, 'tomatoe')[0]).toBe('Tomato');
    expect(found(crops, 'calliflower')[0]).toBe('Cauliflower');
    expect(fit('Pole bean', 'ejote', ['ejote', 'ejotes'])).toBeGreaterThan(0);
  });

  it('does not take numbers for one another, nor short words', () => {
    expect(fit('Bed 12', 'bed 13')).toBe(0);
    expect(fit('Pea', 'bea')).toBe(0);
    expect(fit('Tomato', 'carrot')).toBe(0);
  });

  it('finds every crop by its first letters, and with a letter left out or doubled', () => {
    const names = plainCatalogue.crops.map(({ name }) => name.en).filter((name) => /^\w{6,}$/.test(name));
    fc.assert(
      fc.property(fc.constantFrom(...names), fc.integer({ min: 1, max: 4 }), (name, at) => {
        expect(fit(name, name.slice(0, 3))).toBeGreaterThan(0.8);
        expect(fit(name, name.slice(0, at) + name.slice(at + 1))).toBeGreaterThan(0);
        expect(fit(name, name.slice(0, at) + name[at] + name.slice(at))).toBeGreaterThan(0);
      }),
    );
  });
});
