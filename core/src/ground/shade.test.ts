import fc from 'fast-check';
import { getPosition } from 'suncalc';
import { describe, expect, it } from 'vitest';
import { contains } from './polygon.ts';
import {
  horizonAt,
  hoursOver,
  lightOf,
  monthlyPaths,
  samplesOf,
  seasonMean,
  shadowLength,
  shadowOf,
  sunHours,
  sunPath,
} from './shade.ts';
import { outlineOf, uprightRectangle } from './shape.ts';

const sky = { latitude: 44.5, longitude: -88, north: 0 };
const box = (x: number, y: number, width: number, length: number) =>
  outlineOf(uprightRectangle({ x, y, width, length }));
const open = samplesOf(box(0, 0, 2, 6), 0);
const paths = monthlyPaths(2026, sky);

describe('the shadow of a pole', () => {
  // Height ÷ tan(altitude), away from the sun: the gnomon of any handbook of sundials.
  it('is as long as suncalc’s sun makes it, at noon of the equinox and of midsummer', () => {
    for (const instant of ['2026-03-20T17:59:00Z', '2026-06-21T17:54:00Z']) {
      const { altitude } = getPosition(new Date(instant), sky.latitude, sky.longitude);
      const degrees = (altitude * 180) / Math.PI;
      // Worked by hand: 90° − 44.5° = 45.5° and 90° − 44.5° + 23.44° = 68.94°.
      expect(degrees).toBeCloseTo(instant.includes('-03-') ? 45.5 : 68.94, 0);
      expect(shadowLength(2, degrees)).toBeCloseTo(instant.includes('-03-') ? 1.965 : 0.77, 1);
    }
  });

  it('falls north at noon, and west of the pole in the morning', () => {
    const pole = { outline: box(-0.05, -0.05, 0.1, 0.1), height: 2 };
    const noon = shadowOf(pole, { altitude: 45, azimuth: 180 }, 0);
    expect(noon.some((part) => contains(part, { x: 0, y: 1.9 }))).toBe(true);
    expect(noon.some((part) => contains(part, { x: 0, y: 2.2 }))).toBe(false);
    const morning = shadowOf(pole, { altitude: 45, azimuth: 90 }, 0);
    expect(morning.some((part) => contains(part, { x: -1.9, y: 0 }))).toBe(true);
    // A plan whose top looks east has the noon shadow on its left.
    const turned = shadowOf(pole, { altitude: 45, azimuth: 180 }, -90);
    expect(turned.some((part) => contains(part, { x: -1.9, y: 0 }))).toBe(true);
    expect(shadowOf(pole, { altitude: -1, azimuth: 180 }, 0)).toEqual([]);
  });

  it('covers just those places from which the sun is behind it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 359, noNaN: true }),
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: -90, max: 90, noNaN: true }),
        (altitude, azimuth, height, x, y, north) => {
          const wall = { outline: box(-1, -1, 2, 2), height };
          const place = { x, y };
          const parts = shadowOf(wall, { altitude, azimuth }, north);
          const shaded = parts.some((part) => contains(part, place));
          const horizon = horizonAt(place, 0, [wall]);
          const seen = hoursOver(horizon, { positions: [{ altitude, azimuth }], minutes: 60 }, north) === 1;
          // The horizon is kept every half degree; a place within that of a shadow's edge may go either way.
          const nearEdge = [0.3, -0.3].some((turn) => {
            const other = shadowOf(wall, { altitude: altitude + turn, azimuth: azimuth + 2 * turn }, north);
            const third = shadowOf(wall, { altitude: altitude + turn, azimuth: azimuth - 2 * turn }, north);
            return [other, third].some((s) => s.some((part) => contains(part, place)) !== shaded);
          });
          if (!nearEdge) expect(seen).toBe(!shaded);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('hours of sun', () => {
  it('on open ground are the hours suncalc has the sun up, to a quarter of an hour', () => {
    const hours = sunHours(open, [], paths, 0);
    for (const [month, found] of hours.entries()) {
      let up = 0;
      for (let minute = 0; minute < 1440; minute += 2) {
        const at = new Date(Date.UTC(2026, month, 15, 6, minute));
        if (getPosition(at, sky.latitude, sky.longitude).altitude > (0.5 * Math.PI) / 180) up += 2 / 60;
      }
      expect(Math.abs(found - up)).toBeLessThan(0.26);
    }
  });

  it('are nearly halved by a long high wall close on the east', () => {
    const wall = { outline: box(2.2, -100, 0.2, 206), height: 30 };
    const [before, after] = [sunHours(open, [], paths, 0), sunHours(open, [wall], paths, 0)];
    expect(after[5]! / before[5]!).toBeGreaterThan(0.4);
    expect(after[5]! / before[5]!).toBeLessThan(0.55);
  });

  it('are taken by a hedge in the south more in winter than in summer, and in the north hardly', () => {
    const south = sunHours(open, [{ outline: box(-20, -3, 42, 1), height: 3 }], paths, 0);
    const north = sunHours(open, [{ outline: box(-20, 8, 42, 1), height: 3 }], paths, 0);
    const free = sunHours(open, [], paths, 0);
    expect(south[11]! / free[11]!).toBeLessThan(0.35);
    expect(south[5]! / free[5]!).toBeGreaterThan(0.75);
    expect(north[11]! / free[11]!).toBe(1);
  });

  it('never grow when something more stands there, and are as long for a high box as the box is above it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 10, noNaN: true }),
        fc.double({ min: -10, max: 10, noNaN: true }),
        fc.double({ min: 0.2, max: 6, noNaN: true }),
        (x, y, height) => {
          const wall = { outline: box(x, y, 1.5, 3), height };
          const free = sunHours(open, [], paths, 0);
          for (const [month, hours] of sunHours(open, [wall], paths, 0).entries()) {
            expect(hours).toBeLessThanOrEqual(free[month]! + 1e-9);
          }
          expect(sunHours({ ...open, height }, [wall], paths, 0)).toEqual(free);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('lose to a trellised crop only in the months it stands', () => {
    const months = Array.from({ length: 12 }, (_, month) => month >= 6 && month <= 8);
    const beans = { outline: box(-1, -0.4, 6, 0.3), height: 2, months };
    const [free, shaded] = [sunHours(open, [], paths, 0), sunHours(open, [beans], paths, 0)];
    expect(shaded[4]).toBe(free[4]);
    expect(shaded[7]!).toBeLessThan(free[7]!);
  });

  it('are not taken from a crop by itself, and all taken under a tree', () => {
    const over = { outline: box(-1, -1, 4, 8), height: 2 };
    const summer = Array.from({ length: 12 }, (_, month) => month === 6);
    expect(sunHours(open, [{ ...over, months: summer }], paths, 0)).toEqual(sunHours(open, [], paths, 0));
    expect(sunHours(open, [over], paths, 0)).toEqual(new Array(12).fill(0));
  });

  it('make a bed sunny or shady, over a season that may run across the new year', () => {
    expect([7, 6, 4, 3, 2].map(lightOf)).toEqual(['full', 'full', 'part', 'part', 'shade']);
    expect(seasonMean([8, 6, 0, 0, 0, 0, 0, 0, 0, 0, 4, 6], 10, 1)).toBe(6);
    expect(seasonMean([0, 0, 0, 0, 6, 8, 8, 6, 0, 0, 0, 0], 4, 7)).toBe(7);
  });

  it('are none in polar night and all day under the midnight sun', () => {
    expect(sunPath('2026-12-21', { latitude: 70, longitude: 20 }).positions).toEqual([]);
    expect(sunPath('2026-06-21', { latitude: 70, longitude: 20 }).positions.length).toBe(144);
  });
});
