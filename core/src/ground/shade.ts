import { addDays, type Day } from '../calendar/index.ts';
import { type SunPosition, solarNoon, sunPosition } from '../place/index.ts';
import { contains, edgesOf, gridInside, type Point } from './polygon.ts';

/** Something that stands on the ground and keeps the sun off. */
export interface Obstacle {
  outline: readonly Point[];
  /** metres */
  height: number;
  /** months in which it stands, January first; absent for what always does */
  months?: readonly boolean[];
}

/** Where a garden lies under the sun. */
export interface Sky {
  latitude: number;
  longitude: number;
  /** degrees that true north lies clockwise from the top of the plan */
  north: number;
}

const RADIANS = Math.PI / 180;
/** Directions in which a horizon is kept: every half degree. */
const DIRECTIONS = 720;
const STEP_MINUTES = 10;
/** Below this the sun is behind the land's own horizon more often than not, degrees. */
const LEAST_ALTITUDE = 0.5;

/**
 * How high the sun has to stand in each direction to be seen from a place: the altitude of the highest obstacle, by
 * direction on the plan clockwise from its top.
 * @param z height of the place itself, metres
 */
export function horizonAt(
  place: Point,
  z: number,
  obstacles: readonly Obstacle[],
  start?: Float32Array,
): Float32Array {
  const horizon = start ? Float32Array.from(start) : new Float32Array(DIRECTIONS);
  for (const { outline, height, months } of obstacles) {
    const above = height - z;
    if (above <= 0) continue;
    if (contains(outline, place)) {
      // Under a tree or a roof there is no sun; a crop has its leaves where the sun is.
      if (!months) horizon.fill(90);
      continue;
    }
    for (const [a, b] of edgesOf(outline)) raiseBy(horizon, place, a, b, above);
  }
  return horizon;
}

/** Raises a horizon by a wall from `a` to `b`. */
function raiseBy(horizon: Float32Array, place: Point, a: Point, b: Point, above: number): void {
  const [ax, ay, bx, by] = [a.x - place.x, a.y - place.y, b.x - place.x, b.y - place.y];
  const from = (Math.atan2(ax, ay) / RADIANS + 360) % 360;
  const turn = ((Math.atan2(bx, by) / RADIANS - from + 540) % 360) - 180;
  const [low, high] = turn >= 0 ? [from, from + turn] : [from + turn, from];
  const perBin = 360 / DIRECTIONS;
  const [dx, dy] = [bx - ax, by - ay];
  const area = ax * by - ay * bx;
  for (let bin = Math.ceil(low / perBin - 0.5); (bin + 0.5) * perBin <= high; bin++) {
    const bearing = (bin + 0.5) * perBin * RADIANS;
    // The ray t·(sin, cos) meets the line through the wall.
    const [sx, sy] = [Math.sin(bearing), Math.cos(bearing)];
    const denominator = sx * dy - sy * dx;
    if (Math.abs(denominator) < 1e-12) continue;
    const distance = area / denominator;
    if (!(distance > 0)) continue;
    const altitude = Math.atan2(above, distance) / RADIANS;
    const at = ((bin % DIRECTIONS) + DIRECTIONS) % DIRECTIONS;
    if (altitude > horizon[at]!) horizon[at] = altitude;
  }
}

/** The sun's stands on one day, each with the minutes it is good for. */
export interface SunPath {
  positions: SunPosition[];
  minutes: number;
}

/** The sun's path over a day, while it is up. Source: `sunPosition`. */
export function sunPath(day: Day, { latitude, longitude }: Pick<Sky, 'latitude' | 'longitude'>): SunPath {
  const noon = solarNoon(day, longitude);
  const positions: SunPosition[] = [];
  for (let minute = -720 + STEP_MINUTES / 2; minute < 720; minute += STEP_MINUTES) {
    const position = sunPosition(noon + minute * 60_000, latitude, longitude);
    if (position.altitude > LEAST_ALTITUDE) positions.push(position);
  }
  return { positions, minutes: STEP_MINUTES };
}

/** The path of the 15th of each month, which stands for the month. */
export const monthlyPaths = (year: number, sky: Pick<Sky, 'latitude' | 'longitude'>): SunPath[] =>
  Array.from({ length: 12 }, (_, month) =>
    sunPath(addDays(`${year}-${String(month + 1).padStart(2, '0')}-01`, 14), sky),
  );

/** Hours in which the sun is seen over a horizon on one day. */
export function hoursOver(horizon: Float32Array, { positions, minutes }: SunPath, north: number): number {
  let seen = 0;
  for (const { altitude, azimuth } of positions) {
    const onPlan = (((azimuth + north) % 360) + 360) % 360;
    if (altitude > horizon[Math.floor((onPlan * DIRECTIONS) / 360) % DIRECTIONS]!) seen++;
  }
  return (seen * minutes) / 60;
}

/** A place whose sun is asked for: sample points, and how high its soil lies. */
export interface Sunned {
  points: readonly Point[];
  height: number;
}

/** Sample places over an outline, for `sunHours`. */
export const samplesOf = (outline: readonly Point[], height: number, about = 12): Sunned => ({
  points: gridInside(outline, about),
  height,
});

/**
 * Hours of direct sun a clear day of each month gives, as the mean over the sample places.
 * @param paths from `monthlyPaths`  @returns twelve values, January first
 * Checked against suncalc's positions and the shadow of a vertical pole, height ÷ tan(altitude).
 */
export function sunHours(
  { points, height }: Sunned,
  obstacles: readonly Obstacle[],
  paths: readonly SunPath[],
  north: number,
): number[] {
  const standing = obstacles.filter((obstacle) => !obstacle.months);
  const passing = obstacles.filter((obstacle) => obstacle.months);
  const hours = new Array<number>(12).fill(0);
  for (const point of points) {
    const always = horizonAt(point, height, standing);
    for (const [month, path] of paths.entries()) {
      const now = passing.filter((obstacle) => obstacle.months![month]);
      const horizon = now.length === 0 ? always : horizonAt(point, height, now, always);
      hours[month]! += hoursOver(horizon, path, north) / points.length;
    }
  }
  return hours;
}

/** What growers call a bed by its hours of sun in the growing season. Common practice, no source (KNOWLEDGE 2). */
export type Light = 'full' | 'part' | 'shade';
export const FULL_SUN_HOURS = 6;
export const PART_SUN_HOURS = 3;
export const lightOf = (hours: number): Light =>
  hours >= FULL_SUN_HOURS ? 'full' : hours >= PART_SUN_HOURS ? 'part' : 'shade';

/** The mean over the months of a growing season, which may run over the new year. @param from,until months, January is 0 */
export function seasonMean(hours: readonly number[], from: number, until: number): number {
  const months = Array.from({ length: ((until - from + 12) % 12) + 1 }, (_, i) => (from + i) % 12);
  return months.reduce((sum, month) => sum + hours[month]!, 0) / months.length;
}

/** The length of the shadow of something `height` high, metres: height ÷ tan(altitude); endless while the sun is down. */
export const shadowLength = (height: number, altitude: number): number =>
  altitude <= 0 ? Number.POSITIVE_INFINITY : height / Math.tan(altitude * RADIANS);

/** Shadows longer than this are not drawn, metres. */
const LONGEST_M = 200;

/** The ground an obstacle shades: outlines that overlap where their union is meant. Empty while the sun is down. */
export function shadowOf({ outline, height }: Obstacle, sun: SunPosition, north: number): Point[][] {
  if (sun.altitude <= 0 || height <= 0) return [];
  const length = Math.min(LONGEST_M, shadowLength(height, sun.altitude));
  const away = (sun.azimuth + north + 180) * RADIANS;
  const [dx, dy] = [length * Math.sin(away), length * Math.cos(away)];
  const cast = (p: Point): Point => ({ x: p.x + dx, y: p.y + dy });
  return [outline.map(cast), ...edgesOf(outline).map(([a, b]) => [a, b, cast(b), cast(a)])];
}
