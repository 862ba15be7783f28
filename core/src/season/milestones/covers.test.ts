import { describe, expect, it } from 'vitest';
import { plainCatalogue } from '../../crops/index.ts';
import { pack } from '../../ground/index.ts';
import { type Almanac, almanacOf, climateOfNormals } from '../../place/index.ts';
import { amounts } from '../amounts/amounts.ts';
import { stillSown } from '../planning/stillSow.ts';
import { defaultRules } from '../rules.ts';
import { almanac, plan } from '../testing.ts';
import { isWinterKilled } from '../windows/index.ts';
import { computeMilestones } from './computeMilestones.ts';
import { startOf } from './milestone.ts';

/*
 * When and how thickly cover crops are sown. Common practice, no source: winter-killed mixes from late summer to mid-September
 * at 41 to 45° N, winter-hardy ones from mid-September into November there; a pound of a mix to about 250 square feet.
 */

/** A humid subtropical place, whose winters seldom go below 20 °F. Normals like those of the inner Gulf states, from memory. */
const mild = almanacOf(
  climateOfNormals(
    { latitude: 32, longitude: -86, lastFrost: '03-15', firstFrost: '11-12' },
    {
      low: [3, 5, 8, 12, 17, 21, 22.5, 22, 19, 13, 7.5, 4],
      high: [14, 16.5, 20.5, 25, 29, 32, 33.5, 33.5, 30.5, 25.5, 20, 15.5],
      rain: [120, 130, 150, 110, 100, 105, 130, 100, 100, 75, 110, 130],
    },
  ),
);
/** A tropical place without a winter. Normals from memory. */
const tropical = almanacOf(
  climateOfNormals(
    { latitude: 14, longitude: -90, lastFrost: '01-01', firstFrost: '12-31' },
    {
      low: [18, 18, 19, 20, 21, 21, 21, 21, 21, 20, 19, 18],
      high: [29, 30, 31, 32, 31, 30, 30, 30, 29, 29, 29, 29],
      rain: [5, 5, 10, 40, 150, 280, 220, 240, 270, 160, 40, 10],
    },
  ),
);

const killed = plan('winter-killed-mix');
const hardy = plan('winter-hardy-mix');
const windowIn = (of: typeof killed, seasonDay: Almanac) =>
  startOf(computeMilestones(of, seasonDay, defaultRules)!)!;
const within = (day: string, from: string, until: string) =>
  expect(from <= day && day <= until, day).toBe(true);

describe('a mix that winter kills', () => {
  it('is sown from late summer to mid-September in the cold north', () => {
    const { window, reasons } = windowIn(killed, almanac);
    within(window.earliest, '2026-08-10', '2026-08-25');
    within(window.best, '2026-08-24', '2026-09-05');
    within(window.latest, '2026-09-08', '2026-09-20');
    // Six weeks before the frost of 25 °F that ends it.
    expect(reasons.latest).toEqual([{ code: 'growsBeforeFrost', days: 42, atC: -4, by: '2026-10-25' }]);
  });
  it('makes no sense where winter kills nothing: that is said, and it is not offered', () => {
    expect([almanac, mild, tropical].map((seasonDay) => isWinterKilled(killed.crop, seasonDay))).toEqual([
      true,
      false,
      false,
    ]);
    expect(isWinterKilled(hardy.crop, almanac)).toBe(false);
    expect(windowIn(killed, mild).reasons.best).toEqual([{ code: 'seldomKilled', atC: -8 }]);
    const offered = (seasonDay: Almanac, on: string) =>
      stillSown(plainCatalogue.crops, seasonDay, defaultRules, on).map(({ crop }) => crop.id);
    expect(offered(almanac, windowIn(killed, almanac).window.best)).toContain('winter-killed-mix');
    for (const bound of ['earliest', 'best', 'latest'] as const)
      expect(offered(mild, windowIn(killed, mild).window[bound])).not.toContain('winter-killed-mix');
  });
});

describe('a mix that stands through the winter', () => {
  it('is sown from mid-September to about the beginning of November in the cold north', () => {
    const { window, reasons } = windowIn(hardy, almanac);
    within(window.earliest, '2026-09-05', '2026-09-20');
    within(window.latest, '2026-10-20', '2026-11-10');
    // Three weeks before the ground freezes.
    expect(reasons.latest).toEqual([{ code: 'growsBeforeFreeze', days: 21, by: expect.any(String) }]);
  });
  it('is sown later further south, where the ground never freezes', () => {
    const { window, reasons } = windowIn(hardy, mild);
    within(window.earliest, '2026-10-01', '2026-11-10');
    expect(window.latest).toBe('2026-12-01');
    expect(reasons.latest).toEqual([{ code: 'openSeason' }]);
    const never = windowIn(hardy, tropical).window;
    expect([never.earliest, never.best, never.latest]).toEqual(['2026-12-01', '2026-12-01', '2026-12-01']);
  });
});

it('weighs a pound of a mix to 250 square feet, however it is sown', () => {
  const FOOT = 0.3048;
  for (const { crop } of [killed, hardy]) {
    for (const pattern of ['broadcast', 'rows', 'square', 'staggered', 'foot'] as const) {
      const { seeds } = amounts(crop, 'sowInPlace', pattern, 10 * FOOT, 25 * FOOT).sown!;
      const pounds = seeds / crop.seedsPerGram! / 453.6;
      expect(pounds, `${crop.id} ${pattern}`).toBeGreaterThan(0.9);
      expect(pounds, `${crop.id} ${pattern}`).toBeLessThan(1.1);
    }
  }
  // It lies in its rows all the same, and what is picked is counted by its holes.
  for (const crop of [killed.crop, plainCatalogue.crop('lettuce')!]) {
    const inRows = amounts(crop, 'sowInPlace', 'rows', 1.2, 3);
    expect(inRows.packing).toEqual(pack('rows', 1.2, 3, crop.inRow, crop.betweenRows));
    expect(inRows.plants).toBe(inRows.packing.count);
  }
  const lettuce = amounts(plainCatalogue.crop('lettuce')!, 'sowInPlace', 'rows', 1.2, 3);
  // Lettuce has a fifth to spare and two seeds to a hole.
  expect(lettuce.sown!.seeds).toBe(2 * Math.ceil(lettuce.plants * 1.2 - 1e-9));
});
