import fc from 'fast-check';
import SunCalc from 'suncalc';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { dayLengthHours, noonAltitude, solarNoon, sunPosition, sunTimes } from './sun.ts';

const degrees = (radians: number) => (radians * 180) / Math.PI;
const latitudes = fc.double({ min: -60, max: 60, noNaN: true });
const longitudes = fc.double({ min: -180, max: 180, noNaN: true });
const days = fc.integer({ min: 0, max: 730 }).map((n) => addDays('2026-01-01', n));

describe('against the suncalc library', () => {
  it('agrees on the length of the day within three minutes, suncalc itself working with a shorter series', () => {
    fc.assert(
      fc.property(latitudes, longitudes, days, (latitude, longitude, day) => {
        const times = SunCalc.getTimes(new Date(solarNoon(day, longitude)), latitude, longitude);
        const hours = (times.sunset.getTime() - times.sunrise.getTime()) / 3_600_000;
        expect(Math.abs(dayLengthHours(day, latitude, longitude) - hours)).toBeLessThan(3 / 60);
      }),
    );
  });

  it('agrees on the noon altitude within a quarter of a degree', () => {
    fc.assert(
      fc.property(latitudes, longitudes, days, (latitude, longitude, day) => {
        const noon = new Date(solarNoon(day, longitude));
        const theirs = degrees(SunCalc.getPosition(noon, latitude, longitude).altitude);
        expect(Math.abs(noonAltitude(day, latitude, longitude) - theirs)).toBeLessThan(0.25);
      }),
    );
  });

  it('agrees on where the sun stands through the day', () => {
    for (let hour = 0; hour < 24; hour++) {
      const instant = Date.UTC(2026, 4, 20, hour);
      const theirs = SunCalc.getPosition(new Date(instant), 44.5, -88);
      const ours = sunPosition(instant, 44.5, -88);
      expect(Math.abs(ours.altitude - degrees(theirs.altitude))).toBeLessThan(0.25);
      // suncalc counts azimuth from south through west.
      const difference = (ours.azimuth - (degrees(theirs.azimuth) + 180) + 540) % 360;
      expect(Math.abs(difference - 180)).toBeLessThan(0.5);
    }
  });
});

it('has polar night and midnight sun', () => {
  expect(dayLengthHours('2026-06-21', 75, 20)).toBe(24);
  expect(dayLengthHours('2026-12-21', 75, 20)).toBe(0);
});

it('stands at 90° − latitude + declination at noon of the June solstice', () => {
  // Obliquity 23.44° (IAU): the sun's declination at the solstice.
  expect(noonAltitude('2026-06-21', 44.5, -88)).toBeCloseTo(90 - 44.5 + 23.44, 1);
});

// Meeus, Astronomical Algorithms, examples 25.a and 28.b: 13 October 1992 at 0h, from memory.
describe('against worked examples of Meeus', () => {
  it('has the sun 7.785° south of the equator, seen as its height at the pole', () => {
    const declination = sunPosition(Date.UTC(1992, 9, 13), 90, 0).altitude;
    expect(Math.abs(declination + 7.785)).toBeLessThan(0.003);
  });

  it('has the sun 13 minutes and 43 seconds ahead of the clock', () => {
    // The example is for 0h; by noon the sun has gained half of some 14 seconds a day.
    const ahead = (Date.UTC(1992, 9, 13, 12) - solarNoon('1992-10-13', 0)) / 60_000;
    expect(Math.abs(ahead - 13.83)).toBeLessThan(0.04);
  });

  it('has the extremes of the equation of time: −14.2 minutes in February, +16.4 in November', () => {
    const ahead = (day: string) => (Date.parse(`${day}T12:00:00Z`) - solarNoon(day, 0)) / 60_000;
    expect(ahead('2026-02-11')).toBeCloseTo(-14.2, 1);
    expect(Math.abs(ahead('2026-11-03') - 16.43)).toBeLessThan(0.1);
    expect(Math.abs(ahead('2026-04-15'))).toBeLessThan(0.3);
  });
});

describe('the sun’s day', () => {
  it('comes four minutes later for each degree to the west', () => {
    const noon = (longitude: number) => solarNoon('2026-05-20', longitude);
    expect((noon(-90) - noon(0)) / 60_000).toBeCloseTo(360, 0);
    expect((noon(150) - noon(0)) / 60_000).toBeCloseTo(-600, 0);
  });

  it('rises and sets as long before noon as after, in the east and in the west', () => {
    const { rise, noon, set } = sunTimes('2026-05-20', 44.5, -88);
    expect(noon - rise!).toBe(set! - noon);
    expect((set! - rise!) / 3_600_000).toBeCloseTo(dayLengthHours('2026-05-20', 44.5, -88), 6);
    const [morning, evening] = [rise!, set!].map((instant) => sunPosition(instant, 44.5, -88));
    // Its centre stands at the horizon's refraction.
    expect(Math.abs(morning!.altitude + 0.833)).toBeLessThan(0.15);
    expect(Math.abs(evening!.altitude + 0.833)).toBeLessThan(0.15);
    expect(morning!.azimuth).toBeGreaterThan(55);
    expect(morning!.azimuth).toBeLessThan(65);
    expect(evening!.azimuth).toBeCloseTo(360 - morning!.azimuth, 0);
    expect(sunPosition(noon, 44.5, -88).azimuth).toBeCloseTo(180, 0);
  });

  it('has no rise nor set in polar night and midnight sun', () => {
    for (const day of ['2026-06-21', '2026-12-21']) {
      expect(sunTimes(day, 75, 20)).toMatchObject({ rise: null, set: null });
      expect(Number.isFinite(sunTimes(day, 75, 20).noon)).toBe(true);
    }
  });
});
