import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { almanacOf, climateOfFrosts } from '../../place/index.ts';
import { defaultRules } from '../rules.ts';
import { almanac, plan } from '../testing.ts';
import { computeMilestones, mayBegin, seasonToPlan } from './computeMilestones.ts';
import { startOf } from './milestone.ts';

const early = almanacOf(
  climateOfFrosts({ latitude: 31, longitude: -90, lastFrost: '02-10', firstFrost: '12-01' }),
);
const south = almanacOf(
  climateOfFrosts({ latitude: -41, longitude: 174, lastFrost: '10-05', firstFrost: '05-01' }),
);

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
    // What somebody chose does not widen its own window.
    const chosen = { ...tomato, startOn: '2025-08-01' };
    expect(mayBegin(chosen, early, defaultRules, '2025-08-01')).toBe(false);
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
