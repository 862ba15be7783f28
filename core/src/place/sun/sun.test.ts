import fc from 'fast-check';
import SunCalc from 'suncalc';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../calendar/index.ts';
import { dayLengthHours, noonAltitude, solarNoon, sunPosition } from './sun.ts';

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
