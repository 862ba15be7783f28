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
  const varietyId = radish.varieties[0]!.id;
  expect(asPlanted(radish, { ...usualSpacing, varietyId })).toBe(radish);
  // Wide rows for children: 3 in apart, rows a foot apart; 4 × 8 ft have 4 rows of 32.
  const wide = asPlanted(radish, { varietyId, inRow: FOOT / 4, betweenRows: FOOT, seedsPerHole: 2 });
  const sown = amounts(wide, 'sowInPlace', 'rows', 4 * FOOT, 8 * FOOT);
  expect(sown).toMatchObject({ plants: 128, sown: { perHole: 2 } });
  expect(sown.sown!.seeds).toBe(2 * sown.sown!.holes);
  for (const pattern of ['rows', 'square', 'staggered', 'foot', 'broadcast'] as const)
    expect(spacingOf(wide, pattern)).toBeCloseTo(FOOT / 4, 9);
  const { inRow } = asPlanted(radish, { ...usualSpacing, varietyId, betweenRows: FOOT });
  expect(inRow).toBe(radish.inRow);
});
