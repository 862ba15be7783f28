import fc from 'fast-check';
import { geometricMean } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { taskKinds } from './kinds/index.ts';
import { crewKindOf, crewKinds, ownPace, type PaceLog, ratioOf } from './ownPace.ts';

const log = (over: Partial<PaceLog> = {}): PaceLog => ({
  kind: 'sow',
  expected: 30,
  minutes: 30,
  adults: 1,
  beginners: 0,
  children: 0,
  ...over,
});
const anyLog = fc.record({
  kind: fc.constantFrom(...taskKinds),
  expected: fc.integer({ min: 5, max: 120 }),
  minutes: fc.integer({ min: 5, max: 120 }),
  adults: fc.integer({ min: 1, max: 4 }),
  beginners: fc.integer({ min: 0, max: 4 }),
  children: fc.integer({ min: 0, max: 4 }),
});

describe("a garden's own pace", () => {
  it('is the prior where nothing was logged', () => {
    for (const crew of crewKinds) expect(ownPace([]).factor('sow', crew)).toBe(1);
  });

  it('counts heads at their prior pace: two beginners in 30 minutes do what one practised person does', () => {
    expect(ratioOf(log({ adults: 0, beginners: 2 }))).toBeCloseTo(1);
    // KNOWLEDGE 11: two people, a bed of onions, 15 minutes, is half an hour of one.
    expect(ratioOf(log({ adults: 2, minutes: 15 }))).toBeCloseTo(1);
    expect(ratioOf(log({ adults: 0, children: 4, minutes: 60 }))).toBeCloseTo(2);
  });

  it('tells crews apart', () => {
    expect(crewKindOf(log())).toBe('practised');
    expect(crewKindOf(log({ adults: 2, beginners: 2 }))).toBe('beginners');
    expect(crewKindOf(log({ adults: 3, beginners: 2 }))).toBe('practised');
    expect(crewKindOf(log({ children: 1 }))).toBe('children');
  });

  it('comes to the geometric mean of its logs when there are many (simple-statistics)', () => {
    const minutes = [40, 55, 48, 61, 37, 52, 45, 58];
    const many = Array.from({ length: 50 }, () => minutes.map((m) => log({ minutes: m }))).flat();
    const mean = geometricMean(many.map(ratioOf));
    expect(ownPace(many).factor('sow', 'practised')).toBeCloseTo(mean, 2);
  });

  it('draws few logs towards what is believed: one of twice as long moves it by less than half of that', () => {
    const factor = ownPace([log({ minutes: 60 })]).factor('sow', 'practised');
    expect(factor).toBeGreaterThan(1.2);
    expect(factor).toBeLessThan(1.5);
    // By hand: crew ln2/5, kind (ln2 + 4·that)/5, cell (ln2 + 4·kind)/5.
    const [two, k] = [Math.log(2), 4];
    const kind = (two + k * (two / 5)) / 5;
    expect(factor).toBeCloseTo(Math.exp((two + k * kind) / 5), 10);
  });

  it('lends a little of what was learnt to other tasks of the same crew, and nothing to other crews', () => {
    const pace = ownPace(Array.from({ length: 8 }, () => log({ minutes: 60 })));
    expect(pace.factor('thin', 'practised')).toBeGreaterThan(1.1);
    expect(pace.factor('thin', 'practised')).toBeLessThan(pace.factor('sow', 'practised'));
    expect(pace.factor('thin', 'children')).toBe(1);
    expect(pace.logs('sow')).toBe(8);
  });

  it('lies between the prior and the most extreme log, and does not mind their order', () => {
    fc.assert(
      fc.property(fc.array(anyLog, { maxLength: 20 }), (logs) => {
        const ratios = logs.map(ratioOf).filter((ratio) => ratio >= 1 / 8 && ratio <= 8);
        const pace = ownPace(logs);
        const turned = ownPace([...logs].reverse());
        for (const crew of crewKinds) {
          const factor = pace.factor('sow', crew);
          expect(factor).toBeGreaterThanOrEqual(Math.min(1, ...ratios) - 1e-9);
          expect(factor).toBeLessThanOrEqual(Math.max(1, ...ratios) + 1e-9);
          expect(turned.factor('sow', crew)).toBeCloseTo(factor, 10);
        }
      }),
    );
  });

  it('leaves out what nobody was at, and what took ten times as long', () => {
    expect(ownPace([log({ adults: 0 }), log({ minutes: 600 })]).factor('sow', 'practised')).toBe(1);
  });
});
