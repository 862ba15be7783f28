import { type BedKind, bedKinds, type LandmarkKind, landmarkKinds } from './judge.ts';
import { crossesItself, distanceFrom, type Point, signedArea } from './polygon.ts';
import { middleOf, outlineOf, polygonShape, type Shape, turned } from './shape.ts';

/** Where a garden's own metres lie on the earth. The place of the garden is the corner its metres are counted from. */
export interface Origin {
  latitude: number;
  longitude: number;
  /** degrees that true north lies clockwise from the top of the plan */
  north: number;
}

/** What a file says of one piece of ground. */
export type DrawnThing = { shape: Shape; name: string; height: number } & (
  | { what: 'bed'; kind: BedKind; soilDepth: number | null }
  | { what: 'landmark'; kind: LandmarkKind }
);

export const geoProblems = [
  'notJson',
  'notFeatures',
  'notDegrees',
  'swapped',
  'farAway',
  'noPolygon',
  'notClosed',
  'crossesItself',
  'wrongWinding',
  'hasHoles',
  'tooLarge',
  'tooSmall',
  'tooManyCorners',
  'tooManyFeatures',
  'otherNorth',
] as const;
export type GeoProblem = (typeof geoProblems)[number];

/** Something about a feature: those that could be mended were read all the same. */
export interface GeoNote {
  /** number of the feature in the file, from 1; 0 for the file as a whole */
  feature: number;
  problem: GeoProblem;
  mended: boolean;
}

/* WGS 84: semi-major axis and first eccentricity squared. Source: NGA.STND.0036. */
const AXIS_M = 6_378_137;
const ECCENTRICITY_2 = 0.00669437999014;
const RADIANS = Math.PI / 180;
/** Ground farther from the garden's place than this is another garden's. */
const FAR_M = 5_000;
/** A bed or path longer than this is a mistake, and one narrower than this a slip. */
const LARGE_M = 1_000;
const SMALL_M = 0.05;
/** Corners of a closed ring: as many as a bed may have that is drawn by hand, and the first one again. */
const MOST_RING = 201;
/** Features read of one file: more than the largest garden has beds and landmarks. */
const MOST_FEATURES = 1_000;
const DECIMALS = 9;

/** Metres per degree of latitude and of longitude at a latitude, from the ellipsoid's radii of curvature. */
function metresPerDegree(latitude: number): { lat: number; lon: number } {
  const sin = Math.sin(latitude * RADIANS);
  const w = Math.sqrt(1 - ECCENTRICITY_2 * sin * sin);
  return {
    lat: ((AXIS_M * (1 - ECCENTRICITY_2)) / w ** 3) * RADIANS,
    lon: (AXIS_M / w) * Math.cos(latitude * RADIANS) * RADIANS,
  };
}

/** A place of the plan as longitude and latitude, WGS 84 degrees. */
export function toDegrees(p: Point, origin: Origin): [number, number] {
  const per = metresPerDegree(origin.latitude);
  const true_ = turned(p, { x: 0, y: 0 }, -origin.north);
  return [
    Number((origin.longitude + true_.x / per.lon).toFixed(DECIMALS)),
    Number((origin.latitude + true_.y / per.lat).toFixed(DECIMALS)),
  ];
}

/** A longitude and latitude as a place of the plan. */
export function fromDegrees([longitude, latitude]: readonly [number, number], origin: Origin): Point {
  const per = metresPerDegree(origin.latitude);
  const east = { x: (longitude - origin.longitude) * per.lon, y: (latitude - origin.latitude) * per.lat };
  return turned(east, { x: 0, y: 0 }, origin.north);
}

/** The garden's ground as a GeoJSON FeatureCollection, outlines counterclockwise and closed. Source: RFC 7946. */
export function toGeoJson(things: readonly DrawnThing[], origin: Origin): object {
  return {
    type: 'FeatureCollection',
    north: origin.north,
    features: things.map(({ shape, ...said }) => {
      const ring = outlineOf(shape).map((p) => toDegrees(p, origin));
      const { form, width, length, angle } = shape;
      return {
        type: 'Feature',
        properties: { ...said, form, width, length, angle },
        geometry: { type: 'Polygon', coordinates: [[...ring, ring[0]]] },
      };
    }),
  };
}

/**
 * Reads ground from GeoJSON. What can be mended (winding, an open ring, holes) is, and said; what cannot is left out,
 * and said.
 * Source: RFC 7946: WGS 84 longitude and latitude (section 4), closed rings, right-hand rule (3.1.6).
 */
export function fromGeoJson(text: string, origin: Origin): { things: DrawnThing[]; notes: GeoNote[] } {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch {
    return { things: [], notes: [{ feature: 0, problem: 'notJson', mended: false }] };
  }
  const all = featuresOf(file);
  if (!all) return { things: [], notes: [{ feature: 0, problem: 'notFeatures', mended: false }] };
  const things: DrawnThing[] = [];
  const notes: GeoNote[] = [];
  const features = all.slice(0, MOST_FEATURES);
  if (isObject(file) && typeof file.north === 'number' && file.north !== origin.north)
    notes.push({ feature: 0, problem: 'otherNorth', mended: true });
  if (all.length > MOST_FEATURES)
    notes.push({ feature: MOST_FEATURES + 1, problem: 'tooManyFeatures', mended: false });
  for (const [i, feature] of features.entries()) {
    const note = (problem: GeoProblem, mended = false) => notes.push({ feature: i + 1, problem, mended });
    const polygons = polygonsOf(feature);
    if (polygons.length === 0) note('noPolygon');
    for (const rings of polygons) {
      const shape = shapeFrom(rings, propertiesOf(feature), origin, note);
      if (shape) things.push(thingFrom(shape, propertiesOf(feature)));
    }
  }
  return { things, notes };
}

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null;

function featuresOf(file: unknown): unknown[] | null {
  if (!isObject(file)) return null;
  if (file.type === 'FeatureCollection' && Array.isArray(file.features)) return file.features;
  if (file.type === 'Feature') return [file];
  return file.type === 'Polygon' || file.type === 'MultiPolygon'
    ? [{ type: 'Feature', geometry: file }]
    : null;
}

const propertiesOf = (feature: unknown): Json =>
  isObject(feature) && isObject(feature.properties) ? feature.properties : {};

/** The rings of each polygon of a feature, as far as they are numbers. */
function polygonsOf(feature: unknown): [number, number][][][] {
  const geometry = isObject(feature) ? feature.geometry : null;
  if (!isObject(geometry) || !Array.isArray(geometry.coordinates)) return [];
  const lists =
    geometry.type === 'Polygon'
      ? [geometry.coordinates]
      : geometry.type === 'MultiPolygon'
        ? geometry.coordinates
        : [];
  const isPlace = (p: unknown): p is [number, number] =>
    Array.isArray(p) && p.length >= 2 && Number.isFinite(p[0]) && Number.isFinite(p[1]);
  return lists.filter(
    (rings): rings is [number, number][][] =>
      Array.isArray(rings) &&
      rings.length > 0 &&
      rings.every((ring: unknown) => Array.isArray(ring) && ring.length >= 3 && ring.every(isPlace)),
  );
}

function shapeFrom(
  rings: [number, number][][],
  properties: Json,
  origin: Origin,
  note: (problem: GeoProblem, mended?: boolean) => void,
): Shape | null {
  const ring = [...rings[0]!];
  if (ring.length > MOST_RING) {
    note('tooManyCorners');
    return null;
  }
  if (ring.some(([lon, lat]) => Math.abs(lon) > 180 || Math.abs(lat) > 90)) {
    note(isNear(ring, origin, true) ? 'swapped' : 'notDegrees');
    return null;
  }
  if (!isNear(ring, origin, false)) {
    note(isNear(ring, origin, true) ? 'swapped' : 'farAway');
    return null;
  }
  if (rings.length > 1) note('hasHoles', true);
  const [first, last] = [ring[0]!, ring.at(-1)!];
  if (first[0] === last[0] && first[1] === last[1]) ring.pop();
  else note('notClosed', true);
  let corners = ring.map((place) => fromDegrees(place, origin));
  if (crossesItself(corners)) {
    note('crossesItself');
    return null;
  }
  if (signedArea(corners) < 0) {
    note('wrongWinding', true);
    corners = corners.reverse();
  }
  const shape = formAsSaid(polygonShape(corners), properties);
  if (shape.width > LARGE_M || shape.length > LARGE_M) {
    note('tooLarge');
    return null;
  }
  if (shape.width < SMALL_M || shape.length < SMALL_M) {
    note('tooSmall');
    return null;
  }
  return shape;
}

/** @param swapped takes the two numbers of each place in the other order */
const isNear = (ring: readonly [number, number][], origin: Origin, swapped: boolean): boolean =>
  ring.every(([a, b]) => {
    const p = fromDegrees(swapped ? [b, a] : [a, b], origin);
    return Math.hypot(p.x, p.y) <= FAR_M;
  });

const numberIn = (value: unknown, most: number): number | null =>
  typeof value === 'number' && value > 0 && value <= most ? value : null;

/** Corners of a drawn outline may lie so far from those of the form it is taken for, as a share of its size. */
const FORM_SLACK = 0.01;

/**
 * A rectangle or circle that a file of this program says, as its outline has it now: whoever moved or turned it elsewhere
 * drew it anew, and left what was said of it as it was. An outline that is no such form any more stays a polygon.
 */
function formAsSaid(polygon: Shape, said: Json): Shape {
  const corners = outlineOf(polygon);
  const candidates =
    said.form === 'rectangle'
      ? rectanglesOn(corners)
      : said.form === 'circle'
        ? [roundAbout(polygon, said)]
        : [];
  const fitting = candidates.filter((shape) => agrees(shape, corners));
  return fitting.sort((a, b) => unlike(a, said) - unlike(b, said))[0] ?? polygon;
}

const formAt = (form: Shape['form'], middle: Point, width: number, length: number, angle: number): Shape => ({
  form,
  x: middle.x - width / 2,
  y: middle.y - length / 2,
  width,
  length,
  angle: (((angle % 360) + 540) % 360) - 180 || 0,
  points: null,
});

/** The ways in which four corners can be a rectangle: each side may be its width. */
function rectanglesOn(corners: readonly Point[]): Shape[] {
  if (corners.length !== 4) return [];
  const middle = middleOf(polygonShape(corners));
  return corners.map((from, i) => {
    const [to, next] = [corners[(i + 1) % 4]!, corners[(i + 2) % 4]!];
    // Angles of shapes run clockwise; those of the plane do not.
    const angle = -Math.atan2(to.y - from.y, to.x - from.x) / RADIANS;
    const side = (a: Point, b: Point) => Math.hypot(b.x - a.x, b.y - a.y);
    return formAt('rectangle', middle, side(from, to), side(to, next), angle);
  });
}

/** A circle or oval of the size that is said, where the outline lies. */
function roundAbout(polygon: Shape, { width, length, angle }: Json): Shape {
  const [w, l] = [numberIn(width, LARGE_M) ?? polygon.width, numberIn(length, LARGE_M) ?? polygon.length];
  return formAt('circle', middleOf(polygon), w, l, typeof angle === 'number' ? angle : 0);
}

/** Whether a form covers what is drawn, and nothing besides. */
function agrees(shape: Shape, corners: readonly Point[]): boolean {
  const outline = outlineOf(shape);
  const slack = FORM_SLACK * Math.max(shape.width, shape.length);
  const isWithin = (some: readonly Point[], other: readonly Point[]) =>
    some.every((p) => distanceFrom(other, p) <= slack);
  return isWithin(corners, outline) && isWithin(outline, corners);
}

/** How far a form is from what is said of it: its sides, and its turn. */
function unlike({ width, length, angle }: Shape, said: Json): number {
  const from = (value: number, other: unknown) => (typeof other === 'number' ? Math.abs(value - other) : 0);
  const turn = from(angle, said.angle) % 360;
  return from(width, said.width) + from(length, said.length) + Math.min(turn, 360 - turn) / 1000;
}

function thingFrom(shape: Shape, properties: Json): DrawnThing {
  const name = typeof properties.name === 'string' ? properties.name.trim().slice(0, 40) : '';
  const height = numberIn(properties.height, 60) ?? 0;
  const { kind } = properties;
  if (properties.what === 'landmark' || landmarkKinds.includes(kind as LandmarkKind)) {
    const known = landmarkKinds.includes(kind as LandmarkKind) ? (kind as LandmarkKind) : 'other';
    return { what: 'landmark', kind: known, shape, name, height };
  }
  return {
    what: 'bed',
    kind: bedKinds.includes(kind as BedKind) ? (kind as BedKind) : 'ground',
    shape,
    name,
    height: Math.min(height, 3),
    soilDepth: numberIn(properties.soilDepth, 3),
  };
}
