import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCoordinate, readCoordinates } from './coordinates.ts';

describe('a place as maps write it', () => {
  it.each([
    ['44.5123, -88.0133', 44.5123, -88.0133],
    ['44.5123 -88.0133', 44.5123, -88.0133],
    ['44.5123,88.0133', 44.5123, 88.0133],
    ['44,5123; -88,0133', 44.5123, -88.0133],
    ['44.5123° N, 88.0133° W', 44.5123, -88.0133],
    ['44.5123°N 88.0133°O', 44.5123, -88.0133],
    ['N 44.5123 W 88.0133', 44.5123, -88.0133],
    ['88.0133 W, 44.5123 N', 44.5123, -88.0133],
    ['44°30\'36.0"N 88°00\'54.0"W', 44.51, -88.015],
    ['44° 30′ 36″ N / 88° 0′ 54″ W', 44.51, -88.015],
    ["44° 30.6' N, 88° 0.9' W", 44.51, -88.015],
    ['−41.29, 174.78', -41.29, 174.78],
    ['41.29 S 174.78 E', -41.29, 174.78],
    ["0°30'S, 0°15'W", -0.5, -0.25],
    ['-0.5, -0.25', -0.5, -0.25],
  ])('%s', (text, latitude, longitude) => {
    const found = readCoordinates(text)!;
    expect(found.latitude).toBeCloseTo(latitude, 9);
    expect(found.longitude).toBeCloseTo(longitude, 9);
  });

  it.each([
    '',
    '44.5',
    'Millrace',
    '44.5, -88, 12',
    '95, 12',
    '44.5, 200',
    '44.5 N, 12 N',
    "44°70'N 88°0'W",
    '44.5 feet, 88',
    "44°60'N 88°0'W",
    "44°0'60\"N 88°0'W",
    '90.1, 10',
    '10, -180.1',
  ])('%j is none', (text) => expect(readCoordinates(text)).toBeNull());

  it('is read back from what was written', () => {
    const angle = (most: number) => fc.integer({ min: -most * 3600, max: most * 3600 });
    fc.assert(
      fc.property(angle(89), angle(179), (north, east) => {
        const inParts = (seconds: number, letters: [string, string]) => {
          const size = Math.abs(seconds);
          const parts = `${Math.floor(size / 3600)}° ${Math.floor(size / 60) % 60}′ ${size % 60}″`;
          return `${parts} ${letters[seconds < 0 ? 1 : 0]}`;
        };
        const found = readCoordinates(`${inParts(north, ['N', 'S'])}, ${inParts(east, ['E', 'W'])}`)!;
        expect(found.latitude).toBeCloseTo(north / 3600, 9);
        expect(found.longitude).toBeCloseTo(east / 3600, 9);
        expect(readCoordinates(`${north / 3600}, ${east / 3600}`)!.latitude).toBeCloseTo(north / 3600, 6);
      }),
    );
  });
});

it('reads one coordinate, and not one of the other axis', () => {
  expect(readCoordinate('44.5', 'latitude')).toBe(44.5);
  expect(readCoordinate(' 44,5 ° N', 'latitude')).toBe(44.5);
  expect(readCoordinate('41.3 S', 'latitude')).toBe(-41.3);
  expect(readCoordinate('88 O', 'longitude')).toBe(-88);
  expect(readCoordinate('120', 'latitude')).toBeNull();
  expect(readCoordinate('120', 'longitude')).toBe(120);
  expect(readCoordinate('88 W', 'latitude')).toBeNull();
  expect(readCoordinate('44.5, 88', 'latitude')).toBeNull();
  expect(readCoordinate('north', 'latitude')).toBeNull();
});
