import { describe, expect, it } from 'vitest';
import {
  almanacOf,
  climateOfExtremes,
  climateOfNormals,
  extremesOf,
  frostDates,
  frostsOfNormals,
  normalsOfExtremes,
} from '../index.ts';
import { towns } from '../towns/index.ts';

const inland = { warmest: { low: 15, high: 28 }, coldest: { low: -13, high: -3 } };
const north = { latitude: 43, longitude: -89, lastFrost: '05-05', firstFrost: '10-05' };

describe('the warmest and the coldest month', () => {
  it('come to monthly means that have them', () => {
    for (const latitude of [43, -43]) {
      const { warmest, coldest } = extremesOf(normalsOfExtremes(latitude, inland));
      for (const kind of ['low', 'high'] as const) {
        expect(warmest[kind]).toBeCloseTo(inland.warmest[kind], 0);
        expect(coldest[kind]).toBeCloseTo(inland.coldest[kind], 0);
      }
    }
  });

  it('lie in July and January in the north, and the other way round in the south', () => {
    const { high } = normalsOfExtremes(43, inland);
    const south = normalsOfExtremes(-43, inland).high;
    expect([high.indexOf(Math.max(...high)), high.indexOf(Math.min(...high))]).toEqual([6, 0]);
    expect([south.indexOf(Math.max(...south)), south.indexOf(Math.min(...south))]).toEqual([0, 6]);
  });

  it('stand for the twelve means of a town within three and a half degrees, on the average of the year', () => {
    for (const { name, latitude, normals } of towns) {
      // Between the tropics the year has two summers, or its warmest month before the rains.
      if (Math.abs(latitude) < 30) continue;
      const guessed = normalsOfExtremes(latitude, extremesOf(normals));
      const off = guessed.high.map((value, month) => Math.abs(value - normals.high[month]!));
      expect(off.reduce((sum, value) => sum + value, 0) / 12, name).toBeLessThan(3.5);
    }
  });

  it('make a climate with the frosts as typed, warm in summer and cold in winter', () => {
    const climate = climateOfExtremes(north, inland);
    expect(climate.basis).toBe('extremes');
    const almanac = almanacOf(climate);
    expect(frostDates(almanac, 2026)).toEqual({ lastFrost: '2026-05-05', firstFrost: '2026-10-05' });
    expect(Math.max(...almanac.high)).toBeCloseTo(28, 0);
    expect(Math.min(...almanac.low)).toBeCloseTo(-13, 0);
  });
});

describe('frosts', () => {
  it('are proposed from monthly means, within three weeks of the medians in a cold inland place', () => {
    const madison = towns.find(({ name }) => name === 'Madison')!;
    const frosts = frostsOfNormals(madison.latitude, madison.normals)!;
    // Median frosts of Madison, from memory of the U.S. climate normals: 5 May and 5 October.
    expect(frosts.lastFrost >= '04-20' && frosts.lastFrost <= '05-20').toBe(true);
    expect(frosts.firstFrost >= '09-20' && frosts.firstFrost <= '10-20').toBe(true);
  });

  it('are none where no month is cold', () => {
    const singapore = towns.find(({ name }) => name === 'Singapore')!;
    expect(frostsOfNormals(singapore.latitude, singapore.normals)).toBeNull();
  });

  it('never come, at any threshold below freezing, in a place that has none', () => {
    const place = { latitude: 1.4, longitude: 104, lastFrost: null, firstFrost: null };
    const almanac = almanacOf(
      climateOfNormals(place, towns.find(({ name }) => name === 'Singapore')!.normals),
    );
    expect(frostDates(almanac, 2026)).toEqual({ lastFrost: null, firstFrost: null });
    for (const thresholdC of [-8, -4, -0.5, 0]) {
      expect(almanac.lastFreeze(thresholdC).share).toBe(0);
      expect(almanac.firstFreeze(thresholdC).share).toBe(0);
    }
  });

  it('that fall across the new year are kept as typed', () => {
    const desert = { warmest: { low: 29, high: 41 }, coldest: { low: 8, high: 20 } };
    const place = { latitude: 33, longitude: -112, lastFrost: '02-05', firstFrost: '01-03' };
    const frosts = frostDates(almanacOf(climateOfExtremes(place, desert)), 2026);
    expect(frosts).toEqual({ lastFrost: '2026-02-05', firstFrost: '2027-01-03' });
  });
});
