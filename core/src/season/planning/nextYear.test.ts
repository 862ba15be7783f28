import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { uprightRectangle } from '../../ground/index.ts';
import { usualSpacing } from '../amounts/index.ts';
import { season as wintry } from '../placement/testing/index.ts';
import { almanac } from '../testing.ts';
import { rollOver } from './nextYear.ts';
import type { PlannedBed, PlannedPlanting, YearPlan } from './yearPlan.ts';

const bed = (id: string, over: Partial<PlannedBed> = {}): PlannedBed => ({
  ...uprightRectangle({ x: 0, y: 0, width: 1.2, length: 6 }),
  id,
  name: id,
  height: 0,
  soilDepth: null,
  tenure: 'cooperative',
  sunHours: 9,
  ...over,
});
const planting = (id: string, bedId: string, cropId: string): PlannedPlanting => {
  const crop = plainCatalogue.crop(cropId)!;
  return {
    id,
    bedId,
    crop,
    variety: crop.varieties[0]!,
    method: crop.methods[0]!,
    cropping: crop.croppings[0]!,
    pattern: 'rows',
    width: 1.2,
    length: 3,
    betweenId: null,
    pinned: false,
    protection: 'none',
    spacing: usualSpacing,
    practices: {},
    at: null,
    steps: [],
  };
};
const season = (beds: PlannedBed[], plantings: PlannedPlanting[], over: Partial<YearPlan> = {}): YearPlan =>
  wintry(beds, { plantings, today: '2026-11-01', almanacOf: () => almanac, ...over });
const four = ['a', 'b', 'c', 'd'].map((id) => bed(id));
const crops = ['tomato', 'pea', 'cabbage', 'carrot'];
const sown = crops.map((crop, i) => planting(crop, four[i]!.id, crop));

describe('next year', () => {
  it('comes from this one by one place, so that a family is back after four years with four beds', () => {
    let plan = season(four, sown);
    const where: string[] = ['a'];
    for (let n = 0; n < 4; n++) {
      const rolled = rollOver(plan, 'shift');
      expect(rolled.every(({ tooSoon }) => tooSoon === null)).toBe(true);
      const next = rolled.map(({ planting: one, bedId }) => ({ ...one, bedId }));
      where.push(next.find(({ id }) => id === 'tomato')!.bedId);
      const before = [
        ...plan.before,
        ...plan.plantings.map(({ bedId, crop }) => ({ bedId, year: plan.year, crop })),
      ];
      plan = { ...plan, year: plan.year + 1, plantings: next, before };
    }
    expect(where).toEqual(['a', 'b', 'c', 'd', 'a']);
  });

  it('done twice adds nothing, and adds what is still missing where a part of it was planned by hand', () => {
    const rolled = rollOver(season(four, sown), 'shift');
    const after = rolled.map(({ planting: one, bedId }) => ({ ...one, id: `next ${one.id}`, bedId }));
    expect(rollOver(season(four, sown, { after }), 'shift')).toEqual([]);
    expect(rollOver(season(four, sown, { after }), 'family')).toEqual([]);
    const missing = rollOver(season(four, sown, { after: after.slice(1) }), 'shift');
    expect(missing.map(({ planting: one }) => one.id)).toEqual([rolled[0]!.planting.id]);
    // Two sowings of the same are two: one that is planned stands for one of them.
    const twice = [...sown, { ...sown[3]!, id: 'carrot again' }];
    expect(rollOver(season(four, twice, { after }), 'shift')).toHaveLength(1);
  });

  it('leaves plots to their holders and what stands for years where it is', () => {
    const beds = [...four, bed('plot', { tenure: 'plot' })];
    const all = [...sown, planting('asparagus', 'a', 'asparagus'), planting('own', 'plot', 'pea')];
    const rolled = rollOver(season(beds, all), 'family').map(({ planting: one }) => one.id);
    expect(rolled.sort()).toEqual([...crops].sort());
  });

  it('by family brings no family back too soon where a shift would', () => {
    // What stands in a now stood in b the year before.
    const before = [{ bedId: 'b', year: 2025, crop: plainCatalogue.crop('pepper')! }];
    const plan = season(four, sown, { before });
    expect(rollOver(plan, 'shift').find(({ planting: one }) => one.id === 'tomato')).toMatchObject({
      tooSoon: 2025,
    });
    expect(rollOver(plan, 'family').every(({ tooSoon }) => tooSoon === null)).toBe(true);
  });

  it('gives every bed at most one bed’s contents, and keeps plantings in their bed', () => {
    const beds = fc.array(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.constantFrom(...crops)), {
      minLength: 1,
      maxLength: 9,
    });
    fc.assert(
      fc.property(beds, fc.constantFrom('shift' as const, 'family' as const), (rows, by) => {
        const ground = rows.map(([length], i) => bed(`bed ${i}`, { length }));
        const plantings = rows.map(([length, crop], i) => ({
          ...planting(`p${i}`, `bed ${i}`, crop),
          length: length / 2,
        }));
        const rolled = rollOver(season(ground, plantings), by);
        expect(rolled.length).toBe(plantings.length);
        expect(new Set(rolled.map(({ bedId }) => bedId)).size).toBe(rolled.length);
        for (const { bedId, length } of rolled) {
          expect(length).toBeLessThanOrEqual(ground.find(({ id }) => id === bedId)!.length + 1e-9);
        }
      }),
    );
  });
});
