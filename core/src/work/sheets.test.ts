import fc from 'fast-check';
import { expect, it } from 'vitest';
import { fitSheets, type Sheet } from './sheets.ts';

/** Feet, as cloth is sold. */
const sheet = (width: number, length: number): Sheet => ({ width: width * 0.3048, length: length * 0.3048 });
const places = (needs: Sheet[], owned: Sheet[]) =>
  fitSheets(needs, owned).map((one) => (one === null ? null : owned.indexOf(one)));

it('gives the smallest sheet that is large enough, turned or not', () => {
  const owned = [sheet(10, 28), sheet(10, 12), sheet(12, 10)];
  expect(places([sheet(9, 10)], [owned[0]!, owned[1]!])).toEqual([1]);
  expect(places([sheet(11, 10)], [owned[2]!])).toEqual([0]);
  expect(places([sheet(11, 11)], owned)).toEqual([null]);
});

it('covers two with two, though the best for one would leave the other bare', () => {
  // The long bed wants the long sheet, whichever bed comes first.
  const owned = [sheet(10, 28), sheet(10, 12)];
  expect(places([sheet(8, 10), sheet(8, 24)], owned)).toEqual([1, 0]);
  expect(places([sheet(8, 24), sheet(8, 10)], owned)).toEqual([0, 1]);
});

it('gives way by two inches, and not by three', () => {
  expect(places([{ width: 3.05, length: 8.05 }], [{ width: 3, length: 8 }])).toEqual([0]);
  expect(places([{ width: 3.06, length: 8 }], [{ width: 3, length: 8 }])).toEqual([null]);
});

it('is nothing for nothing', () => {
  expect(fitSheets([], [sheet(10, 10)])).toEqual([]);
  expect(fitSheets([sheet(4, 4)], [])).toEqual([null]);
});

it('covers as many as any other way does, with no more cloth', () => {
  const side = fc.integer({ min: 1, max: 4 });
  const sheets = fc.array(fc.record({ width: side, length: side }), { maxLength: 4 });
  const large = (a: Sheet, b: Sheet) =>
    (a.width >= b.width && a.length >= b.length) || (a.length >= b.width && a.width >= b.length);
  /** Every way tried: how many are covered, and with how much. */
  const best = (needs: Sheet[], owned: Sheet[]): [number, number] => {
    const [need, ...others] = needs;
    if (!need) return [0, 0];
    return owned.reduce<[number, number]>(
      (found, one, n) => {
        if (!large(one, need)) return found;
        const [count, area] = best(others, owned.toSpliced(n, 1));
        const now: [number, number] = [count + 1, area + one.width * one.length];
        return now[0] > found[0] || (now[0] === found[0] && now[1] < found[1]) ? now : found;
      },
      best(others, owned),
    );
  };
  fc.assert(
    fc.property(sheets, sheets, (needs, owned) => {
      const given = fitSheets(needs, owned);
      const used = given.filter((one) => one !== null);
      expect(new Set(used).size).toBe(used.length);
      for (const [i, one] of given.entries()) if (one) expect(large(one, needs[i]!)).toBe(true);
      const area = used.reduce((sum, one) => sum + one.width * one.length, 0);
      expect([used.length, area]).toEqual(best(needs, owned));
    }),
  );
});
