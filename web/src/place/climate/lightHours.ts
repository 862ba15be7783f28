import type { Day } from '@unity-acre/core/calendar';
import { dayLengthHours, sunTimes } from '@unity-acre/core/place';

/**
 * From when to when the sun is up on a day, as hours of a clock. In polar night both are noon; under the midnight sun, and where
 * the sun sets after midnight, light reaches to the end of the day.
 * @param hourOf the clock's hour at an instant, 0 to 24
 */
export function lightHours(
  day: Day,
  latitude: number,
  longitude: number,
  hourOf: (instant: number) => number,
): { rise: number; set: number } {
  const { rise, noon, set } = sunTimes(day, latitude, longitude);
  const atNoon = hourOf(noon);
  if (rise === null || set === null)
    return dayLengthHours(day, latitude, longitude) === 0
      ? { rise: atNoon, set: atNoon }
      : { rise: 0, set: 24 };
  const [up, down] = [hourOf(rise), hourOf(set)];
  return { rise: up > atNoon ? 0 : up, set: down < atNoon ? 24 : down };
}
