import { boxAround, gapBetween } from './polygon.ts';
import { outlineOf, type Shape, shapesOverlap, uprightRectangle } from './shape.ts';

/**
 * Copies of a piece of ground in a row.
 * @param copies how many more  @param gap metres of path between them
 * @returns the copies without the first
 */
export function rowOf(shape: Shape, copies: number, gap: number, towards: 'right' | 'up'): Shape[] {
  const box = boxAround(outlineOf(shape));
  const step = (towards === 'right' ? box.width : box.length) + gap;
  return Array.from({ length: copies }, (_, i) => ({
    ...shape,
    x: round(shape.x + (towards === 'right' ? (i + 1) * step : 0)),
    y: round(shape.y + (towards === 'up' ? (i + 1) * step : 0)),
  }));
}

export const alignments = ['left', 'right', 'top', 'bottom', 'spreadAcross', 'spreadAlong'] as const;
export type Alignment = (typeof alignments)[number];

/** Slack for lengths that were typed in another unit, metres. */
const SLACK_M = 1e-6;
const round = (metres: number): number => Number(metres.toFixed(6));

/** Pieces of ground moved to one line, or spread so that the gaps between them are even; each in its old place in the list. */
export function aligned<S extends Shape>(shapes: readonly S[], by: Alignment): S[] {
  if (shapes.length < 2) return [...shapes];
  const boxes = shapes.map((shape) => boxAround(outlineOf(shape)));
  const all = boxAround(shapes.flatMap(outlineOf));
  if (by === 'spreadAcross' || by === 'spreadAlong') return spread(shapes, boxes, all, by === 'spreadAcross');
  return shapes.map((shape, i) => {
    const box = boxes[i]!;
    const dx = by === 'left' ? all.x - box.x : by === 'right' ? all.x + all.width - box.x - box.width : 0;
    const dy = by === 'bottom' ? all.y - box.y : by === 'top' ? all.y + all.length - box.y - box.length : 0;
    return { ...shape, x: round(shape.x + dx), y: round(shape.y + dy) };
  });
}

type Box = ReturnType<typeof boxAround>;

function spread<S extends Shape>(
  shapes: readonly S[],
  boxes: readonly Box[],
  all: Box,
  across: boolean,
): S[] {
  const size = (box: Box) => (across ? box.width : box.length);
  const start = (box: Box) => (across ? box.x : box.y);
  const gap = (size(all) - boxes.reduce((sum, box) => sum + size(box), 0)) / (shapes.length - 1);
  const order = boxes.map((_, i) => i).sort((a, b) => start(boxes[a]!) - start(boxes[b]!));
  const moved = [...shapes];
  let at = start(all);
  for (const i of order) {
    const by = at - start(boxes[i]!);
    const shape = shapes[i]!;
    moved[i] = { ...shape, x: round(shape.x + (across ? by : 0)), y: round(shape.y + (across ? 0 : by)) };
    at += size(boxes[i]!) + gap;
  }
  return moved;
}

/**
 * A free place for a new piece of ground: beside one that is there, the latest first, where it lies on nothing and keeps the
 * path; else beyond everything.
 * @param taken beds and what else nothing can be grown on, the latest last  @param path metres between
 * @returns its lower left corner, metres
 */
export function freePlace(
  taken: readonly Shape[],
  { width, length }: { width: number; length: number },
  path: number,
): { x: number; y: number } {
  if (taken.length === 0) return { x: 0, y: 0 };
  const boxes = taken.map((shape) => boxAround(outlineOf(shape)));
  const isFree = ({ x, y }: { x: number; y: number }) => {
    const own = uprightRectangle({ x, y, width, length });
    return !taken.some(
      (shape) => shapesOverlap(shape, own) || gapBetween(outlineOf(shape), outlineOf(own)) < path - SLACK_M,
    );
  };
  const beside = boxes.map(({ x, y, width: wide }) => ({ x: round(x + wide + path), y: round(y) })).reverse();
  const all = boxAround(taken.flatMap(outlineOf));
  return beside.find(isFree) ?? { x: round(all.x + all.width + path), y: round(all.y) };
}

/** The pieces of ground nearest to one, with the gap to each, metres; those that it touches or lies on have a gap of 0. */
export function nearestTo<S extends Shape>(
  moving: readonly Shape[],
  others: readonly S[],
  count: number,
): { shape: S; gap: number }[] {
  const outlines = moving.map(outlineOf);
  return others
    .map((shape) => {
      const outline = outlineOf(shape);
      return { shape, gap: Math.min(...outlines.map((own) => gapBetween(own, outline))) };
    })
    .sort((a, b) => a.gap - b.gap)
    .slice(0, count);
}
