import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { expectedGermination, FRESH_SHARE, plainCatalogue, seedsPerHole } from '../../crops/index.ts';
import { seedNeeds, traysByWeek } from './seedOrder.ts';

const crop = (id: string) => plainCatalogue.crop(id)!;
const { binomial } = jstat as unknown as { binomial: { cdf(k: number, n: number, p: number): number } };
const share = fc.double({ min: 0.05, max: 0.99, noNaN: true });

describe('seeds in a hole', () => {
  it('are the fewest whose chance of none is small enough, by jstat’s binomial', () => {
    fc.assert(
      fc.property(share, fc.double({ min: 0.5, max: 0.999, noNaN: true }), (germination, wanted) => {
        const n = seedsPerHole(germination, wanted);
        expect(1 - binomial.cdf(0, n, germination)).toBeGreaterThanOrEqual(wanted - 1e-9);
        if (n > 1) expect(1 - binomial.cdf(0, n - 1, germination)).toBeLessThan(wanted + 1e-9);
      }),
    );
  });

  it('are one of good seed and more of old: 90 % for 9 of 10, three of half-dead seed for 7 of 8', () => {
    expect(seedsPerHole(0.9, 0.9)).toBe(1);
    expect(seedsPerHole(0.5, 0.875)).toBe(3);
    expect(seedsPerHole(1, 0.99)).toBe(1);
    expect(() => seedsPerHole(0, 0.9)).toThrow(RangeError);
  });
});

describe('the life of seed', () => {
  const fresh = { year: 2026, germination: null, testedIn: null };

  it('begins with nine of ten and is at a half when its kind is said to last no longer', () => {
    for (const one of plainCatalogue.crops.filter(({ viabilityYears }) => viabilityYears)) {
      expect(expectedGermination(one, fresh, 2026)).toBeCloseTo(FRESH_SHARE, 3);
      expect(expectedGermination(one, fresh, 2026 + one.viabilityYears!)).toBeCloseTo(0.5, 3);
    }
  });

  // KNOWLEDGE 3.5: onion and parsnip 1 year, cucurbits 5. Common practice, no source.
  it('is short for onions and parsnips and long for cucumbers', () => {
    const after = (id: string) => expectedGermination(crop(id), fresh, 2029);
    expect(after('onion')).toBeLessThan(0.25);
    expect(after('parsnip')).toBeLessThan(0.25);
    expect(after('cucumber')).toBeGreaterThan(0.6);
  });

  it('falls with every year, from what a test showed, and is over where nothing came up', () => {
    fc.assert(
      fc.property(share, fc.integer({ min: 0, max: 12 }), (germination, age) => {
        const lot = { year: 2010, germination, testedIn: 2020 };
        const [now, later] = [2020 + age, 2021 + age].map((year) =>
          expectedGermination(crop('bush-bean'), lot, year),
        );
        expect(later!).toBeLessThan(now!);
        if (age === 0) expect(now!).toBeCloseTo(germination, 3);
      }),
    );
    expect(expectedGermination(crop('pea'), { year: 2026, germination: 0, testedIn: 2026 }, 2026)).toBe(0);
  });
});

describe('what to order', () => {
  const carrot = crop('carrot');
  const use = (plants: number, over = {}) => ({
    crop: carrot,
    variety: carrot.varieties[0]!,
    plants,
    isSown: true,
    done: false,
    ...over,
  });
  const lot = (id: string, year: number, amount: number, germination: number | null = null) => ({
    id,
    cropId: carrot.id,
    varietyId: carrot.varieties[0]!.id,
    year,
    amount,
    unit: 'seeds' as const,
    germination,
    testedIn: germination === null ? null : 2026,
  });

  it('is nothing where the box has enough, and says what is left in the packet', () => {
    const [need] = seedNeeds([use(100)], [lot('a', 2026, 4000)], 2026);
    expect(need!.order).toBe(0);
    expect(need!.from[0]!.seeds + need!.from[0]!.left).toBe(4000);
    expect(need!.from[0]!.holes).toBe(need!.holes);
  });

  it('uses the oldest lot that is good, sows it thicker, and leaves out what is too poor', () => {
    const lots = [lot('new', 2026, 5000), lot('old', 2024, 120), lot('dead', 2015, 5000)];
    const [need] = seedNeeds([use(100)], lots, 2026);
    expect(need!.poor).toEqual(['dead']);
    expect(need!.from.map(({ lotId }) => lotId)).toEqual(['old', 'new']);
    expect(need!.from[0]!.perHole).toBeGreaterThanOrEqual(need!.from[1]!.perHole);
    expect(need!.from.reduce((sum, { holes }) => sum + holes, 0)).toBe(need!.holes);
  });

  it('leaves out what is bought as plants or sown already, and weighs what has a weight', () => {
    expect(seedNeeds([use(10, { isSown: false }), use(10, { done: true })], [], 2026)).toEqual([]);
    const [need] = seedNeeds([use(1000)], [], 2026);
    expect(need!.orderGrams! * carrot.seedsPerGram!).toBeCloseTo(need!.order, 6);
    expect(need!.order).toBeGreaterThanOrEqual(1000);
  });

  it('never orders less for more plants', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3000 }), fc.integer({ min: 0, max: 2000 }), (plants, there) => {
        const order = (n: number) => seedNeeds([use(n)], [lot('a', 2025, there)], 2026)[0]!.order;
        expect(order(plants + 10)).toBeGreaterThanOrEqual(order(plants));
      }),
    );
  });
});

it('counts trays by the week they are started', () => {
  const tomato = crop('tomato');
  const start = (id: string, on: string, plants: number, done = false) => ({
    id,
    crop: tomato,
    plants,
    steps: [{ kind: 'startIndoors', on, done } as never],
  });
  const weeks = traysByWeek([
    start('a', '2026-03-24', 60),
    start('b', '2026-03-29', 60),
    start('c', '2026-03-30', 10),
    start('d', '2026-03-30', 10, true),
  ]);
  expect(weeks.map(({ week }) => week)).toEqual(['2026-03-23', '2026-03-30']);
  expect(weeks[0]!.cells).toBe(2 * Math.ceil(60 * (1 + tomato.spareShare)));
  expect(weeks[0]!.trays).toBe(Math.ceil(weeks[0]!.cells / 72));
});
