import {
  contains,
  deepest,
  distanceFrom,
  edgesOf,
  gapBetween,
  gridInside,
  hullOf,
  outlinesOverlap,
  type Point,
  signedArea,
} from './polygon.ts';
import { shadowOf } from './shade.ts';
import { distanceTo, groundArea, outlineOf, type Shape } from './shape.ts';

export const landmarkKinds = ['tap', 'path', 'shed', 'hedge', 'fence', 'wall', 'tree', 'other'] as const;
export type LandmarkKind = (typeof landmarkKinds)[number];
/** Kinds that stand up and cast a shadow. */
export const standingKinds: readonly LandmarkKind[] = ['shed', 'hedge', 'fence', 'wall', 'tree', 'other'];

/** How high things usually are, metres, until somebody says. Common practice, no source. */
export const usualHeights: Record<LandmarkKind, number> = {
  tap: 0,
  path: 0,
  shed: 2.4,
  hedge: 1.8,
  fence: 1.5,
  wall: 1.8,
  tree: 6,
  other: 1,
};

export const bedKinds = ['ground', 'raised', 'container'] as const;
export type BedKind = (typeof bedKinds)[number];

/** Who has to reach the middle: metres from one side. Common practice, no source (KNOWLEDGE 2.3). */
export const reaches = { adult: 0.6096, seated: 0.4572, child: 0.381 } as const;
export type Reach = keyof typeof reaches;

/**
 * How wide a path has to be, metres. The wheelchair's 36 in is the least clear width of a walking surface in the 2010 ADA
 * Standards for Accessible Design, 403.5.1; a barrow's 24 in and a foot's 12 in are common practice, no source.
 */
export const pathWidths = { wheelchair: 0.9144, barrow: 0.6096, foot: 0.3048 } as const;
export type PathFor = keyof typeof pathWidths;

/** Who uses the ground, and so what is wide and what is narrow. */
export interface GroundRules {
  reach: Reach;
  paths: PathFor;
}
export const defaultGroundRules: GroundRules = { reach: 'adult', paths: 'barrow' };

export interface GroundBed extends Shape {
  id: string;
  name: string;
  kind: BedKind;
  height: number;
}
export interface GroundMark extends Shape {
  id: string;
  kind: LandmarkKind;
  height: number;
}

/** What the ground says of itself. Lengths in metres; ids name beds and landmarks. */
export type GroundFinding =
  | { code: 'overlap'; at: [string, string] }
  | { code: 'outOfReach'; at: [string]; depth: number; reach: number; oneSided: boolean }
  | { code: 'enclosed'; at: [string] }
  | { code: 'narrowPath'; at: [string, string]; width: number; needed: number }
  | { code: 'farFromTap'; at: [string]; distance: number }
  | { code: 'noTap'; at: [] }
  | { code: 'tallOnSunnySide'; at: [string, string]; height: number; share: number }
  | { code: 'fewPaths' | 'manyPaths'; at: []; share: number };

/** Water farther away than this is a chore. Common practice, no source. */
const FAR_TAP_M = 30;
/** Beds nearer than this were meant to touch. */
const JOINED_M = 0.05;
/** What stands nearer to a bed's edge than this leaves no room to work from that side. */
const WORKING_M = 0.3;
/** The share of ground in paths: about a third. Common practice, no source (KNOWLEDGE 2.3). */
const PATH_SHARE = { least: 0.2, most: 0.55 };
/** Part of a bed in the noon shadow of something from which on it counts. */
const SHADED_SHARE = 0.15;
/** The sun's declination that stands for the growing season: about 1 May and 12 August in the north, degrees. */
const SEASON_DECLINATION = 15;

/**
 * Judges a garden's ground for the people who use it: overlaps, reach, width of paths, their share, water, and tall
 * things on the side of the noon sun.
 * @param sky latitude in degrees, and how far true north lies clockwise from the top of the plan
 */
export function judgeGround(
  beds: readonly GroundBed[],
  marks: readonly GroundMark[],
  rules: GroundRules,
  sky: { latitude: number; north: number },
): GroundFinding[] {
  const outlines = new Map([...beds, ...marks].map((one) => [one.id, outlineOf(one)]));
  const outline = (one: { id: string }) => outlines.get(one.id)!;
  const standing = marks.filter((mark) => standingKinds.includes(mark.kind));
  return [
    ...pairs(beds).flatMap(([a, b]): GroundFinding[] =>
      outlinesOverlap(outline(a), outline(b)) ? [{ code: 'overlap', at: [a.id, b.id] }] : [],
    ),
    ...beds.flatMap((bed) => reachOf(bed, outlines, [...beds, ...standing], rules)),
    ...narrowPaths(beds, standing, outline, rules),
    ...water(beds, marks),
    ...sunnySide(beds, standing, outline, sky),
    ...shareOfPaths(beds, standing),
  ];
}

const pairs = <T>(list: readonly T[]): [T, T][] =>
  list.flatMap((one, i) => list.slice(i + 1).map((other): [T, T] => [one, other]));

/** How far the innermost place of a bed is from where somebody can stand. */
function reachOf(
  bed: GroundBed,
  outlines: Map<string, Point[]>,
  others: readonly { id: string }[],
  rules: GroundRules,
): GroundFinding[] {
  const outline = outlines.get(bed.id)!;
  const reach = reaches[rules.reach];
  const near = others
    .filter(({ id }) => id !== bed.id)
    .map(({ id }) => outlines.get(id)!)
    .filter((other) => gapBetween(outline, other) < WORKING_M);
  const free = standingPlaces(outline).filter(
    ({ beside }) => !near.some((other) => distanceFrom(other, beside) < 0.01),
  );
  if (free.length === 0) return [{ code: 'enclosed', at: [bed.id] }];
  const oneSided = near.length > 0;
  const inner = oneSided ? gridInside(outline, 200) : [deepest(outline).at];
  const depth = oneSided
    ? Math.max(
        ...inner.map((p) => Math.min(...free.map(({ edge }) => Math.hypot(p.x - edge.x, p.y - edge.y)))),
      )
    : deepest(outline).depth;
  if (depth <= reach + 0.03) return [];
  return [{ code: 'outOfReach', at: [bed.id], depth, reach, oneSided }];
}

/** Places along an outline with the place beside each where a foot would stand. */
function standingPlaces(outline: readonly Point[]): { edge: Point; beside: Point }[] {
  return edgesOf(outline).flatMap(([a, b]) => {
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    const steps = Math.max(1, Math.ceil(length / 0.15));
    const [nx, ny] = [(b.y - a.y) / length, -(b.x - a.x) / length];
    return Array.from({ length: steps }, (_, i) => {
      const t = (i + 0.5) / steps;
      const edge = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
      return { edge, beside: { x: edge.x + nx * WORKING_M, y: edge.y + ny * WORKING_M } };
    });
  });
}

function narrowPaths(
  beds: readonly GroundBed[],
  standing: readonly GroundMark[],
  outline: (one: { id: string }) => Point[],
  rules: GroundRules,
): GroundFinding[] {
  const needed = pathWidths[rules.paths];
  const besides = beds.flatMap((bed) => standing.map((mark): [GroundBed, GroundMark] => [bed, mark]));
  return [...pairs(beds), ...besides].flatMap(([a, b]): GroundFinding[] => {
    const width = gapBetween(outline(a), outline(b));
    return width > JOINED_M && width < needed - 0.01
      ? [{ code: 'narrowPath', at: [a.id, b.id], width, needed }]
      : [];
  });
}

function water(beds: readonly GroundBed[], marks: readonly GroundMark[]): GroundFinding[] {
  const taps = marks.filter(({ kind }) => kind === 'tap');
  if (beds.length > 0 && taps.length === 0) return [{ code: 'noTap', at: [] }];
  return beds.flatMap((bed): GroundFinding[] => {
    const distance = Math.min(...taps.map((tap) => distanceTo(bed, tap)));
    return distance > FAR_TAP_M ? [{ code: 'farFromTap', at: [bed.id], distance }] : [];
  });
}

/** Things that shade a good part of a bed at noon in the growing season. */
function sunnySide(
  beds: readonly GroundBed[],
  standing: readonly GroundMark[],
  outline: (one: { id: string }) => Point[],
  { latitude, north }: { latitude: number; north: number },
): GroundFinding[] {
  const altitude = 90 - Math.abs(latitude) + SEASON_DECLINATION;
  const noon = { altitude: Math.min(89, altitude), azimuth: latitude >= 0 ? 180 : 0 };
  return standing.flatMap((mark) =>
    beds.flatMap((bed): GroundFinding[] => {
      const shadow = shadowOf({ outline: outline(mark), height: mark.height - bed.height }, noon, north);
      const places = gridInside(outline(bed), 40);
      const shaded = places.filter((p) => shadow.some((part) => contains(part, p))).length;
      const share = shaded / places.length;
      return share >= SHADED_SHARE
        ? [{ code: 'tallOnSunnySide', at: [mark.id, bed.id], height: mark.height, share }]
        : [];
    }),
  );
}

/** The share of the ground between the outermost beds that is neither bed nor built on; null for fewer than three beds. */
export function pathShare(beds: readonly Shape[], standing: readonly Shape[]): number | null {
  if (beds.length < 3) return null;
  const hull = hullOf(beds.flatMap(outlineOf));
  const ground = Math.abs(signedArea(hull));
  const built = standing
    .filter((mark) => outlineOf(mark).every((p) => contains(hull, p)))
    .reduce((sum, mark) => sum + groundArea(mark), 0);
  const taken = beds.reduce((sum, bed) => sum + groundArea(bed), 0) + built;
  return Math.max(0, 1 - taken / ground);
}

function shareOfPaths(beds: readonly GroundBed[], standing: readonly GroundMark[]): GroundFinding[] {
  const share = pathShare(beds, standing);
  if (share === null) return [];
  if (share < PATH_SHARE.least) return [{ code: 'fewPaths', at: [], share }];
  return share > PATH_SHARE.most ? [{ code: 'manyPaths', at: [], share }] : [];
}
