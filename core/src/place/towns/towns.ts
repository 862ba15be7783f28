import type { MonthlyNormals } from '../place.ts';
import { townTable } from './table.ts';

/** A town of the table, with what is usual there. */
export interface Town {
  name: string;
  /** the state, where it is one of the United States, else the country */
  region: string;
  latitude: number;
  longitude: number;
  /** m above the sea */
  height: number;
  normals: MonthlyNormals;
}

function townOf(line: string): Town {
  const [name = '', region = '', latitude, longitude, height, rain, low = '', high = ''] = line.split('|');
  const numbers = (text: string) => text.split(' ').map(Number);
  return {
    name,
    region,
    latitude: Number(latitude),
    longitude: Number(longitude),
    height: Number(height),
    normals: { low: numbers(low), high: numbers(high), rain: new Array<number>(12).fill(Number(rain) / 12) },
  };
}

/** Some two hundred towns of the world's climates, in the order of the table. Means from memory; see `table.ts`. */
export const towns: readonly Town[] = townTable.trim().split('\n').map(townOf);

/** The text by which a town is called and found. */
export const townLabel = ({ name, region }: Pick<Town, 'name' | 'region'>): string => `${name}, ${region}`;

const EARTH_RADIUS_KM = 6371;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Kilometres between two points, along a great circle (haversine formula). */
export function distanceKm(
  a: Pick<Town, 'latitude' | 'longitude'>,
  b: Pick<Town, 'latitude' | 'longitude'>,
): number {
  const across = Math.sin(radians(b.latitude - a.latitude) / 2) ** 2;
  const along = Math.sin(radians(b.longitude - a.longitude) / 2) ** 2;
  const chord = across + Math.cos(radians(a.latitude)) * Math.cos(radians(b.latitude)) * along;
  return 2 * EARTH_RADIUS_KM * Math.asin(Math.sqrt(Math.min(1, chord)));
}

/** The town of the table nearest to a point, with its distance. */
export function nearestTown(point: Pick<Town, 'latitude' | 'longitude'>): { town: Town; km: number } {
  let nearest = { town: towns[0]!, km: Number.POSITIVE_INFINITY };
  for (const town of towns) {
    const km = distanceKm(point, town);
    if (km < nearest.km) nearest = { town, km };
  }
  return nearest;
}

/** How much colder it is for each metre higher, °C. Source: the mean lapse rate of the standard atmosphere (ISO 2533). */
const LAPSE_C_PER_M = 0.0065;

/** What is usual in a town, at another height. @param height m above the sea; null where it is not known: the town's own */
export function townAtHeight({ height: own, normals }: Town, height: number | null): MonthlyNormals {
  const offC = height === null ? 0 : (own - height) * LAPSE_C_PER_M;
  const shifted = (values: readonly number[]) => values.map((value) => Math.round((value + offC) * 10) / 10);
  return { low: shifted(normals.low), high: shifted(normals.high), rain: [...normals.rain] };
}
