import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { bed, season } from '../placement/testing/index.ts';
import { harmTogether, keptApart, lackOf, lacksOf, tasselOf, tasselsMeet } from './suitability.ts';
import { yearsWithout } from './yearPlan.ts';

const crop = (id: string) => plainCatalogue.crop(id)!;
const plan = season([bed(0, 3)]);
const kindsOf = (id: string, over: Parameters<typeof bed>[2], more: Parameters<typeof season>[1] = {}) =>
  lacksOf(season([], more), bed(0, 3, over), crop(id)).map(({ is }) => is);

describe('what a bed lacks for a crop', () => {
  it('is nothing where it is fit, and where it is not known', () => {
    expect(kindsOf('tomato', {})).toEqual([]);
    expect(kindsOf('tomato', { sunHours: null, soilDepth: null })).toEqual([]);
  });

  // Six hours for what wants full sun, three for the rest (KNOWLEDGE, "Light"): told to a tenth of an hour.
  it.each([
    ['tomato', 6, []],
    ['tomato', 5.96, []],
    ['tomato', 5.94, ['sun']],
    ['lettuce', 3, []],
    ['lettuce', 2.9, ['sun']],
  ])('is sun for %s in %d h', (id, sunHours, lacks) => {
    expect(kindsOf(id, { sunHours })).toEqual(lacks);
  });

  // Tomatoes want ten inches of loose soil by the catalogue.
  it.each([
    [0.254, []],
    [0.25, []],
    [0.248, ['soilDepth']],
  ])('is soil for tomatoes in %d m', (soilDepth, lacks) => {
    expect(kindsOf('tomato', { soilDepth })).toEqual(lacks);
  });

  it.each([
    [2025, true],
    [2023, true],
    [2022, false],
  ])('is another family than in %d', (year, isTooSoon) => {
    const before = [{ bedId: 'bed 0', year, crop: crop('pepper') }];
    const lack = lackOf('rotation', season([], { before }), bed(0, 3), crop('tomato'));
    expect(lack).toEqual(isTooSoon ? { is: 'rotation', last: year, again: year + 4 } : undefined);
  });

  it('is no rotation for another bed, another family, what stands for years, or what was there for the bees', () => {
    const was = (id: string, bedId = 'bed 0') => ({ before: [{ bedId, year: 2025, crop: crop(id) }] });
    expect(kindsOf('tomato', {}, was('pepper', 'bed 1'))).toEqual([]);
    expect(kindsOf('tomato', {}, was('lettuce'))).toEqual([]);
    expect(kindsOf('asparagus', {}, was('asparagus'))).toEqual([]);
    expect(kindsOf('lettuce', {}, was('calendula'))).toEqual([]);
    expect(kindsOf('lettuce', {}, was('lettuce'))).toEqual(['rotation']);
  });

  it('is all of it at once, with how much is needed and there', () => {
    const poor = bed(0, 3, { sunHours: 2, soilDepth: 0.1 });
    const before = [{ bedId: 'bed 0', year: 2024, crop: crop('pepper') }];
    expect(lacksOf(season([], { before }), poor, crop('tomato'))).toEqual([
      { is: 'rotation', last: 2024, again: 2028 },
      { is: 'sun', needed: 6, there: 2 },
      { is: 'soilDepth', needed: 0.254, there: 0.1 },
    ]);
  });
});

describe('what keeps crops apart', () => {
  const stand = (id: string, from: string, until: string, bedId = 'bed 0') => ({
    crop: crop(id),
    from,
    until,
    bedId,
  });
  const onions = stand('onion', '2026-04-20', '2026-07-31');

  it('is told both ways, by crop or family, and never of one crop', () => {
    expect(keptApart(crop('onion'), crop('pea'), plan)?.why).toBe('stunting');
    expect(keptApart(crop('pea'), crop('onion'), plan)?.why).toBe('stunting');
    expect(keptApart(crop('pea'), crop('carrot'), plan)).toBeUndefined();
    fc.assert(
      fc.property(
        fc.constantFrom(...plainCatalogue.crops),
        fc.constantFrom(...plainCatalogue.crops),
        (a, b) => {
          const every = { evidence: ['tested', 'traditional'] as const };
          expect(keptApart(a, b, every) === undefined).toBe(keptApart(b, a, every) === undefined);
          expect(keptApart(a, a, every)).toBeUndefined();
        },
      ),
    );
  });

  it('is gone by only as far as the garden goes by it', () => {
    expect(keptApart(crop('onion'), crop('cabbage'), { evidence: ['tested'] })).toBeUndefined();
    expect(keptApart(crop('onion'), crop('cabbage'), { evidence: ['traditional'] })?.why).toBe('poorGrowth');
  });

  it.each([
    ['the day the onions are cleared', '2026-07-31', true],
    ['the day after', '2026-08-01', false],
  ])('counts for beans sown on %s', (_, from, isHarm) => {
    expect(harmTogether(onions, stand('bush-bean', from, '2026-10-01'), plan) !== undefined).toBe(isHarm);
  });

  it('counts for what is gone on the day onions go in, and not before, nor in another bed', () => {
    const until = (day: string, bedId?: string) => stand('pea', '2026-03-01', day, bedId);
    expect(harmTogether(onions, until('2026-04-20'), plan)).toBeDefined();
    expect(harmTogether(onions, until('2026-04-19'), plan)).toBeUndefined();
    expect(harmTogether(onions, until('2026-06-01', 'bed 1'), plan)).toBeUndefined();
  });
});

describe('kinds of corn', () => {
  const window = { earliest: '', best: '', latest: '' };
  const reasons = { earliest: [], best: [], latest: [] };
  const picked = (on: string) => [
    { kind: 'firstPick' as const, on, window, reasons, done: false, overdueAfter: null },
  ];
  const corn = (id: string, on: string, at = 0) => ({
    crop: crop(id),
    bed: bed(at, 3),
    steps: picked(on) as never,
  });

  it('tassel three weeks before milky ears, and more than seven before dry ones', () => {
    expect(tasselOf(crop('sweet-corn'), picked('2026-08-22') as never)).toBe('2026-08-01');
    expect(tasselOf(crop('popcorn'), picked('2026-09-22') as never)).toBe('2026-08-01');
    expect(tasselOf(crop('sweet-corn'), [])).toBeNull();
  });

  it('meet where their tassels are less than two weeks apart', () => {
    const sweet = corn('sweet-corn', '2026-08-22');
    expect(tasselsMeet(sweet, corn('popcorn', '2026-09-22'))).toBe(0);
    expect(tasselsMeet(sweet, corn('popcorn', '2026-10-05'))).toBe(13);
    expect(tasselsMeet(corn('popcorn', '2026-10-05'), sweet)).toBe(13);
    expect(tasselsMeet(sweet, corn('popcorn', '2026-10-06'))).toBeNull();
  });

  it('do not where they are one kind, no corn, never picked, or a quarter of a mile apart', () => {
    const sweet = corn('sweet-corn', '2026-08-22');
    expect(tasselsMeet(sweet, corn('sweet-corn', '2026-08-22', 1))).toBeNull();
    expect(tasselsMeet(sweet, corn('tomato', '2026-08-22', 1))).toBeNull();
    expect(tasselsMeet(corn('tomato', '2026-08-22', 1), sweet)).toBeNull();
    expect(tasselsMeet(sweet, { ...corn('popcorn', '2026-09-22'), steps: [] })).toBeNull();
    // Beds are drawn two metres apart: 400 m are two hundred of them.
    expect(tasselsMeet(sweet, corn('popcorn', '2026-09-22', 199))).toBe(0);
    expect(tasselsMeet(sweet, corn('popcorn', '2026-09-22', 202))).toBeNull();
  });
});

describe('the years a bed has been without a family', () => {
  const bore = [
    { family: 'nightshades', year: 2024 },
    { family: 'nightshades', year: 2023 },
    { family: 'alliums', year: 2026 },
    { family: 'legumes', year: 2020 },
  ];
  it.each([
    ['nightshades', 2],
    ['alliums', 0],
    // As long as rotation counts, four years (KNOWLEDGE 6), and no longer.
    ['legumes', 4],
    ['brassicas', 4],
  ])('are for %s %i', (family, years) => {
    expect(yearsWithout(family, 2026, bore)).toBe(years);
  });
});
