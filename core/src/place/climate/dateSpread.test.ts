import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { earlierQuantile, laterQuantile, laterThan, shareAfter, shareBy } from './dateSpread.ts';

describe('what has not happened by a day', () => {
  const spread = { mean: 120, sd: 10, share: 1 };

  // Conditional normal distribution: half of what is left of a normal beyond its mean lies beyond 0.6745 deviations (from memory).
  it('happens by the rest of its years', () => {
    const rest = laterThan(spread, 120);
    expect(rest.share).toBe(1);
    expect(shareBy(rest, 120)).toBe(0);
    expect(earlierQuantile(rest, 0.5)).toBeCloseTo(126.745, 2);
    expect(laterQuantile(rest, 0.5)).toBeCloseTo(126.745, 2);
    expect(shareBy(rest, 126.745)).toBeCloseTo(0.5, 4);
  });

  it('happens in fewer years where not all have it', () => {
    // Of ten years five have it, half of them by the mean: of the other seven and a half, two and a half do.
    expect(laterThan({ ...spread, share: 0.5 }, 120).share).toBeCloseTo(1 / 3, 6);
    expect(laterThan({ ...spread, share: 0 }, 120).share).toBe(0);
  });

  it('may come any day once it is later than it ever was', () => {
    expect(earlierQuantile(laterThan(spread, 200), 0.9)).toBe(200);
    expect(shareBy(laterThan(spread, 200), 200)).toBe(0);
  });

  it('is as it was long before', () => {
    expect(earlierQuantile(laterThan(spread, 20), 0.25)).toBeCloseTo(earlierQuantile(spread, 0.25)!, 6);
  });

  it('never comes sooner than is known, and by and after make all of its years', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(50, 200),
        number(1, 30),
        number(0.05, 1),
        number(50, 200),
        number(0.01, 0.99),
        (mean, sd, share, after, risk) => {
          const rest = laterThan({ mean, sd, share }, after);
          const early = earlierQuantile(rest, risk);
          if (early !== null) expect(early).toBeGreaterThanOrEqual(after);
          for (const seasonDay of [after - 5, after, after + 5, after + 50])
            expect(shareBy(rest, seasonDay) + shareAfter(rest, seasonDay)).toBeCloseTo(rest.share, 9);
          expect(shareBy(rest, after + 5)).toBeLessThanOrEqual(shareBy(rest, after + 9) + 1e-12);
        },
      ),
    );
  });
});
