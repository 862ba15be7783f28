import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { expectedGermination, FRESH_SHARE, plainCatalogue, seedsPerHole } from '../../crops/index.ts';
import { HOLE_CHANCE, perHoleOf, seedCount } from './seedCount.ts';
import { plantNeeds, type Sowing, seedNeeds, seedSources, seedsOf, traysByWeek } from './seedOrder.ts';
import { leftInLot, seedsTaken } from './seedsTaken.ts';

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

describe('seeds for a number of places', () => {
  // Worked by hand: 100 carrots with a fifth to spare are 120 holes, three seeds in each.
  it('are whole holes, the spare ones among them', () => {
    expect(seedCount({ seedsPerHole: 3, spareShare: 0.2 }, 100)).toEqual({
      holes: 120,
      perHole: 3,
      seeds: 360,
    });
    expect(seedCount({ seedsPerHole: 2, spareShare: 0.1 }, 5)).toEqual({ holes: 6, perHole: 2, seeds: 12 });
    expect(seedCount({ seedsPerHole: 1, spareShare: 0 }, 0)).toMatchObject({ holes: 0, seeds: 0 });
  });

  // By hand: of seed of which 7 in 10 come up, one fails in 3 of 10 holes and two in 9 of 100, so two fill as many as one of nine in ten.
  it('are thicker of weaker seed, as sure as good seed is, and never thinner', () => {
    expect([0.95, 0.8, 0.7, 0.5].map((share) => perHoleOf({ seedsPerHole: 1 }, share))).toEqual([1, 1, 2, 4]);
    expect(perHoleOf({ seedsPerHole: 3 }, 0.7)).toBe(3);
    fc.assert(
      fc.property(share, fc.integer({ min: 1, max: 8 }), (germination, seedsPerHole) => {
        const n = perHoleOf({ seedsPerHole }, germination);
        expect(n).toBeGreaterThanOrEqual(seedsPerHole);
        const wanted = Math.min(HOLE_CHANCE, 1 - (1 - FRESH_SHARE) ** seedsPerHole);
        if (germination < 0.8)
          expect(1 - binomial.cdf(0, n, germination)).toBeGreaterThanOrEqual(wanted - 1e-9);
      }),
    );
  });
});

describe('where seed comes from', () => {
  const carrot = crop('carrot');
  const variety = carrot.varieties[0]!;
  const sowing = (plantingId: string, holes: number): Sowing => ({
    ...{ plantingId, crop: carrot, varietyId: variety.id, holes },
  });
  const lot = (id: string, year: number, amount: number, germination: number | null = null) => ({
    id,
    cropId: carrot.id,
    varietyId: variety.id,
    year,
    amount,
    unit: 'seeds' as const,
    germination,
    testedIn: germination === null ? null : 2026,
  });
  const needOf = (sowings: Sowing[], lots: ReturnType<typeof lot>[]) => {
    const sources = seedSources(sowings, lots, 2026);
    const uses = sowings.map((one) => ({ ...one, variety, sources: sources.get(one.plantingId)! }));
    return { sources, need: seedNeeds(uses, lots, 2026)[0]! };
  };

  it('is one number for card, order and box: what no lot gives is ordered, and nothing is once it is bought', () => {
    const { sources, need } = needOf([sowing('a', 120), sowing('b', 60)], [lot('old', 2025, 90)]);
    const cards = [...sources.values()].map(seedsOf);
    expect(cards.reduce((sum, seeds) => sum + seeds, 0)).toBe(need.needed);
    expect(need.from.reduce((sum, { seeds }) => sum + seeds, 0) + need.order).toBe(need.needed);
    const bought = needOf(
      [sowing('a', 120), sowing('b', 60)],
      [lot('old', 2025, 90), lot('new', 2026, need.order)],
    );
    expect(bought.need.order).toBe(0);
    expect(bought.need.needed).toBe(need.needed);
  });

  it('gives what was planned first its seed first, so that a new plan changes no card', () => {
    const box = [lot('a', 2026, 300)];
    const before = seedSources([sowing('1', 80)], box, 2026).get('1');
    expect(seedSources([sowing('2', 500), sowing('1', 80)], box, 2026).get('1')).toEqual(before);
  });

  it('takes the oldest lot that is good, sows it thicker, and leaves out what is too poor', () => {
    const lots = [lot('new', 2026, 5000), lot('old', 2024, 120), lot('dead', 2015, 5000)];
    const { need } = needOf([sowing('a', 100)], lots);
    expect(need.poor).toEqual(['dead']);
    const [first, second] = seedSources([sowing('a', 100)], lots, 2026).get('a')!;
    expect([first!.lotId, second!.lotId]).toEqual(['old', 'new']);
    expect(first!.perHole).toBeGreaterThanOrEqual(second!.perHole);
    expect(first!.holes + second!.holes).toBe(100);
  });

  it('says what is left in the packet, and weighs what has a weight', () => {
    const { need } = needOf([sowing('a', 100)], [lot('a', 2026, 4000)]);
    expect(need.order).toBe(0);
    expect(need.from[0]!.seeds + need.from[0]!.left).toBe(4000);
    const empty = needOf([sowing('a', 1000)], []).need;
    expect(empty.orderGrams! * carrot.seedsPerGram!).toBeCloseTo(empty.order, 6);
  });

  it('fills every hole, takes no lot beyond what is in it, and never orders less for more', () => {
    const holes = fc.integer({ min: 1, max: 800 });
    const amounts = fc.array(
      fc.tuple(fc.integer({ min: 2020, max: 2026 }), fc.integer({ min: 0, max: 900 })),
      {
        maxLength: 4,
      },
    );
    fc.assert(
      fc.property(fc.array(holes, { minLength: 1, maxLength: 5 }), amounts, (wanted, there) => {
        const lots = there.map(([year, amount], n) => lot(`lot${n}`, year, amount));
        const sowings = wanted.map((n, i) => sowing(`p${i}`, n));
        const { sources, need } = needOf(sowings, lots);
        for (const one of sowings)
          expect(sources.get(one.plantingId)!.reduce((sum, source) => sum + source.holes, 0)).toBe(one.holes);
        for (const { left } of need.from) expect(left).toBeGreaterThanOrEqual(0);
        const more = needOf([...sowings, sowing('p9', 10)], lots).need;
        expect(more.order).toBeGreaterThanOrEqual(need.order);
      }),
    );
  });
});

describe('what a sowing takes out of the box', () => {
  const toCome = [
    { lotId: 'a', holes: 30, perHole: 2, seeds: 60 },
    { lotId: null, holes: 10, perHole: 1, seeds: 10 },
  ];

  it('is what its card says, in part where it is done in part, and all once it is done', () => {
    expect(seedsTaken(null, toCome, 1)).toEqual([{ lotId: 'a', seeds: 60 }]);
    const half = seedsTaken(null, toCome, 0.5);
    expect(half).toEqual([{ lotId: 'a', seeds: 30 }]);
    // What is left of it is half of the holes, from wherever it comes now.
    const rest = [{ lotId: 'b', holes: 20, perHole: 2, seeds: 40 }];
    expect(seedsTaken({ share: 0.5, taken: half }, rest, 1)).toEqual([
      { lotId: 'a', seeds: 30 },
      { lotId: 'b', seeds: 40 },
    ]);
    expect(seedsTaken({ share: 1, taken: [{ lotId: 'a', seeds: 60 }] }, [], 1)).toEqual([
      { lotId: 'a', seeds: 60 },
    ]);
    expect(seedsTaken({ share: 1, taken: [{ lotId: 'a', seeds: 60 }] }, [], 0.25)).toEqual([
      { lotId: 'a', seeds: 15 },
    ]);
  });

  it('is left out of the lot, by count or by weight, and never more than there is', () => {
    expect(leftInLot({ amount: 100, unit: 'seeds' }, 60, undefined)).toBe(40);
    expect(leftInLot({ amount: 2, unit: 'g' }, 250, 500)).toBe(1.5);
    expect(leftInLot({ amount: 10, unit: 'seeds' }, 60, undefined)).toBe(0);
  });
});

it('counts plants and sets to get by variety, and when the first are wanted', () => {
  const garlic = crop('garlic');
  const of = (plants: number, on: string) => ({ crop: garlic, variety: garlic.varieties[0]!, plants, on });
  const needs = plantNeeds([of(40, '2026-10-12'), of(20, '2026-10-05')]);
  expect(needs).toEqual([{ crop: garlic, variety: garlic.varieties[0], pieces: 60, by: '2026-10-05' }]);
});

it('counts trays by the week they are started', () => {
  const tomato = crop('tomato');
  const start = (id: string, on: string, plants: number, done = false) => ({
    id,
    holes: seedCount(tomato, plants).holes,
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
