import type { Point, Rectangle } from '@unity-acre/core/ground';
import { useLayoutEffect, useRef, useState } from 'react';
import type { PlanTransform } from './planZoom.ts';

/** How ground lies on a canvas. */
export interface GroundView {
  /** px a metre */
  scale: number;
  /** where a place of the ground is, px */
  x(metres: number): number;
  y(metres: number): number;
  /** whether any of an outline is in sight */
  shows(outline: readonly Point[]): boolean;
}

export type PaintGround = (context: CanvasRenderingContext2D, view: GroundView) => void;

/** Sharper than this nobody sees, and it costs. */
const MOST_SHARP = 2;

interface Size {
  width: number;
  height: number;
}

/** As an SVG fits its view box: all of the frame, in the middle. */
function viewOf(frame: Rectangle, { width, height }: Size, { scale, x, y }: PlanTransform): GroundView {
  const fit = Math.min(width / frame.width, height / frame.length);
  const left = (width - frame.width * fit) / 2 + (x - frame.x) * fit;
  const top = (height - frame.length * fit) / 2 + (y + frame.y + frame.length) * fit;
  const whole = fit * scale;
  const atX = (metres: number) => left + metres * whole;
  const atY = (metres: number) => top - metres * whole;
  return {
    scale: whole,
    x: atX,
    y: atY,
    shows: (outline) => {
      let [west, east, north, south] = [Infinity, -Infinity, Infinity, -Infinity];
      for (const p of outline) {
        west = Math.min(west, atX(p.x));
        east = Math.max(east, atX(p.x));
        north = Math.min(north, atY(p.y));
        south = Math.max(south, atY(p.y));
      }
      return east >= 0 && west <= width && south >= 0 && north <= height;
    },
  };
}

/** What is too much for a drawing of elements, painted over the plan in the same place. */
export function GroundCanvas({
  frame,
  transform,
  paint,
}: {
  frame: Rectangle;
  transform: PlanTransform;
  paint: PaintGround;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [size, setSize] = useState<Size | null>(null);
  useLayoutEffect(() => {
    const watcher = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize({ width, height });
    });
    watcher.observe(canvas.current!);
    return () => watcher.disconnect();
  }, []);
  useLayoutEffect(() => {
    if (!size?.width) return;
    const sharp = Math.min(MOST_SHARP, window.devicePixelRatio || 1);
    const { current } = canvas;
    const [width, height] = [Math.round(size.width * sharp), Math.round(size.height * sharp)];
    // Setting its size empties it and takes new ground for it.
    if (current!.width !== width) current!.width = width;
    if (current!.height !== height) current!.height = height;
    const context = current!.getContext('2d')!;
    context.setTransform(sharp, 0, 0, sharp, 0, 0);
    context.clearRect(0, 0, size.width, size.height);
    paint(context, viewOf(frame, size, transform));
  }, [size, frame, transform, paint]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      className="pointer-events-none absolute inset-0 size-full will-change-transform"
    />
  );
}
