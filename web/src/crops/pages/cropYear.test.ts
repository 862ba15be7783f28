import { plainCatalogue } from '@unity-acre/core/crops';
import { almanacOf, climateOfFrosts, YEAR } from '@unity-acre/core/place';
import { defaultRules } from '@unity-acre/core/season';
import { describe, expect, it } from 'vitest';
import { standOf, waysOf, within } from './cropYear.ts';

const almanac = almanacOf(
  climateOfFrosts({ latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' }),
);
const ways = (id: string, rules = defaultRules) => {
  const crop = plainCatalogue.crop(id)!;
  return waysOf(crop, crop.varieties[0]!, almanac, rules, 2026);
};

describe('the ways of growing a crop', () => {
  it('are its methods in its parts of the season', () => {
    for (const crop of plainCatalogue.crops) {
      for (const { method, cropping, start } of ways(crop.id)) {
        expect(crop.methods).toContain(method);
        expect(crop.croppings).toContain(cropping);
        expect(start.window.earliest <= start.window.latest, crop.id).toBe(true);
      }
    }
  });

  it('follow the house rules: no cucumber in pots where they are only sown in place', () => {
    expect(ways('cucumber').map((way) => way.method)).toContain('startIndoors');
    const rules = { ...defaultRules, cucurbits: 'inPlaceOnly' as const };
    expect(ways('cucumber', rules).map((way) => way.method)).not.toContain('startIndoors');
  });

  it('stand ahead, open or past by the window of their first step', () => {
    const way = ways('radish').find(({ cropping }) => cropping === 'spring')!;
    const { earliest, latest } = way.start.window;
    expect(standOf(way, '2026-01-02')).toBe('ahead');
    expect(standOf(way, earliest)).toBe('open');
    expect(standOf(way, latest)).toBe('open');
    expect(standOf(way, '2026-12-30')).toBe('past');
  });
});

it('keeps what reaches beyond a year within it', () => {
  expect(within(almanac, 2026, '2025-11-01', '2027-02-01')).toEqual([0, YEAR]);
  expect(within(almanac, 2026, '2026-01-11', '2026-01-21')).toEqual([10, 20]);
});
