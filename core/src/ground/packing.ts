export type Pattern = 'square' | 'rows' | 'staggered';

/** How plants stand in a rectangle. Rows run along `length`; all metres. */
export interface Packing {
  rows: number;
  /** plants in a full row; in a staggered pattern every other row is offset and may hold one less */
  perRow: number;
  count: number;
  /** metres of row in all */
  rowLength: number;
  /** metres between rows as planted */
  betweenRows: number;
}

/** Slack for lengths that are whole multiples of a spacing but were typed in another unit, metres. */
const SLACK_M = 1e-6;

const timesInto = (length: number, spacing: number): number => Math.floor((length + SLACK_M) / spacing);

/**
 * Plants that fit a rectangle with the first plant half a spacing from the edge, so that a length holds
 * ⌊length ÷ spacing⌋. One square foot holds ⌊12/s⌋² plants at s inches.
 * `square` uses the in-row spacing both ways; `rows` uses both spacings; `staggered` sets rows √3/2 of the
 * in-row spacing apart, every other row moved by half a spacing.
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
  for (const size of [width, length, inRow, betweenRows]) {
    if (!(size > 0) || !Number.isFinite(size)) throw new RangeError('packing needs sizes above zero');
  }
  const gap = pattern === 'square' ? inRow : pattern === 'rows' ? betweenRows : (inRow * Math.sqrt(3)) / 2;
  // A row of half a spacing's margin on each side; one row still fits ground narrower than the row spacing
  // when the plants themselves have room.
  const fitting =
    pattern === 'staggered'
      ? width + SLACK_M < inRow
        ? 0
        : 1 + timesInto(width - inRow, gap)
      : timesInto(width, gap);
  const rows = fitting === 0 && width + SLACK_M >= inRow ? 1 : fitting;
  const perRow = timesInto(length, inRow);
  const perOffsetRow = pattern === 'staggered' ? timesInto(length - inRow / 2, inRow) : perRow;
  const offsetRows = pattern === 'staggered' ? Math.floor(rows / 2) : 0;
  const count = (rows - offsetRows) * perRow + offsetRows * Math.max(0, perOffsetRow);
  return { rows, perRow, count, rowLength: count === 0 ? 0 : rows * length, betweenRows: gap };
}

/** Where each plant of a packing stands, metres from the corner; `x` across the width, `y` along the length. */
export function positions(
  pattern: Pattern,
  packing: Packing,
  width: number,
  length: number,
  inRow: number,
): { x: number; y: number }[] {
  const firstX = (width - (packing.rows - 1) * packing.betweenRows) / 2;
  const places: { x: number; y: number }[] = [];
  for (let row = 0; row < packing.rows; row++) {
    const offset = pattern === 'staggered' && row % 2 === 1 ? inRow / 2 : 0;
    for (let y = inRow / 2 + offset; y <= length - inRow / 2 + SLACK_M; y += inRow) {
      places.push({ x: firstX + row * packing.betweenRows, y });
    }
  }
  return places;
}
