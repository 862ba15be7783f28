import { describe, expect, it } from 'vitest';
import { plainCatalogue } from '../crops/index.ts';
import { coversFor, isThreatened, standsOut } from './frostCover.ts';

const FOOT = 0.3048;
const ground = (cropId: string, y: number, length: number, over: object = {}) => ({
  ...{ cropId, bedId: 'b1', x: 0, y: y * FOOT, width: 4 * FOOT, length: length * FOOT },
  ...over,
});
const feet = (metres: number) => Math.round((metres / FOOT) * 10) / 10;

describe('frost covers', () => {
  it('are (length + 2·overlap) × (width + 2·overlap + rise): 28 ft × 10 ft for a bed of 24 ft × 4 ft (KNOWLEDGE 8)', () => {
    const [cover] = coversFor([ground('tomato', 0, 24)]);
    expect([cover!.length, cover!.width].map(feet)).toEqual([28, 10]);
  });

  // By hand: peppers end at 6 ft, tomatoes begin at 8 and end at 14: one cloth of 14 + 4 ft. Squash at 20 ft is six feet on.
  it('are one for what stands end to end, and another for what stands apart, each as long as its plants', () => {
    const covers = coversFor([ground('tomato', 8, 6), ground('pepper', 0, 6), ground('zucchini', 20, 4)]);
    expect(covers.map(({ cropIds, from, length }) => [cropIds, feet(from), feet(length)])).toEqual([
      [['pepper', 'tomato'], 0, 18],
      [['zucchini'], 20, 8],
    ]);
  });

  it('are as wide as what stands side by side under them, and one bed’s never reaches into another', () => {
    const side = (cropId: string, x: number) => ground(cropId, 0, 6, { x: x * FOOT, width: 1.5 * FOOT });
    const covers = coversFor([side('tomato', 0), side('pepper', 2), ground('basil', 0, 6, { bedId: 'b2' })]);
    expect(covers.map(({ bedId }) => bedId)).toEqual(['b1', 'b2']);
    expect(feet(covers[0]!.width)).toBe(3.5 + 4 + 2);
  });

  it('are for what is above the ground outdoors and not over, logged as up or not', () => {
    const step = (kind: 'sow' | 'emerge' | 'setOut' | 'clear', done: boolean, on = '2026-06-01') => ({
      kind,
      done,
      on,
    });
    const today = '2026-05-20';
    const stands = (...steps: ReturnType<typeof step>[]) =>
      standsOut([...steps, step('clear', false)], today);
    expect(stands(step('setOut', true))).toBe(true);
    expect(stands(step('emerge', true), step('setOut', false))).toBe(false);
    // Seed that is not up yet lies safe; once it should be up it counts as up.
    expect(stands(step('sow', true), step('emerge', false))).toBe(false);
    expect(stands(step('sow', true), step('emerge', false, '2026-05-18'))).toBe(true);
    expect(stands(step('sow', false), step('emerge', false, '2026-05-18'))).toBe(false);
    expect(standsOut([step('setOut', true), step('clear', true)], today)).toBe(false);
  });

  it('are for tender crops in any such night, and for hardy ones below what they stand', () => {
    const crop = (id: string) => plainCatalogue.crop(id)!;
    expect(isThreatened(crop('tomato'), 3)).toBe(true);
    expect(isThreatened(crop('lettuce'), 0)).toBe(false);
    expect(isThreatened(crop('lettuce'), crop('lettuce').frostDamageC)).toBe(true);
    expect(isThreatened(crop('kale'), crop('lettuce').frostDamageC)).toBe(false);
  });
});
