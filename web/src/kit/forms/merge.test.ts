import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mergeForms } from './merge.ts';

const base = { name: 'Bed 7', note: '', width: '4 ft' };

describe('two versions of a form', () => {
  it('are brought together where each changed something else', () => {
    const mine = { ...base, note: 'Needs paint' };
    const theirs = { ...base, width: '3 ft' };
    expect(mergeForms(base, mine, theirs)).toEqual({
      values: { name: 'Bed 7', note: 'Needs paint', width: '3 ft' },
      clashes: [],
    });
  });

  it('clash where both changed the same otherwise, and what is typed stands meanwhile', () => {
    const { values, clashes } = mergeForms(base, { ...base, note: 'Mine' }, { ...base, note: 'Theirs' });
    expect(values.note).toBe('Mine');
    expect(clashes).toEqual([{ field: 'note', mine: 'Mine', theirs: 'Theirs' }]);
  });

  it('do not clash where both changed the same alike', () => {
    const same = { ...base, note: 'Painted' };
    expect(mergeForms(base, same, { ...same })).toEqual({ values: same, clashes: [] });
  });

  it('compare lists by what is in them', () => {
    const lists = { ids: ['a'] };
    expect(mergeForms(lists, { ids: ['a'] }, { ids: ['a', 'b'] })).toEqual({
      values: { ids: ['a', 'b'] },
      clashes: [],
    });
  });

  it('lose nothing: each field is as one side has it, and as the one that changed it where only one did', () => {
    const field = fc.constantFrom('a', 'b', 'c');
    const values = fc.record({ x: field, y: field });
    fc.assert(
      fc.property(values, values, values, (from, mine, theirs) => {
        const merged = mergeForms(from, mine, theirs);
        for (const name of ['x', 'y'] as const) {
          const [was, my, their] = [from[name], mine[name], theirs[name]];
          const expected = my !== was ? my : their;
          expect(merged.values[name]).toBe(expected);
          const isClash = my !== was && their !== was && my !== their;
          expect(merged.clashes.some((clash) => clash.field === name)).toBe(isClash);
        }
      }),
    );
  });
});
