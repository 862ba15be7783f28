import { type Day, noonAtGreenwich } from '../../calendar/index.ts';

const RADIANS = Math.PI / 180;
/** Altitude of the sun's centre at rise and set: refraction and half its disc. */
const HORIZON_DEGREES = -0.833;
const DAY_MS = 86_400_000;

/** Where the sun stands, in degrees. Azimuth is from north through east. */
export interface SunPosition {
  altitude: number;
  azimuth: number;
}

/**
 * The sun's declination and the equation of time.
 * Source: Meeus, Astronomical Algorithms, ch. 25 and 28, in the form of NOAA's solar calculator.
 * @param instant milliseconds since the epoch
 * @returns declination in degrees, equation of time in minutes
 */
function solarTerms(instant: number): { declination: number; equationMinutes: number } {
  const century = (instant / DAY_MS + 2440587.5 - 2451545) / 36525;
  const meanLongitude = 280.46646 + century * (36000.76983 + century * 0.0003032);
  const anomaly = (357.52911 + century * (35999.05029 - 0.0001537 * century)) * RADIANS;
  const eccentricity = 0.016708634 - century * (0.000042037 + 0.0000001267 * century);
  const centre =
    Math.sin(anomaly) * (1.914602 - century * (0.004817 + 0.000014 * century)) +
    Math.sin(2 * anomaly) * (0.019993 - 0.000101 * century) +
    Math.sin(3 * anomaly) * 0.000289;
  const node = (125.04 - 1934.136 * century) * RADIANS;
  const apparent = (meanLongitude + centre - 0.00569 - 0.00478 * Math.sin(node)) * RADIANS;
  const obliquity = (23.4392911 - 0.0130042 * century + 0.00256 * Math.cos(node)) * RADIANS;
  const declination = Math.asin(Math.sin(obliquity) * Math.sin(apparent)) / RADIANS;
  const y = Math.tan(obliquity / 2) ** 2;
  const longitude = meanLongitude * RADIANS;
  const equation =
    y * Math.sin(2 * longitude) -
    2 * eccentricity * Math.sin(anomaly) +
    4 * eccentricity * y * Math.sin(anomaly) * Math.cos(2 * longitude) -
    0.5 * y * y * Math.sin(4 * longitude) -
    1.25 * eccentricity * eccentricity * Math.sin(2 * anomaly);
  return { declination, equationMinutes: (4 * equation) / RADIANS };
}

/** @param instant milliseconds since the epoch @param latitude degrees @param longitude degrees, east positive */
export function sunPosition(instant: number, latitude: number, longitude: number): SunPosition {
  const { declination, equationMinutes } = solarTerms(instant);
  const minutesOfDay = (instant % DAY_MS) / 60_000;
  const hourAngle = ((minutesOfDay + equationMinutes + 4 * longitude) / 4 - 180) * RADIANS;
  const phi = latitude * RADIANS;
  const delta = declination * RADIANS;
  const altitude = Math.asin(
    Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.cos(hourAngle),
  );
  const azimuth = Math.atan2(
    Math.sin(hourAngle),
    Math.cos(hourAngle) * Math.sin(phi) - Math.tan(delta) * Math.cos(phi),
  );
  return { altitude: altitude / RADIANS, azimuth: (azimuth / RADIANS + 180 + 360) % 360 };
}

/** The instant of the sun's highest stand on `day`, milliseconds since the epoch. */
export function solarNoon(day: Day, longitude: number): number {
  const utcNoon = noonAtGreenwich(day);
  const first = utcNoon - longitude * 4 * 60_000;
  return utcNoon - (longitude * 4 + solarTerms(first).equationMinutes) * 60_000;
}

/** The sun's altitude at its highest stand on `day`, degrees. */
export const noonAltitude = (day: Day, latitude: number, longitude: number): number =>
  sunPosition(solarNoon(day, longitude), latitude, longitude).altitude;

/** The sun's day: instants, milliseconds since the epoch. Null where it does not rise or does not set. */
export function sunTimes(
  day: Day,
  latitude: number,
  longitude: number,
): { rise: number | null; noon: number; set: number | null } {
  const noon = solarNoon(day, longitude);
  const hours = dayLengthHours(day, latitude, longitude);
  if (hours === 0 || hours === 24) return { rise: null, noon, set: null };
  return { rise: noon - hours * 1_800_000, noon, set: noon + hours * 1_800_000 };
}

/** Hours from sunrise to sunset on `day`: 0 in polar night, 24 under the midnight sun. */
export function dayLengthHours(day: Day, latitude: number, longitude: number): number {
  const phi = latitude * RADIANS;
  const delta = solarTerms(solarNoon(day, longitude)).declination * RADIANS;
  const cosine =
    (Math.sin(HORIZON_DEGREES * RADIANS) - Math.sin(phi) * Math.sin(delta)) /
    (Math.cos(phi) * Math.cos(delta));
  if (cosine >= 1) return 0;
  if (cosine <= -1) return 24;
  return (2 * Math.acos(cosine)) / RADIANS / 15;
}
