import type { Family } from '@unity-acre/core/crops';
import { familyLook } from '../../kit/FamilyMark.tsx';
import type { GroundView } from '../plan/index.ts';
import type { Colours } from './Colours.ts';
import type { LensView } from './lens.ts';
import type { PixelLayer } from './PixelLayer.ts';
import type { Seen } from './planted.ts';

/** A plant smaller than this is drawn as a square: nobody sees its corners, px. */
const SQUARE_PX = 1.7;
/** The least that is drawn of a plant, px. */
const LEAST_PX = 0.9;
/** The mark of a family is drawn where its planting is so many px wide. */
const MARKED_PX = 20;
const MARK_PX = 16;
const FULL_TURN = 2 * Math.PI;

/** What is painted with, kept from one drawing to the next. */
export interface Palette {
  colours: Colours;
  pixels: PixelLayer;
}

const FAINT = 'color-mix(in srgb, var(--ink) 30%, transparent)';

/** Draws what stands on a day: the ground of each planting, its plants as large as they have grown, and the mark of its family. */
export function paintPlants(
  context: CanvasRenderingContext2D,
  view: GroundView,
  seen: readonly Seen[],
  look: LensView,
  { colours, pixels }: Palette,
): void {
  const { width, height } = context.canvas;
  pixels.begin(width, height);
  const sharp = context.getTransform().a;
  const shown = seen.filter(({ planted }) => view.shows(planted.ground));
  for (const one of shown) {
    const named = look.plantOf ? look.plantOf(one) : FAINT;
    if (named === null) continue;
    const { css, dot } = colours.of(named);
    context.fillStyle = css;
    paintGround(context, view, one.planted.ground);
    const radius = Math.max(LEAST_PX, (one.planted.crop.spread / 2) * one.grown * view.scale);
    if (radius < SQUARE_PX) addSquares(pixels, view, one.planted.plants, radius, dot, sharp);
    else paintCircles(context, view, one.planted.plants, radius);
  }
  pixels.end(context);
  if (look.plantOf) for (const one of shown) paintMark(context, view, one, colours);
}

function paintGround(
  context: CanvasRenderingContext2D,
  view: GroundView,
  ground: readonly { x: number; y: number }[],
): void {
  context.globalAlpha = 0.2;
  context.beginPath();
  for (const [n, { x, y }] of ground.entries()) {
    if (n === 0) context.moveTo(view.x(x), view.y(y));
    else context.lineTo(view.x(x), view.y(y));
  }
  context.fill();
  context.globalAlpha = 1;
}

/** Small plants, which are many. */
function addSquares(
  pixels: PixelLayer,
  view: GroundView,
  plants: Float32Array,
  radius: number,
  dot: number,
  sharp: number,
): void {
  const side = Math.max(1, Math.round(radius * 1.8 * sharp));
  for (let n = 0; n < plants.length; n += 2)
    pixels.square(view.x(plants[n]!) * sharp, view.y(plants[n + 1]!) * sharp, side, dot);
}

function paintCircles(
  context: CanvasRenderingContext2D,
  view: GroundView,
  plants: Float32Array,
  radius: number,
): void {
  context.globalAlpha = 0.85;
  context.beginPath();
  for (let n = 0; n < plants.length; n += 2) {
    const [x, y] = [view.x(plants[n]!), view.y(plants[n + 1]!)];
    context.moveTo(x + radius, y);
    context.arc(x, y, radius, 0, FULL_TURN);
  }
  context.fill();
  context.globalAlpha = 1;
}

const paths = new Map<Family, Path2D>();

/** A family's mark as a canvas takes it. */
function markOf(family: Family): { path: Path2D; hue: string } {
  const { path: drawn, hue } = familyLook(family);
  const path = paths.get(family) ?? new Path2D(drawn);
  paths.set(family, path);
  return { path, hue };
}

/** The mark of the family in the middle of its planting: a colour never speaks alone. */
function paintMark(
  context: CanvasRenderingContext2D,
  view: GroundView,
  { planted: { ground, width, length, crop } }: Seen,
  colours: Colours,
): void {
  if (Math.min(width, length) * view.scale < MARKED_PX) return;
  const { path, hue } = markOf(crop.family);
  const [a, , c] = ground as [{ x: number; y: number }, unknown, { x: number; y: number }];
  context.save();
  context.translate(view.x((a.x + c.x) / 2) - MARK_PX / 2, view.y((a.y + c.y) / 2) - MARK_PX / 2);
  context.fillStyle = colours.of('var(--mark-ground)').css;
  context.beginPath();
  context.roundRect(0, 0, MARK_PX, MARK_PX, 3);
  context.fill();
  context.lineWidth = 1.5;
  context.lineCap = 'round';
  context.lineJoin = 'round';
  context.strokeStyle = hue;
  context.stroke(path);
  context.restore();
}
