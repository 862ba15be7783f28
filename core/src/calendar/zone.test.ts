import { expect, it } from 'vitest';
import { dayAt, instantOf, isTimeZone } from './zone.ts';

it('tells the day where the garden is, not where the server is', () => {
  const instant = Date.UTC(2026, 4, 20, 3, 0);
  expect(dayAt(instant, 'America/Chicago')).toBe('2026-05-19');
  expect(dayAt(instant, 'Pacific/Auckland')).toBe('2026-05-20');
});

it('turns wall-clock times into instants across the change to summer time', () => {
  // US daylight saving began on 8 March 2026 (second Sunday in March, 15 U.S.C. 260a).
  expect(instantOf('2026-03-07', '09:00', 'America/Chicago')).toBe(Date.UTC(2026, 2, 7, 15));
  expect(instantOf('2026-03-09', '09:00', 'America/Chicago')).toBe(Date.UTC(2026, 2, 9, 14));
  expect(instantOf('2026-03-08', '02:30', 'America/Chicago')).toBe(Date.UTC(2026, 2, 8, 8, 30));
});

it('knows which time zones exist', () => {
  expect(isTimeZone('America/Chicago')).toBe(true);
  expect(isTimeZone('Alder/Falls')).toBe(false);
  expect(isTimeZone('')).toBe(false);
});
