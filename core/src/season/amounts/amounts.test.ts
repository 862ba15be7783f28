import { expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { amounts } from './amounts.ts';

const FOOT = 0.3048;

it('counts seeds as holes × seeds a hole with spares, and none for bought plants', () => {
  const lettuce = plainCatalogue.crop('lettuce')!;
  // 4 × 8 ft in rows of 6 × 12 in: 4 rows of 16; 2 seeds a hole and a fifth to spare.
  const sown = amounts(lettuce, 'sowInPlace', 'rows', 4 * FOOT, 8 * FOOT);
  expect(sown).toMatchObject({ plants: 64, seeds: 154 });
  expect(sown.packing.rowLength / FOOT).toBeCloseTo(32, 9);
  expect(amounts(lettuce, 'setPlants', 'rows', 4 * FOOT, 8 * FOOT).seeds).toBe(0);
});

it('gives 40 ft of row for peas in two rows of 20 ft', () => {
  const peas = amounts(plainCatalogue.crop('pea')!, 'sowInPlace', 'rows', 4 * FOOT, 20 * FOOT);
  expect(peas.packing).toMatchObject({ rows: 2, perRow: 120 });
  expect(peas.packing.rowLength / FOOT).toBeCloseTo(40, 9);
});
