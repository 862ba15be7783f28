import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, type Day, dayNumber } from '../../calendar/index.ts';
import { plainCatalogue } from '../../crops/index.ts';
import { contains, outlineOf, type Pattern, patterns, type Shape } from '../../ground/index.ts';
import { amounts, asPlanted, usualSpacing } from '../amounts/index.ts';
import { computeMilestones, type MilestoneKind } from '../milestones/index.ts';
import { almanac, plan } from '../testing.ts';
import { plantPlaces } from './plantPlaces.ts';
import { plantCourse, stageAt } from './stage.ts';

const crop = (id: string) => {
  const found = plainCatalogue.crop(id)!;
  const method = found.methods[0]!;
  return asPlanted(found, { ...usualSpacing, varietyId: found.varieties[0]!.id, method });
};
const bed: Shape = {
  ...{ x: 3, y: 2, width: 1.2, length: 6, angle: 30 },
  ...{ form: 'rectangle', points: null },
};
const pairs = (plants: Float32Array) =>
  Array.from({ length: plants.length / 2 }, (_, n) => ({ x: plants[2 * n]!, y: plants[2 * n + 1]! }));
/** An outline a little larger, for coordinates kept in single precision. */
const around = ({ width, length, x, y, ...same }: Shape): Shape => ({
  ...same,
  ...{ x: x - 1e-3, y: y - 1e-3, width: width + 2e-3, length: length + 2e-3 },
});

describe('where plants stand', () => {
  it('has as many places as its card has plants, all in their bed, wherever it lies and however it is turned', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...patterns.filter((pattern) => pattern !== 'broadcast')),
        fc.constantFrom('lettuce', 'tomato', 'carrot', 'kale', 'bush-bean'),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 1, max: 5 }),
        fc.boolean(),
        (pattern: Pattern, id, angle, length, isAcross) => {
          const turned = { ...bed, ...(isAcross && { width: 6, length: 1.2 }), angle };
          const planted = { pattern, width: 1.2, length };
          const { plants } = plantPlaces(turned, crop(id), planted, { x: 0, y: 6 - length });
          const { plants: onCard } = amounts(crop(id), 'sowInPlace', pattern, 1.2, length);
          expect(plants.length / 2).toBe(onCard);
          const outline = outlineOf(around(turned));
          for (const place of pairs(plants)) expect(contains(outline, place)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('puts four lettuces, a foot apart, at the middles of four squares of a foot', () => {
    const foot = 0.3048;
    const flat: Shape = { ...bed, x: 10, y: 20, width: 2 * foot, length: 4 * foot, angle: 0 };
    const apart = { ...crop('lettuce'), inRow: foot, intensive: foot, betweenRows: foot };
    const at = { x: 0, y: foot };
    const planted = { pattern: 'square' as const, width: 2 * foot, length: 2 * foot };
    const places = pairs(plantPlaces(flat, apart, planted, at).plants)
      .map(({ x, y }) => `${((x - 10) / foot).toFixed(2)} ${((y - 20) / foot).toFixed(2)}`)
      .sort();
    expect(places).toEqual(['0.50 1.50', '0.50 2.50', '1.50 1.50', '1.50 2.50']);
  });

  it('keeps to the edge of a round bed, with the plants of its card', () => {
    const round: Shape = { ...bed, width: 3, length: 3, form: 'circle' };
    const { plants, ground } = plantPlaces(
      round,
      crop('kale'),
      { pattern: 'square', width: 3, length: 3 },
      { x: 0, y: 0 },
    );
    expect(plants.length / 2).toBe(amounts(crop('kale'), 'sowInPlace', 'square', 3, 3, round).plants);
    expect(ground).toHaveLength(4);
    for (const place of pairs(plants)) expect(contains(outlineOf(round), place)).toBe(true);
  });

  it('has no places for what is scattered', () => {
    const planted = { pattern: 'broadcast' as const, width: 1, length: 2 };
    expect(plantPlaces(bed, crop('lettuce'), planted, { x: 0, y: 0 }).plants).toHaveLength(0);
  });
});

const steps = (days: Partial<Record<MilestoneKind, string>>) =>
  Object.entries(days).map(([kind, on]) => ({ kind: kind as MilestoneKind, on }));
const FIRST = '2026-03-01';
const stageOn = (of: ReturnType<typeof steps>, on: Day, first: Day) =>
  stageAt(plantCourse(of, first), dayNumber(on));

describe('what one sees of a planting', () => {
  const sown = steps({
    ...{ sow: '2026-05-01', emerge: '2026-05-10', firstPick: '2026-06-10' },
    ...{ lastPick: '2026-06-20', clear: '2026-06-25' },
  });

  it('is nothing before it is sown and after it is cleared', () => {
    expect(stageOn(sown, '2026-04-30', FIRST)).toBeNull();
    expect(stageOn(sown, '2026-06-25', FIRST)).not.toBeNull();
    expect(stageOn(sown, '2026-06-26', FIRST)).toBeNull();
  });

  it.each([
    ['2026-05-01', 'sown'],
    ['2026-05-09', 'sown'],
    ['2026-05-10', 'growing'],
    ['2026-06-09', 'growing'],
    ['2026-06-10', 'ripe'],
    ['2026-06-20', 'ripe'],
    ['2026-06-21', 'over'],
  ])('is on %s %s', (on, stage) => {
    expect(stageOn(sown, on, FIRST)!.stage).toBe(stage);
  });

  it('is half its spread halfway to the first pick, and all of it from then on', () => {
    const half = stageOn(sown, '2026-05-25', FIRST)!.grown;
    expect(half).toBeGreaterThan(0.45);
    expect(half).toBeLessThan(0.65);
    expect(stageOn(sown, '2026-06-10', FIRST)!.grown).toBe(1);
    expect(stageOn(sown, '2026-06-24', FIRST)!.grown).toBe(1);
  });

  it('is wider when it comes from a tray than when it comes from seed', () => {
    const set = steps({ startIndoors: '2026-03-20', setOut: '2026-05-10', firstPick: '2026-06-10' });
    expect(stageOn(set, '2026-05-09', FIRST)).toBeNull();
    expect(stageOn(set, '2026-05-10', FIRST)!.grown).toBeGreaterThan(
      stageOn(sown, '2026-05-10', FIRST)!.grown,
    );
  });

  it('stands at its size from the first day where it stands for years', () => {
    const stands = steps({ firstPick: '2026-05-10', lastPick: '2026-06-20' });
    expect(stageOn(stands, FIRST, FIRST)).toEqual({ stage: 'growing', grown: 1 });
    expect(stageOn(stands, '2026-02-27', FIRST)).toBeNull();
  });

  it('never shrinks, whatever the crop, and is seen on each day from its first to its last', () => {
    for (const id of ['lettuce', 'tomato', 'garlic', 'carrot', 'pumpkin']) {
      const all = computeMilestones(plan(id), almanac)!;
      let before = 0;
      for (let day = all[0]!.on; day <= all.at(-1)!.on; day = addDays(day, 1)) {
        const seen = stageOn(all, day, FIRST);
        if (!seen) continue;
        expect(seen.grown).toBeGreaterThanOrEqual(before);
        expect(seen.grown).toBeLessThanOrEqual(1);
        before = seen.grown;
      }
      expect(before).toBeGreaterThan(0.9);
    }
  });
});
