/** A place on the earth, degrees; south and west are negative. */
export interface Coordinates {
  latitude: number;
  longitude: number;
}

const LETTER = '([NSEWO])';
const DECIMALS = '(?:[.,]\\d+)?';
/** Degrees, and minutes and seconds where they are marked as such. */
const ANGLE = `([+\\-−]?\\d{1,3}${DECIMALS})\\s*[°º]?\\s*(?:(\\d{1,2}${DECIMALS})\\s*['′’]\\s*(?:(\\d{1,2}${DECIMALS})\\s*(?:"|″|”|'')\\s*)?)?`;
const ONE = new RegExp(`${LETTER}\\s*${ANGLE}|${ANGLE}${LETTER}?`, 'giu');

interface Angle {
  degrees: number;
  axis: 'latitude' | 'longitude' | null;
}

const numberOf = (text = '0'): number => Number(text.replace('−', '-').replace(',', '.'));

/** The angles of a text and nothing besides; null where something else stands in it. */
function anglesOf(text: string): Angle[] | null {
  if (/[^\s,;/]/.test(text.replace(ONE, ''))) return null;
  const angles: Angle[] = [];
  for (const [, before, ...parts] of text.matchAll(ONE)) {
    const [degrees, minutes, seconds] = (before ? parts.slice(0, 3) : parts.slice(3, 6)).map((part) =>
      part === undefined ? undefined : numberOf(part),
    );
    const letter = (before ?? parts[6])?.toUpperCase();
    if ((minutes ?? 0) >= 60 || (seconds ?? 0) >= 60) return null;
    const size = Math.abs(degrees!) + (minutes ?? 0) / 60 + (seconds ?? 0) / 3600;
    const isNegative = letter ? 'SWO'.includes(letter) : degrees! < 0 || Object.is(degrees, -0);
    angles.push({
      degrees: isNegative ? -size : size,
      axis: letter ? ('NS'.includes(letter) ? 'latitude' : 'longitude') : null,
    });
  }
  return angles;
}

/**
 * Reads one coordinate as maps write it: 44.5, 44,5, 44.5° N, 44° 30′ 12″ N, W 88° 0.8′, 88 O.
 * @returns degrees, south and west negative; null where it is none, or one of the other axis
 */
export function readCoordinate(text: string, axis: keyof Coordinates): number | null {
  const [angle, ...more] = anglesOf(text) ?? [];
  if (!angle || more.length > 0) return null;
  if (angle.axis && angle.axis !== axis) return null;
  return Math.abs(angle.degrees) <= (axis === 'latitude' ? 90 : 180) ? angle.degrees : null;
}

/** Reads both coordinates of a place, the latitude first unless letters say otherwise; null where they are not both there. */
export function readCoordinates(text: string): Coordinates | null {
  const angles = anglesOf(text);
  if (angles?.length !== 2) return null;
  const [first, second] = angles as [Angle, Angle];
  if (first.axis && first.axis === second.axis) return null;
  const isTurned = first.axis === 'longitude' || second.axis === 'latitude';
  const [latitude, longitude] = isTurned ? [second.degrees, first.degrees] : [first.degrees, second.degrees];
  return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 ? { latitude, longitude } : null;
}

/** Whether a time zone is one of the open sea, which are named by their hours from Greenwich and no country. */
export const isSeaZone = (timeZone: string): boolean => timeZone.startsWith('Etc/');
