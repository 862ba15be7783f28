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

/** An edge of an outline with the box around it. */
interface BoxedEdge {
  /** which one it is, counted along the outline */
  nth: number;
  ends: [Point, Point];
  left: number;
  right: number;
  low: number;
  high: number;
}

/** The edges of an outline with their boxes, from left to right, for a sweep. */
const sweptEdges = (outline: readonly Point[]): BoxedEdge[] =>
  edgesOf(outline)
    .map(
      (ends, nth): BoxedEdge => ({
        nth,
        ends,
        left: Math.min(ends[0].x, ends[1].x) - TOUCH_M,
        right: Math.max(ends[0].x, ends[1].x) + TOUCH_M,
        low: Math.min(ends[0].y, ends[1].y) - TOUCH_M,
        high: Math.max(ends[0].y, ends[1].y) + TOUCH_M,
      }),
    )
    .sort((a, b) => a.left - b.left);

/**
 * True where an outline crosses or touches itself, or encloses nothing. Edges are looked at in pairs only where their boxes meet.
 * Source: sweep and prune (Cohen et al. 1995), along x.
 */
export function crossesItself(outline: readonly Point[]): boolean {
  if (outline.length < 3 || Math.abs(signedArea(outline)) < TOUCH_M) return true;
  if (edgesOf(outline).some(([a, b]) => Math.hypot(a.x - b.x, a.y - b.y) < TOUCH_M)) return true;
  const last = outline.length - 1;
  const areNext = (a: number, b: number) => Math.abs(a - b) === 1 || Math.abs(a - b) === last;
  let open: BoxedEdge[] = [];
  for (const edge of sweptEdges(outline)) {
    open = open.filter(({ right }) => right >= edge.left);
    for (const other of open) {
      if (other.low > edge.high || edge.low > other.high || areNext(edge.nth, other.nth)) continue;
      if (crossing(edge.ends, other.ends)) return true;
      if (distanceToSegment(other.ends[0], edge.ends) < TOUCH_M) return true;
      if (distanceToSegment(edge.ends[0], other.ends) < TOUCH_M) return true;
    }
    open.push(edge);
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

/** Squares of one size looked at for the deepest place: beds need some tens, and slivers of a kilometre any number. */
const MOST_CELLS = 300;

/**
 * The place of an outline that lies deepest within it, and how far from its edges that is: half the width of a rectangle.
 * Source: squares that may hold a deeper place are quartered, size by size (the pole of inaccessibility).
 * @param exact how near to the true depth the answer has to be, metres; coarser for slivers that fill little of their box
 */
export function deepest(outline: readonly Point[], exact = 0.01): { at: Point; depth: number } {
  const box = boxAround(outline);
  const depthAt = (p: Point) => distanceToEdge(outline, p) * (contains(outline, p) ? 1 : -1);
  const cellAt = (x: number, y: number, half: number) => {
    const depth = depthAt({ x, y });
    return { at: { x, y }, half, depth, most: depth + half * Math.SQRT2 };
  };
  type Cell = ReturnType<typeof cellAt>;
  const half = Math.max(
    Math.min(box.width, box.length) / 2,
    Math.max(box.width, box.length) / MOST_CELLS,
    exact,
  );
  let cells: Cell[] = [];
  for (let x = box.x + half; x - half < box.x + box.width; x += 2 * half) {
    for (let y = box.y + half; y - half < box.y + box.length; y += 2 * half) cells.push(cellAt(x, y, half));
  }
  let best = cells[0]!;
  while (cells.length > 0) {
    for (const cell of cells) if (cell.depth > best.depth) best = cell;
    cells = cells
      .filter((cell) => cell.most - best.depth > exact)
      .sort((a, b) => b.most - a.most)
      .slice(0, MOST_CELLS)
      .flatMap(({ at, half: whole }) => {
        const h = whole / 2;
        return [-h, h].flatMap((dx) => [-h, h].map((dy) => cellAt(at.x + dx, at.y + dy, h)));
      });
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
  // A sliver fills so little of its box that a grid as fine as it would have no end.
  const most = 8 * about;
  const times = (side: number, other: number) =>
    Math.max(1, Math.min(Math.round(side / step), Math.ceil(Math.sqrt((most * side) / other))));
  const [across, along] = [times(box.width, box.length), times(box.length, box.width)];
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
