/** A place on the ground, metres; `x` runs to the plan's right and `y` to its top. */
export interface Point {
  x: number;
  y: number;
}

/** Slack for edges that touch: places closer than this are the same place, metres. */
const TOUCH_M = 1e-6;

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** The edges of a closed outline, each from one corner to the next. */
export const edgesOf = (outline: readonly Point[]): [Point, Point][] =>
  outline.map((point, i) => [point, outline[(i + 1) % outline.length]!]);

/** Area with its sign, m²: positive where the corners run counterclockwise. */
export const signedArea = (outline: readonly Point[]): number =>
  edgesOf(outline).reduce((sum, [a, b]) => sum + a.x * b.y - b.x * a.y, 0) / 2;

/** True where two segments meet in a point inside both of them. */
function crossing([a, b]: [Point, Point], [c, d]: [Point, Point]): boolean {
  const slack = TOUCH_M * Math.max(Math.hypot(b.x - a.x, b.y - a.y), Math.hypot(d.x - c.x, d.y - c.y), 1);
  const [abc, abd, cda, cdb] = [cross(a, b, c), cross(a, b, d), cross(c, d, a), cross(c, d, b)];
  const apart = (one: number, other: number) =>
    (one > slack && other < -slack) || (one < -slack && other > slack);
  return apart(abc, abd) && apart(cda, cdb);
}

/** Distance from a place to the nearest place of a segment, metres. */
function distanceToSegment(p: Point, [a, b]: readonly [Point, Point]): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const square = dx * dx + dy * dy;
  const t = square === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / square));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

/** Distance from a place to the nearest edge of an outline, metres, inside as well as outside. */
const distanceToEdge = (outline: readonly Point[], p: Point): number =>
  edgesOf(outline).reduce(
    (least, edge) => Math.min(least, distanceToSegment(p, edge)),
    Number.POSITIVE_INFINITY,
  );

/** True where a place lies within an outline. Source: the even-odd rule, by a ray to the right. */
export function contains(outline: readonly Point[], p: Point): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [a, b] = [outline[i]!, outline[j]!];
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

/** True where an outline crosses or touches itself, or encloses nothing. */
export function crossesItself(outline: readonly Point[]): boolean {
  if (outline.length < 3 || Math.abs(signedArea(outline)) < TOUCH_M) return true;
  const edges = edgesOf(outline);
  for (let i = 0; i < edges.length; i++) {
    const [a, b] = edges[i]!;
    if (Math.hypot(a.x - b.x, a.y - b.y) < TOUCH_M) return true;
    for (let j = i + 1; j < edges.length; j++) {
      const isNext = j === i + 1 || (i === 0 && j === edges.length - 1);
      if (isNext) continue;
      if (crossing(edges[i]!, edges[j]!)) return true;
      if (distanceToSegment(edges[j]![0], edges[i]!) < TOUCH_M) return true;
      if (distanceToSegment(edges[i]![0], edges[j]!) < TOUCH_M) return true;
    }
  }
  return false;
}

/** A place well inside an outline: the one farthest from its edges. See `deepest`. */
const insideOf = (outline: readonly Point[]): Point => deepest(outline, 0.05).at;

/** True where two outlines share ground; touching edges do not count. */
export function outlinesOverlap(a: readonly Point[], b: readonly Point[]): boolean {
  if (!boxesMeet(a, b)) return false;
  const [edgesA, edgesB] = [edgesOf(a), edgesOf(b)];
  if (edgesA.some((one) => edgesB.some((other) => crossing(one, other)))) return true;
  const within = (outline: readonly Point[], other: readonly Point[]) => {
    const tried = [
      ...outline,
      ...edgesOf(outline).map(([p, q]) => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 })),
      insideOf(outline),
    ];
    return tried.some((p) => contains(other, p) && distanceToEdge(other, p) > 1e-4);
  };
  return within(a, b) || within(b, a);
}

/** The smallest upright box around places. */
export function boxAround(points: readonly Point[]): { x: number; y: number; width: number; length: number } {
  let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return { x: left, y: low, width: right - left, length: high - low };
}

function boxesMeet(a: readonly Point[], b: readonly Point[]): boolean {
  const [one, other] = [boxAround(a), boxAround(b)];
  return (
    one.x < other.x + other.width &&
    other.x < one.x + one.width &&
    one.y < other.y + other.length &&
    other.y < one.y + one.length
  );
}

/** The gap between two outlines, metres; 0 where they share ground or touch. */
export function gapBetween(a: readonly Point[], b: readonly Point[]): number {
  if (outlinesOverlap(a, b)) return 0;
  const from = (points: readonly Point[], outline: readonly Point[]) =>
    points.reduce((least, p) => Math.min(least, distanceToEdge(outline, p)), Number.POSITIVE_INFINITY);
  return Math.min(from(a, b), from(b, a));
}

/** Distance from a place to an outline, metres; 0 inside it. */
export const distanceFrom = (outline: readonly Point[], p: Point): number =>
  contains(outline, p) ? 0 : distanceToEdge(outline, p);

/**
 * The place of an outline that lies deepest within it, and how far from its edges that is: half the width of a rectangle.
 * Source: quadrants are halved, the most promising first (the pole of inaccessibility).
 * @param exact how near to the true depth the answer has to be, metres
 */
export function deepest(outline: readonly Point[], exact = 0.01): { at: Point; depth: number } {
  const box = boxAround(outline);
  const depthAt = (p: Point) => distanceToEdge(outline, p) * (contains(outline, p) ? 1 : -1);
  const cellAt = (x: number, y: number, half: number) => {
    const depth = depthAt({ x, y });
    return { at: { x, y }, half, depth, most: depth + half * Math.SQRT2 };
  };
  const half = Math.max(Math.min(box.width, box.length) / 2, exact);
  const open: ReturnType<typeof cellAt>[] = [];
  for (let x = box.x + half; x - half < box.x + box.width; x += 2 * half) {
    for (let y = box.y + half; y - half < box.y + box.length; y += 2 * half) open.push(cellAt(x, y, half));
  }
  let best = open.reduce((a, b) => (a.depth >= b.depth ? a : b));
  while (open.length > 0) {
    const cell = open.pop()!;
    if (cell.depth > best.depth) best = cell;
    if (cell.most - best.depth <= exact) continue;
    const h = cell.half / 2;
    for (const [dx, dy] of [
      [-h, -h],
      [h, -h],
      [-h, h],
      [h, h],
    ] as const) {
      open.push(cellAt(cell.at.x + dx, cell.at.y + dy, h));
    }
  }
  return { at: best.at, depth: best.depth };
}

/** The smallest convex outline around places, counterclockwise. Source: Andrew's monotone chain. */
export function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  if (sorted.length < 3) return sorted;
  const half = (list: Point[]) => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length >= 2 && cross(chain.at(-2)!, chain.at(-1)!, p) <= 0) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

/** Places on a square grid inside an outline, about as many as asked for; the deepest one where the grid meets none. */
export function gridInside(outline: readonly Point[], about: number): Point[] {
  const step = Math.sqrt(Math.abs(signedArea(outline)) / about);
  const box = boxAround(outline);
  const [across, along] = [
    Math.max(1, Math.round(box.width / step)),
    Math.max(1, Math.round(box.length / step)),
  ];
  const places: Point[] = [];
  for (let i = 0; i < across; i++) {
    for (let j = 0; j < along; j++) {
      const p = {
        x: box.x + ((i + 0.5) * box.width) / across,
        y: box.y + ((j + 0.5) * box.length) / along,
      };
      if (contains(outline, p)) places.push(p);
    }
  }
  return places.length > 0 ? places : [insideOf(outline)];
}

/** The part of an outline on the side of `limit` where `value` is at most it. Source: Sutherland and Hodgman. */
export function cutAt(
  outline: readonly Point[],
  axis: 'x' | 'y',
  limit: number,
  keep: 'below' | 'above',
): Point[] {
  const isKept = (p: Point) => (keep === 'below' ? p[axis] <= limit : p[axis] >= limit);
  const kept: Point[] = [];
  for (const [a, b] of edgesOf(outline)) {
    if (isKept(a)) kept.push(a);
    if (isKept(a) !== isKept(b)) {
      const t = (limit - a[axis]) / (b[axis] - a[axis]);
      kept.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
    }
  }
  return kept;
}
