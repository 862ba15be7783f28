import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { almanacOf, climateOfFrosts, climateOfNormals } from '../../place/index.ts';
import {
  coldContinental,
  coolOceanic,
  humidSubtropical,
  lowDesert,
  type Region,
} from '../regions/climates.ts';
import { defaultRules } from '../rules.ts';
import { almanac, plan } from '../testing.ts';
import { computeMilestones, mayBegin, ownCroppings, seasonToPlan } from './computeMilestones.ts';
import { startOf } from './milestone.ts';

const early = almanacOf(
  climateOfFrosts({ latitude: 31, longitude: -90, lastFrost: '02-10', firstFrost: '12-01' }),
);
const south = almanacOf(
  climateOfFrosts({ latitude: -41, longitude: 174, lastFrost: '10-05', firstFrost: '05-01' }),
);

const desert = almanacOf(climateOfNormals(lowDesert.place, lowDesert.normals));

describe('the day a planting begins', () => {
  it('lets a planting begin on any day of its season year, and on none of others', () => {
    const pea = plan('pea');
    expect(mayBegin(pea, almanac, defaultRules, '2026-01-01')).toBe(true);
    expect(mayBegin(pea, almanac, defaultRules, '2026-12-31')).toBe(true);
    expect(mayBegin(pea, almanac, defaultRules, '2025-12-31')).toBe(false);
    expect(mayBegin(pea, almanac, defaultRules, '2027-01-01')).toBe(false);
  });

  it('goes by the season year of the south', () => {
    const pea = plan('pea');
    expect(mayBegin(pea, south, defaultRules, '2026-07-01')).toBe(true);
    expect(mayBegin(pea, south, defaultRules, '2027-06-30')).toBe(true);
    expect(mayBegin(pea, south, defaultRules, '2026-06-30')).toBe(false);
  });

  it('lets seed be started indoors before the season, as early as its window opens', () => {
    const tomato = plan('tomato', { method: 'startIndoors' });
    const { earliest } = startOf(computeMilestones(tomato, early, defaultRules)!)!.window;
    expect(earliest < '2026-01-01').toBe(true);
    expect(mayBegin(tomato, early, defaultRules, earliest)).toBe(true);
    expect(mayBegin(tomato, early, defaultRules, '2025-12-31')).toBe(true);
    expect(mayBegin(tomato, early, defaultRules, addDays(earliest, -1))).toBe(false);
    const { latest } = startOf(computeMilestones(tomato, early, defaultRules)!)!.window;
    expect(latest >= '2026-01-01').toBe(true);
    // What somebody chose does not widen its own window.
    const chosen = { ...tomato, startOn: '2025-08-01' };
    expect(mayBegin(chosen, early, defaultRules, '2025-08-01')).toBe(false);
  });

  it('knows no window of what is not grown that way', () => {
    const sown = plan('potato', { method: 'sowInPlace' });
    expect(computeMilestones(sown, early, defaultRules)).toBeNull();
    expect(mayBegin(sown, early, defaultRules, '2025-12-31')).toBe(false);
    expect(mayBegin(sown, early, defaultRules, '2026-01-01')).toBe(true);
    expect(seasonToPlan(sown, early, defaultRules, '2026-12-01')).toBe(2026);
  });

  it('reaches past the end of the season, to the last day of a window that does', () => {
    const spinach = plan('spinach', { cropping: 'autumn' });
    const { latest } = startOf(computeMilestones(spinach, desert, defaultRules)!)!.window;
    expect(latest > '2026-12-31').toBe(true);
    expect(mayBegin(spinach, desert, defaultRules, latest)).toBe(true);
    expect(mayBegin(spinach, desert, defaultRules, addDays(latest, 1))).toBe(false);
  });
});

// From memory of regional calendars: tomatoes have a fall crop in the humid South and none in the North; bush beans have one
// inland, and none on a cool coast.
describe('the parts of a season that a crop has of its own', () => {
  const own = (
    id: string,
    { place, normals }: Region,
    method: 'sowInPlace' | 'startIndoors' = 'sowInPlace',
  ) => {
    const { cropping: _, startOn: __, ...way } = plan(id, { method });
    return ownCroppings(way, almanacOf(climateOfNormals(place, normals)), defaultRules);
  };

  it('are spring and fall where both are worth it', () => {
    expect(own('tomato', humidSubtropical, 'startIndoors')).toEqual(['spring', 'autumn']);
    expect(own('bush-bean', coldContinental)).toEqual(['spring', 'autumn']);
    for (const id of ['lettuce', 'pea', 'radish', 'spinach'])
      expect(own(id, coldContinental), id).toEqual(['spring', 'autumn']);
  });

  it('are spring alone where fall is the same season, or too short', () => {
    expect(own('tomato', coldContinental, 'startIndoors')).toEqual(['spring']);
    expect(own('tomato', coolOceanic, 'startIndoors')).toEqual(['spring']);
    expect(own('bush-bean', coolOceanic)).toEqual(['spring']);
  });

  it('are those of its row where it has none of its own, or is not grown that way', () => {
    const { cropping: _, startOn: __, ...way } = plan('potato', { method: 'sowInPlace' });
    const { croppings } = way.crop;
    expect(ownCroppings(way, almanac, defaultRules)).toEqual(croppings);
  });
});

describe('the season that is planned for', () => {
  const on = (
    day: string,
    cropId: string,
    over: Partial<ReturnType<typeof plan>> = {},
    seasonDay = almanac,
  ) => seasonToPlan(plan(cropId, over), seasonDay, defaultRules, day);

  it('is this one as long as there is time for it', () => {
    expect(on('2026-01-02', 'tomato')).toBe(2026);
    expect(on('2026-10-05', 'garlic')).toBe(2026);
    expect(on('2026-08-05', 'radish', { cropping: 'autumn' })).toBe(2026);
  });
  it('is the next one once its time is past: from September on for nearly everything', () => {
    for (const cropId of ['tomato', 'pea', 'sweet-corn', 'zucchini']) {
      expect(on('2026-09-01', cropId), cropId).toBe(2027);
      expect(on('2026-12-31', cropId), cropId).toBe(2027);
    }
    expect(on('2026-12-20', 'garlic')).toBe(2027);
    expect(on('2026-11-01', 'radish', { cropping: 'autumn' })).toBe(2027);
  });
  it('turns on the day after the window', () => {
    const { latest } = startOf(computeMilestones(plan('pea'), almanac, defaultRules)!)!.window;
    expect(on(latest, 'pea')).toBe(2026);
    expect(on(addDays(latest, 1), 'pea')).toBe(2027);
  });
  it('goes by the season year of the south', () => {
    // In March the tomatoes of the season that began last July stand; the next are planned for the one that begins in July.
    expect(on('2027-03-10', 'tomato', {}, south)).toBe(2027);
    expect(on('2026-08-10', 'tomato', {}, south)).toBe(2026);
  });
});
