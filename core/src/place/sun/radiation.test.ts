import SunCalc from 'suncalc';
import { describe, expect, it } from 'vitest';
import { daylightHours, skyRadiation, soilTemperatures, sunTimes } from '../index.ts';

// FAO Irrigation and Drainage Paper 56, chapter 3: 3 September at 20° S is day 246.
describe('the worked examples of FAO-56', () => {
  it('example 8: radiation above the atmosphere is 32.2 MJ per m² and day', () => {
    expect(skyRadiation(-20, 246)).toBeCloseTo(32.2, 1);
  });

  it('example 9: there are 11.7 hours of daylight', () => {
    expect(daylightHours(-20, 246)).toBeCloseTo(11.7, 1);
  });

  // Annex 2, table 2.7: daylight hours on the 15th of the month, northern hemisphere, from memory.
  it.each([
    [40, 15, 9.6],
    [40, 166, 14.9],
    [0, 166, 12],
  ])('table 2.7: %d° N on day %d has %d hours', (latitude, day, hours) => {
    expect(Math.abs(daylightHours(latitude, day) - hours)).toBeLessThan(0.15);
  });
});

it('rises and sets the sun when the suncalc library does, within four minutes', () => {
  for (const day of ['2026-01-15', '2026-04-15', '2026-07-15', '2026-10-15']) {
    const ours = sunTimes(day, 44.5, -88);
    const theirs = SunCalc.getTimes(new Date(ours.noon), 44.5, -88);
    expect(Math.abs(ours.rise! - theirs.sunrise.getTime())).toBeLessThan(240_000);
    expect(Math.abs(ours.set! - theirs.sunset.getTime())).toBeLessThan(240_000);
  }
  expect(sunTimes('2026-12-21', 75, 20).rise).toBeNull();
});

describe('soil', () => {
  const year = Array.from({ length: 365 }, (_, i) => 10 - 14 * Math.cos((2 * Math.PI * (i - 20)) / 365));
  const air = { low: year.map((t) => t - 6), high: year.map((t) => t + 6), dayOfYear: (i: number) => i + 1 };
  const soil = (depth: number, cover: 'bare' | 'film' | 'mulch' = 'bare') =>
    soilTemperatures(air, 44.5, depth, cover, 10, -2);

  it('keeps four fifths of the day before: a step of air at the surface takes days to arrive', () => {
    const flat = { low: new Array(60).fill(5), high: new Array(60).fill(5), dayOfYear: () => 100 };
    const warming = soilTemperatures(flat, 44.5, 1, 'bare', 5, 15);
    // Without a range of temperature there is no sun in the formula: 5 + 10 · 0.8ⁿ.
    expect(warming[0]).toBeCloseTo(13, 1);
    expect(warming[4]).toBeCloseTo(5 + 10 * 0.8 ** 5, 1);
  });

  it('is behind the air in spring and far behind a sunny afternoon', () => {
    // KNOWLEDGE 3.1: in spring 10 to 15 °C colder than a sunny afternoon's air. Common practice, no source.
    const april = 105;
    expect(soil(50)[april]!).toBeLessThan(air.high[april]!);
    expect(air.high[april]! + 5 - soil(50)[april]!).toBeGreaterThan(8);
  });

  it('swings less the deeper it lies', () => {
    const swing = (depth: number) => Math.max(...soil(depth)) - Math.min(...soil(depth));
    expect(swing(500)).toBeLessThan(swing(50));
  });

  it('is about a week ahead under black film, and behind under straw', () => {
    // KNOWLEDGE 5: "Black film warms soil about a week ahead". Common practice, no source.
    const reaches = (cover: 'bare' | 'film' | 'mulch') => soil(50, cover).findIndex((t) => t >= 12);
    const ahead = reaches('bare') - reaches('film');
    expect(ahead).toBeGreaterThanOrEqual(4);
    expect(ahead).toBeLessThanOrEqual(12);
    expect(reaches('mulch')).toBeGreaterThan(reaches('bare'));
  });
});
