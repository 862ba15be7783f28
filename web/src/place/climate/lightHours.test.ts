import { expect, it } from 'vitest';
import { lightHours } from './lightHours.ts';

/** A clock that is so many hours ahead of Greenwich. */
const clock = (ahead: number) => (instant: number) => (((instant / 3_600_000 + ahead) % 24) + 24) % 24;
const on = (day: string, latitude: number, longitude = 0, ahead = 0) =>
  lightHours(day, latitude, longitude, clock(ahead));

it('is light from sunrise to sunset', () => {
  // Twelve hours and a little at the equinox, everywhere. Fact of astronomy.
  const { rise, set } = on('2026-03-20', 44.5);
  expect(rise).toBeCloseTo(6.06, 1);
  expect(set).toBeCloseTo(18.18, 1);
});

it('is dark all day in polar night, and light all day under the midnight sun', () => {
  const night = on('2026-12-21', 69.6, 19, 1);
  expect(night.set - night.rise).toBe(0);
  expect(night.rise).toBeGreaterThan(11);
  expect(night.rise).toBeLessThan(13);
  expect(on('2026-06-21', 69.6, 19, 2)).toEqual({ rise: 0, set: 24 });
  expect(on('2026-06-21', -69.6, 19, 2).rise).toBe(on('2026-06-21', -69.6, 19, 2).set);
});

it('reaches to the end of the day where the sun sets after midnight, and from its beginning where it rises before', () => {
  const west = on('2026-06-21', 65, -10, 1);
  expect(west.set).toBe(24);
  expect(west.rise).toBeGreaterThan(2);
  const east = on('2026-06-21', 65, 30, 0);
  expect(east.rise).toBe(0);
  expect(east.set).toBeLessThan(22);
});
