import { type Point, type Shape, workedOutline, workedPlace } from '../../ground/index.ts';
import { type GroundTaken, inGroundSpan, meet } from './space.ts';
import { isTall } from './tall.ts';
import type { PlannedPlanting, YearPlan } from './yearPlan.ts';

/** Where the near left corner of a planting is in the worked frame of its bed, metres from its left and its near end. */
export interface PlaceInBed {
  x: number;
  y: number;
}

/** A planting as it is laid into its bed. */
export interface GroundToLay extends GroundTaken {
  /** the place that was chosen for it; null where it is laid out with the others */
  at: PlaceInBed | null;
  /** whether it shades what stands behind it */
  isTall: boolean;
}

/** A planting of a season's plan as it is laid into its bed. */
export const toLay = (
  { id, crop, width, length, betweenId, at, steps }: PlantingToLay,
  { seasonFirst }: Pick<YearPlan, 'seasonFirst'>,
): GroundToLay => ({
  ...{ id, width, length, betweenId, at, isTall: isTall(crop) },
  ...inGroundSpan(steps, seasonFirst),
});
type PlantingToLay = Pick<PlannedPlanting, 'id' | 'crop' | 'width' | 'length' | 'betweenId' | 'at' | 'steps'>;

/** What decides on which side of a bed shade falls at noon. */
export interface NoonSun {
  /** degrees, negative in the south */
  latitude: number;
  /** degrees that true north lies clockwise from the top of the plan */
  north: number;
}

/** Slack for sizes that were typed in feet, m. */
const SLACK_M = 1e-6;
const RADIANS = Math.PI / 180;

/** The direction in which shadows fall at noon, in the worked frame of a bed: of length 1. */
export function shadeDirection(bed: Shape, { latitude, north }: NoonSun): Point {
  const turn = (latitude >= 0 ? north : north + 180) * RADIANS;
  const [east, up] = [Math.sin(turn), Math.cos(turn)];
  const origin = workedPlace(bed, { x: 0, y: 0 });
  const along = (to: Point) => {
    const end = workedPlace(bed, to);
    return (end.x - origin.x) * east + (end.y - origin.y) * up;
  };
  return { x: along({ x: 1, y: 0 }), y: along({ x: 0, y: 1 }) };
}

type Placed = GroundTaken & PlaceInBed;

/** True where two plantings, each in its place in one bed, share ground on a day in common. */
export const overlap = (a: Placed, b: Placed): boolean =>
  meet(a, b) &&
  a.x < b.x + b.width - SLACK_M &&
  b.x < a.x + a.width - SLACK_M &&
  a.y < b.y + b.length - SLACK_M &&
  b.y < a.y + a.length - SLACK_M;

/** The places along one side of a bed at which something may begin or end flush with what is there. */
function flush(
  room: number,
  size: number,
  taken: readonly (readonly [from: number, size: number])[],
): number[] {
  const places = [0, room - size, ...taken.flatMap(([from, width]) => [from + width, from - size])];
  return [...new Set(places)]
    .filter((at) => at >= -SLACK_M && at + size <= room + SLACK_M)
    .map((at) => Math.max(0, at));
}

/**
 * Lays plantings into a bed so that no two share ground and time. What has a place that was chosen for it is there; the others
 * follow in the order in which they go in: tall ones as far to the shaded side as there is room, so that they shade nobody,
 * all others as near to the sunny side. What finds no room is left out.
 */
export function bedLayout(bed: Shape, taken: readonly GroundToLay[], sun: NoonSun): Map<string, PlaceInBed> {
  const { across, along } = workedOutline(bed);
  const shade = shadeDirection(bed, sun);
  const inTurn = [...taken].sort(
    (a, b) => a.from.localeCompare(b.from) || b.length - a.length || a.id.localeCompare(b.id),
  );
  const own = inTurn.filter(({ betweenId }) => betweenId === null);
  const placed: (GroundToLay & PlaceInBed)[] = [];
  const place = (one: GroundToLay, at: PlaceInBed) => placed.push({ ...one, x: at.x, y: at.y });
  const isFree = (one: GroundToLay, at: PlaceInBed) =>
    at.x + one.width <= across + SLACK_M &&
    at.y + one.length <= along + SLACK_M &&
    !placed.some((other) => overlap({ ...one, ...at }, other));
  // Of two that were given the same ground, the one that was planned first has it.
  const chosen = own.filter(({ at }) => at !== null).sort((a, b) => a.id.localeCompare(b.id));
  for (const one of chosen) if (isFree(one, one.at!)) place(one, one.at!);
  for (const one of own) {
    if (placed.some(({ id }) => id === one.id)) continue;
    const beside = placed.filter((other) => meet(one, other));
    const xs = flush(
      across,
      one.width,
      beside.map((other) => [other.x, other.width]),
    );
    const ys = flush(
      along,
      one.length,
      beside.map((other) => [other.y, other.length]),
    );
    const free = ys.flatMap((y) => xs.map((x) => ({ x, y }))).filter((at) => isFree(one, at));
    // How far in the shade its middle is; the sizes are the same in every place.
    const shaded = (at: PlaceInBed) => (at.x * shade.x + at.y * shade.y) * (one.isTall ? -1 : 1);
    const [first] = free.sort((a, b) => shaded(a) - shaded(b) || a.y - b.y || a.x - b.x);
    if (first) place(one, first);
  }
  const places = new Map(placed.map(({ id, x, y }) => [id, { x, y }]));
  for (const { id, betweenId } of inTurn) {
    const host = betweenId === null ? undefined : places.get(betweenId);
    if (host) places.set(id, host);
  }
  return places;
}

/** The ground of a planting in its place, as it is on the plan, counterclockwise. */
export function outlineIn(
  bed: Shape,
  { width, length }: Pick<GroundTaken, 'width' | 'length'>,
  { x, y }: PlaceInBed,
): Point[] {
  const corners = [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + length },
    { x, y: y + length },
  ];
  return corners.map((corner) => workedPlace(bed, corner));
}
