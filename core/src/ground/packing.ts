import { boxAround, contains, edgesOf, type Point, signedArea } from './polygon.ts';

/** `foot` fills whole squares of a foot; `broadcast` scatters over the ground. */
export const patterns = ['rows', 'square', 'staggered', 'foot', 'broadcast'] as const;
export type Pattern = (typeof patterns)[number];

/** How plants stand on a piece of ground. Rows run along `y`; all metres. */
export interface Packing {
  rows: number;
  /** plants in the fullest row; in a staggered pattern every other row is offset and may hold one less */
  perRow: number;
  count: number;
  /** metres of row in all; 0 for what is broadcast */
  rowLength: number;
  /** metres between rows as planted */
  betweenRows: number;
}

/** Slack for lengths that are whole multiples of a spacing but were typed in another unit, metres. */
const SLACK_M = 1e-6;
const FOOT_M = 0.3048;
/** Plants that are given a place of their own, for drawing and for exact counts along crooked edges. */
const MOST_PLACED = 20_000;

const timesInto = (length: number, spacing: number): number => Math.floor((length + SLACK_M) / spacing);

function checkSizes(sizes: readonly number[]): void {
  for (const size of sizes) {
    if (!(size > 0) || !Number.isFinite(size)) throw new RangeError('packing needs sizes above zero');
  }
}

const gapOf = (pattern: Pattern, inRow: number, betweenRows: number): number =>
  pattern === 'rows' ? betweenRows : pattern === 'staggered' ? (inRow * Math.sqrt(3)) / 2 : inRow;

/** Rows that fit across `width`, each with half its gap to the edge; one row still fits where its plants have room. */
function rowsAcross(pattern: Pattern, width: number, inRow: number, gap: number): number {
  const room = width + SLACK_M >= inRow;
  if (pattern === 'staggered') return room ? 1 + timesInto(width - inRow, gap) : 0;
  return timesInto(width, gap) || (room ? 1 : 0);
}

/**
 * Plants that fit a rectangle with the first plant half a spacing from the edge, so that a length holds
 * ⌊length ÷ spacing⌋. One square foot holds ⌊12/s⌋² plants at s inches,
 * and two on its diagonal from 6 to 8½ in.
 * `square` uses the in-row spacing both ways; `rows` uses both spacings; `staggered` sets rows √3/2 of the
 * in-row spacing apart, every other row moved by half a spacing; `foot` fills whole squares of a foot, of several
 * feet for what needs more; `broadcast` gives each plant the square of its spacing.
 * @param width,length metres  @param inRow,betweenRows spacings, metres, > 0
 * @throws RangeError for a size or spacing that is not above zero
 * Source: common practice; the square of a foot as in KNOWLEDGE "grid arithmetic".
 */
export function pack(
  pattern: Pattern,
  width: number,
  length: number,
  inRow: number,
  betweenRows: number,
): Packing {
  checkSizes([width, length, inRow, betweenRows]);
  if (pattern === 'broadcast') return scattered(width * length, inRow);
  if (pattern === 'foot') {
    const square = footSquare(inRow);
    const [across, along] = [timesInto(width, square.side), timesInto(length, square.side)];
    const [rows, perRow] = [across * square.rows, along * square.perRow];
    return {
      rows,
      perRow,
      count: rows * perRow,
      rowLength: rows * along * square.side,
      betweenRows: square.side / square.rows,
    };
  }
  const gap = gapOf(pattern, inRow, betweenRows);
  const rows = rowsAcross(pattern, width, inRow, gap);
  const perRow = timesInto(length, inRow);
  const perOffsetRow = pattern === 'staggered' ? timesInto(length - inRow / 2, inRow) : perRow;
  const offsetRows = pattern === 'staggered' ? Math.floor(rows / 2) : 0;
  const count = (rows - offsetRows) * perRow + offsetRows * Math.max(0, perOffsetRow);
  return { rows, perRow, count, rowLength: count === 0 ? 0 : rows * length, betweenRows: gap };
}

const scattered = (area: number, spacing: number): Packing => ({
  rows: 0,
  perRow: 0,
  count: Math.floor(area / spacing ** 2 + SLACK_M),
  rowLength: 0,
  betweenRows: spacing,
});

/** A square of ground filled by a spacing: rows across it, plants to a row, and where each stands. */
interface Square {
  side: number;
  rows: number;
  perRow: number;
  /** metres from the corner of the square */
  at(row: number, n: number): Point;
}

/**
 * The square that a spacing fills: of one foot with ⌊12/s⌋ plants to a side, or two on its diagonal where they have the room,
 * or of several feet with one plant.
 */
function footSquare(spacing: number): Square {
  const grid = (side: number, perSide: number): Square => ({
    side,
    rows: perSide,
    perRow: perSide,
    at: (row, n) => ({ x: ((row + 0.5) * side) / perSide, y: ((n + 0.5) * side) / perSide }),
  });
  const perSide = timesInto(FOOT_M, spacing);
  const diagonal = (row: number): Point => ({ x: (row + 0.5) * (FOOT_M / 2), y: (row + 0.5) * (FOOT_M / 2) });
  if (perSide === 1 && spacing <= FOOT_M / Math.SQRT2 + SLACK_M)
    return { side: FOOT_M, rows: 2, perRow: 1, at: diagonal };
  return perSide > 0 ? grid(FOOT_M, perSide) : grid(Math.ceil((spacing - SLACK_M) / FOOT_M) * FOOT_M, 1);
}

/**
 * Where each plant of a packed rectangle stands, metres from the corner; `x` across the width, `y` along the length. What
 * is broadcast has no places, nor have more plants than anybody could tell apart in a drawing.
 */
export function positions(
  pattern: Pattern,
  packing: Packing,
  width: number,
  length: number,
  inRow: number,
): Point[] {
  if (pattern === 'broadcast' || packing.count > MOST_PLACED) return [];
  if (pattern === 'foot') {
    const { side, rows, perRow, at } = footSquare(inRow);
    return Array.from({ length: packing.rows }, (_, row) =>
      Array.from({ length: packing.perRow }, (__, n) => {
        const { x, y } = at(row % rows, n % perRow);
        return { x: Math.floor(row / rows) * side + x, y: Math.floor(n / perRow) * side + y };
      }),
    ).flat();
  }
  const firstX = (width - (packing.rows - 1) * packing.betweenRows) / 2;
  const places: Point[] = [];
  for (let row = 0; row < packing.rows; row++) {
    const offset = pattern === 'staggered' && row % 2 === 1 ? inRow / 2 : 0;
    for (let y = inRow / 2 + offset; y <= length - inRow / 2 + SLACK_M; y += inRow) {
      places.push({ x: firstX + row * packing.betweenRows, y });
    }
  }
  return places;
}

/** A packing with the place of each plant. */
export interface Placed extends Packing {
  plants: Point[];
}

/**
 * Plants that fit an outline of any form, rows along `y`. Every plant has a square of ground of its own within the
 * outline: half the smaller spacing across and half the in-row spacing along.
 * Ground with room for more than some ten thousands is counted by its area, without places.
 * @param outline metres, simple, in either direction  @throws RangeError as `pack`
 */
export function packOutline(
  pattern: Pattern,
  outline: readonly Point[],
  inRow: number,
  betweenRows: number,
): Placed {
  checkSizes([inRow, betweenRows]);
  if (outline.length < 3) return { ...scattered(0, inRow), plants: [] };
  const box = boxAround(outline);
  if (pattern === 'broadcast') return { ...scattered(Math.abs(signedArea(outline)), inRow), plants: [] };
  if (placesIn(box, pattern, inRow, betweenRows) > MOST_PLACED) {
    return { ...packedByArea(pattern, outline, inRow, betweenRows), plants: [] };
  }
  if (pattern === 'foot') return packFeet(outline, inRow);
  const gap = gapOf(pattern, inRow, betweenRows);
  const rows = rowsAcross(pattern, box.width, inRow, gap);
  const firstX = box.x + (box.width - (rows - 1) * gap) / 2;
  const half = Math.min(inRow, gap, box.width) / 2 - SLACK_M;
  const plants: Point[] = [];
  const counts: number[] = [];
  let rowLength = 0;
  for (let row = 0; row < rows; row++) {
    const x = firstX + row * gap;
    const before = plants.length;
    for (const [from, to] of clearAlong(outline, x, half)) {
      const length = to - from;
      const fits = timesInto(length, inRow);
      if (fits === 0) continue;
      rowLength += length;
      if (pattern === 'staggered') {
        // All rows stand on one grid, every other one moved by half a spacing.
        const offset = row % 2 === 1 ? inRow / 2 : 0;
        const least = from + inRow / 2 - SLACK_M;
        let y = box.y + inRow / 2 + offset;
        y += Math.max(0, Math.ceil((least - y) / inRow)) * inRow;
        for (; y <= to - inRow / 2 + SLACK_M; y += inRow) plants.push({ x, y });
      } else if (pattern === 'square') {
        const least = from + inRow / 2 - SLACK_M;
        let y = box.y + inRow / 2;
        y += Math.max(0, Math.ceil((least - y) / inRow)) * inRow;
        for (; y <= to - inRow / 2 + SLACK_M; y += inRow) plants.push({ x, y });
      } else {
        for (let n = 0; n < fits; n++) plants.push({ x, y: from + (n + 0.5) * inRow });
      }
    }
    if (plants.length > before) counts.push(plants.length - before);
  }
  return {
    rows: counts.length,
    perRow: Math.max(0, ...counts),
    count: plants.length,
    rowLength: plants.length === 0 ? 0 : rowLength,
    betweenRows: gap,
    plants,
  };
}

/** Places a pattern has in the whole of a box. */
function placesIn(
  box: { width: number; length: number },
  pattern: Pattern,
  inRow: number,
  betweenRows: number,
): number {
  const { side, rows, perRow } = footSquare(inRow);
  const each = pattern === 'foot' ? side ** 2 / (rows * perRow) : inRow * gapOf(pattern, inRow, betweenRows);
  return (box.width * box.length) / each;
}

/** What a large field of any form holds: the share of its box that it fills. Its edges are small beside that. */
function packedByArea(
  pattern: Pattern,
  outline: readonly Point[],
  inRow: number,
  betweenRows: number,
): Packing {
  const { width, length } = boxAround(outline);
  const whole = pack(pattern, width, length, inRow, betweenRows);
  const share = Math.abs(signedArea(outline)) / (width * length);
  return {
    ...whole,
    count: Math.floor(whole.count * share),
    rowLength: whole.rowLength * share,
  };
}

/** The stretches along a line at `x` on which a strip of `half` to each side lies within the outline. */
function clearAlong(outline: readonly Point[], x: number, half: number): [number, number][] {
  const lines = [chordsAt(outline, x - half), chordsAt(outline, x), chordsAt(outline, x + half)];
  // A corner that sticks in between the two sides of the strip cuts it too.
  const corners = outline.filter((p) => p.x > x - half && p.x < x + half).map((p) => chordsAt(outline, p.x));
  return [...lines, ...corners].reduce(shared);
}

/** Where a line at `x` runs inside an outline. */
function chordsAt(outline: readonly Point[], x: number): [number, number][] {
  const met: number[] = [];
  for (const [a, b] of edgesOf(outline)) {
    if (a.x <= x === b.x <= x) continue;
    met.push(a.y + ((x - a.x) / (b.x - a.x)) * (b.y - a.y));
  }
  met.sort((a, b) => a - b);
  return Array.from({ length: met.length >> 1 }, (_, i) => [met[2 * i]!, met[2 * i + 1]!]);
}

/** The stretches two lists have in common. */
function shared(one: [number, number][], other: [number, number][]): [number, number][] {
  return one.flatMap(([a, b]) =>
    other.flatMap(([c, d]): [number, number][] => {
      const [from, to] = [Math.max(a, c), Math.min(b, d)];
      return to > from ? [[from, to]] : [];
    }),
  );
}

/** Whole squares of a foot inside an outline, counted from the corner of its box. */
function packFeet(outline: readonly Point[], spacing: number): Placed {
  const { side, rows: rowsIn, perRow: perRowIn, at } = footSquare(spacing);
  const box = boxAround(outline);
  const plants: Point[] = [];
  let squares = 0;
  const columns = new Set<number>();
  for (let i = 0; i < timesInto(box.width, side); i++) {
    for (let j = 0; j < timesInto(box.length, side); j++) {
      const [x, y] = [box.x + i * side, box.y + j * side];
      const isWhole = clearAlong(outline, x + side / 2, side / 2 - SLACK_M).some(
        ([from, to]) => from <= y + SLACK_M && to >= y + side - SLACK_M,
      );
      if (!isWhole || !contains(outline, { x: x + side / 2, y: y + side / 2 })) continue;
      squares++;
      columns.add(i);
      for (let row = 0; row < rowsIn; row++) {
        for (let n = 0; n < perRowIn; n++) {
          const place = at(row, n);
          plants.push({ x: x + place.x, y: y + place.y });
        }
      }
    }
  }
  const rows = columns.size * rowsIn;
  return {
    rows,
    perRow: rows === 0 ? 0 : Math.ceil(plants.length / rows),
    count: plants.length,
    rowLength: squares * side * rowsIn,
    betweenRows: side / rowsIn,
    plants,
  };
}
