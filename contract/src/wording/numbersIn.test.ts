import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberIn } from './numbersIn.ts';

// English as it is written in America, and Spanish as most of the Americas write it.
describe.each(['en-US', 'es-419'] as const)('numbers in %s', (language) => {
  const byRuntime = (value: number, decimals: number, useGrouping: boolean, isPadded: boolean) =>
    new Intl.NumberFormat(language, {
      ...{ maximumFractionDigits: decimals, minimumFractionDigits: isPadded ? decimals : 0, useGrouping },
    }).format(value);

  it('are as the runtime writes them, whose tables (ICU) know nothing of ours', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.double({ min: -1e9, max: 1e9, noNaN: true }),
          // What people weigh and measure: with few decimals, and halves among them.
          fc
            .tuple(fc.integer({ min: -2_000_000, max: 2_000_000 }), fc.integer({ min: 0, max: 5 }))
            .map(([whole, places]) => Number(`${whole}e-${places}`)),
        ),
        fc.integer({ min: 0, max: 4 }),
        fc.boolean(),
        fc.boolean(),
        (value, decimals, grouped, isPadded) => {
          // A little less than nothing is nothing to us, where the runtime writes -0.
          const expected = byRuntime(value, decimals, grouped, isPadded).replace(/^-(0(?:[.,]0*)?)$/, '$1');
          expect(numberIn(value, { decimals, grouped, isPadded })).toBe(expected);
        },
      ),
      { numRuns: 2_000 },
    );
  });

  it.each([0, 0.05, 0.5, 1.005, 999.95, 1000, 1234.5, 9999.5, 10_000, 123_456_789, -2.5, 1e16, Number.NaN])(
    'write %d with one and with two decimals',
    (value) => {
      for (const decimals of [1, 2])
        expect(numberIn(value, { decimals })).toBe(byRuntime(value, decimals, true, false));
    },
  );
});
