import { Temporal } from 'temporal-polyfill';
import type { ClockTime, Day } from './day.ts';

/** True for an IANA time zone this runtime knows. */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return zone.length > 0;
  } catch {
    return false;
  }
}

/** The day it is in `zone` at an instant. @param instant milliseconds since the epoch */
export const dayAt = (instant: number, zone: string): Day =>
  Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone).toPlainDate().toString();

/** The hour it is in `zone` at an instant, 0 to 23. @param instant milliseconds since the epoch */
export const hourAt = (instant: number, zone: string): number =>
  Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone).hour;

/**
 * The instant of a wall-clock time. A time skipped in spring is taken after the gap, a time met twice in
 * autumn the first time (Temporal's "compatible").
 * @returns milliseconds since the epoch
 */
export const instantOf = (day: Day, time: ClockTime, zone: string): number =>
  Temporal.PlainDateTime.from(`${day}T${time}`).toZonedDateTime(zone).epochMilliseconds;
