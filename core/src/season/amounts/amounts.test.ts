import { expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { amounts, spacingOf } from './amounts.ts';
import { asPlanted, usualSpacing } from './asPlanted.ts';

const FOOT = 0.3048;

it('counts seeds as holes × seeds a hole with spares, and none for bought plants', () => {
  const lettuce = plainCatalogue.crop('lettuce')!;
  // 4 × 8 ft in rows of 6 × 12 in: 4 rows of 16; 2 seeds a hole and a fifth to spare.
  const sown = amounts(lettuce, 'sowInPlace', 'rows', 4 * FOOT, 8 * FOOT);
  expect(sown).toMatchObject({ plants: 64, sown: { holes: 77, perHole: 2, seeds: 154 } });
  expect(sown.packing.rowLength / FOOT).toBeCloseTo(32, 9);
  expect(amounts(lettuce, 'setPlants', 'rows', 4 * FOOT, 8 * FOOT).sown).toBeNull();
});

it('gives 40 ft of row for peas in two rows of 20 ft', () => {
  const peas = amounts(plainCatalogue.crop('pea')!, 'sowInPlace', 'rows', 4 * FOOT, 20 * FOOT);
  expect(peas.packing).toMatchObject({ rows: 2, perRow: 120 });
  expect(peas.packing.rowLength / FOOT).toBeCloseTo(40, 9);
});

it('counts by the spacing that a planting has of its own, in every pattern, and by the crop’s where it has none', () => {
  const radish = plainCatalogue.crop('radish')!;
  const radishes = { varietyId: radish.varieties[0]!.id, method: 'sowInPlace' as const };
  expect(asPlanted(radish, { ...usualSpacing, ...radishes })).toBe(radish);
  // Wide rows for children: 3 in apart, rows a foot apart; 4 × 8 ft have 4 rows of 32.
  const wide = asPlanted(radish, { ...radishes, inRow: FOOT / 4, betweenRows: FOOT, seedsPerHole: 2 });
  const sown = amounts(wide, 'sowInPlace', 'rows', 4 * FOOT, 8 * FOOT);
  expect(sown).toMatchObject({ plants: 128, sown: { perHole: 2 } });
  expect(sown.sown!.seeds).toBe(2 * sown.sown!.holes);
  for (const pattern of ['rows', 'square', 'staggered', 'foot', 'broadcast'] as const)
    expect(spacingOf(wide, pattern)).toBeCloseTo(FOOT / 4, 9);
  const { inRow } = asPlanted(radish, { ...usualSpacing, ...radishes, betweenRows: FOOT });
  expect(inRow).toBe(radish.inRow);
});

// One seed to a cell of squash, two of cucumber; two to a hole outdoors (KNOWLEDGE 4.1). Common practice, no source.
it.each([
  ['winter-squash', 'startIndoors', 1],
  ['zucchini', 'startIndoors', 1],
  ['winter-squash', 'sowInPlace', 2],
  ['cucumber', 'startIndoors', 2],
] as const)('sows %s by %s with %d to a place, unless the planting says otherwise', (id, method, seeds) => {
  const crop = plainCatalogue.crop(id)!;
  const varietyId = crop.varieties[0]!.id;
  const planted = asPlanted(crop, { ...usualSpacing, varietyId, method });
  expect(planted.seedsPerHole).toBe(seeds);
  expect(amounts(planted, method, 'rows', 4 * FOOT, 20 * FOOT).sown!.perHole).toBe(seeds);
  expect(asPlanted(crop, { ...usualSpacing, varietyId, method, seedsPerHole: 3 }).seedsPerHole).toBe(3);
});
