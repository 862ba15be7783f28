import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar/index.ts';
import { frostDates, frostRisk, frostsInOrder, growingDays, lastFrostPast, normalShare } from './frost.ts';

const north = { latitude: 44.5, longitude: -88, lastFrost: '05-10', firstFrost: '10-03' };
const south = { latitude: -41, longitude: 174, lastFrost: '10-05', firstFrost: '05-01' };

describe('frost dates', () => {
  it('lie within one year in the north and across the new year in the south', () => {
    expect(frostDates(north, 2026)).toEqual({ lastFrost: '2026-05-10', firstFrost: '2026-10-03' });
    expect(frostDates(south, 2026)).toEqual({ lastFrost: '2026-10-05', firstFrost: '2027-05-01' });
    expect(growingDays(north, 2026)).toBe(146);
    expect(growingDays(south, 2026)).toBe(208);
  });

  it('must leave a season between them', () => {
    expect(frostsInOrder(north)).toBe(true);
    expect(frostsInOrder(south)).toBe(true);
    expect(frostsInOrder({ ...north, lastFrost: '10-10' })).toBe(false);
    expect(frostsInOrder({ ...south, latitude: 41 })).toBe(false);
  });
});

describe('frost risk', () => {
  it('is even at the medians, high in winter, small in summer', () => {
    expect(frostRisk(north, 2026, '2026-05-10')).toBeCloseTo(0.5, 6);
    expect(frostRisk(north, 2026, '2026-10-03')).toBeCloseTo(0.5, 6);
    expect(frostRisk(north, 2026, '2026-03-01')).toBeGreaterThan(0.99);
    expect(frostRisk(north, 2026, '2026-07-15')).toBeLessThan(0.001);
  });

  it('never rises in spring and never falls in autumn', () => {
    for (let n = 0; n < 60; n++) {
      const spring = addDays('2026-04-10', n);
      expect(frostRisk(north, 2026, addDays(spring, 1))).toBeLessThanOrEqual(frostRisk(north, 2026, spring));
      const autumn = addDays('2026-09-01', n);
      expect(frostRisk(north, 2026, addDays(autumn, 1))).toBeGreaterThanOrEqual(
        frostRisk(north, 2026, autumn),
      );
    }
  });

  it('is past in nine years of ten about two weeks after the median', () => {
    expect(lastFrostPast(north, 2026, 0.9)).toBe('2026-05-24');
    expect(lastFrostPast(north, 2026, 0.5)).toBe('2026-05-10');
    expect(lastFrostPast(north, 2026, 0.1)).toBe('2026-04-26');
  });
});

// Abramowitz & Stegun, Handbook of Mathematical Functions, table 26.1.
it.each([
  [0, 0.5],
  [1, 0.841344746],
  [1.28, 0.899727432],
  [2, 0.977249868],
  [-1, 0.158655254],
])('normal share below %d is %d', (z, share) => {
  expect(normalShare(z)).toBeCloseTo(share, 6);
});
