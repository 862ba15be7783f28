import { boxAround } from './polygon.ts';
import { outlineOf, type Shape } from './shape.ts';

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
