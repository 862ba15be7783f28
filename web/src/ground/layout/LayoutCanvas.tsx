import type { Landmark } from '@unity-acre/contract/ground';
import {
  type Form,
  outlineOf,
  type Point,
  polygonShape,
  type Shape,
  snapTo,
  spanned,
  uprightRectangle,
} from '@unity-acre/core/ground';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { tenureIn, useHere, useMeasure } from '../../garden/index.ts';
import {
  BedMark,
  frameOf,
  LandmarkMark,
  PlanFrame,
  paintOrder,
  pathOf,
  stepIn,
  Underlay,
} from '../plan/index.ts';
import { Distances, type Moving } from './Distances.tsx';
import { type Guide, type Handle, handlesOf, hit, pulled, snappedMove } from './handles.ts';
import { type LayoutEditing, shaped, type Thing } from './useLayoutEditing.ts';

export type Tool = 'select' | 'pan' | 'scale' | Form;

/** How near a hand has to come to an edge or handle, pixels. */
const NEAR_PX = 9;
/** How far a hand goes before it drags, pixels: a press that trembles moves nothing. */
const DRAGS_PX = 4;

type Gesture =
  | { kind: 'move'; from: Point; things: Thing[] }
  | { kind: 'pull'; from: Point; thing: Thing; handle: Handle }
  | { kind: 'draw'; from: Point };

interface Props {
  editing: LayoutEditing;
  tool: Tool;
  /** a shape was drawn with a tool */
  onDrawn(shape: Shape): void;
  /** two places were pointed at with the scale tool */
  onScale(from: Point, to: Point): void;
}

/** The plan under the hand: draws, selects, moves, pulls and turns what is on it. */
export function LayoutCanvas({ editing, tool, onDrawn, onScale }: Props) {
  const { t } = useTranslation(['layout', 'ground']);
  const { garden } = useHere();
  const { length, system } = useMeasure();
  const year = garden.seasonYear;
  const step = stepIn(system);
  const { things, chosen, selected } = editing;
  const scale = useRef(0.03);
  const gesture = useRef<Gesture | null>(null);
  /** whether the hand has gone so far that it drags */
  const drags = useRef(false);
  const begin = (begun: Gesture) => {
    gesture.current = begun;
    drags.current = false;
  };
  const [drawn, setDrawn] = useState<Shape | null>(null);
  const [corners, setCorners] = useState<Point[]>([]);
  const [pointer, setPointer] = useState<Point | null>(null);
  const [guides, setGuides] = useState<Guide[]>([]);
  const [moving, setMoving] = useState<Moving | null>(null);
  // The frame stays as it was when editing began, so that the ground does not jump under the hand.
  // biome-ignore lint/correctness/useExhaustiveDependencies: it follows what is there, not where it is moved to
  const frame = useMemo(() => frameOf(things), [things.length]);
  const snapped = (p: Point): Point => ({ x: snapTo(p.x, step), y: snapTo(p.y, step) });
  const one = chosen.length === 1 ? chosen[0]! : null;

  const finish = (outline: Point[]) => {
    if (outline.length >= 3) onDrawn(polygonShape(outline));
    setCorners([]);
  };

  const down = (place: Point, event: PointerEvent) => {
    if (tool === 'scale' || tool === 'polygon') {
      const at = tool === 'polygon' ? snapped(place) : place;
      const isClosing =
        tool === 'polygon' &&
        corners.length >= 3 &&
        Math.hypot(at.x - corners[0]!.x, at.y - corners[0]!.y) < NEAR_PX * 1.5 * scale.current;
      if (isClosing) return finish(corners);
      if (tool === 'scale' && corners.length === 1) {
        setCorners([]);
        return onScale(corners[0]!, place);
      }
      return setCorners([...corners, at]);
    }
    if (tool === 'rectangle' || tool === 'circle') {
      begin({ kind: 'draw', from: snapped(place) });
      return;
    }
    const near = NEAR_PX * scale.current;
    const handle =
      one &&
      handlesOf(one, scale.current).find(({ at }) => Math.hypot(at.x - place.x, at.y - place.y) <= near);
    if (one && handle) {
      begin({ kind: 'pull', from: place, thing: one, handle });
      return;
    }
    const under = hit(things, place, near);
    if (!under) return event.shiftKey ? undefined : editing.select([]);
    const isIn = selected.includes(under.id);
    const ids = event.shiftKey
      ? isIn
        ? selected.filter((id) => id !== under.id)
        : [...selected, under.id]
      : isIn
        ? selected
        : [under.id];
    editing.select(ids);
    // With Shift one gathers; what is gathered stays where it is.
    if (event.shiftKey) return;
    begin({ kind: 'move', from: place, things: things.filter(({ id }) => ids.includes(id)) });
  };

  const moved = (from: Extract<Gesture, { kind: 'move' }>, place: Point) => {
    const others = things.filter(({ id }) => !from.things.some((thing) => thing.id === id));
    const by = { x: place.x - from.from.x, y: place.y - from.from.y };
    return snappedMove(from.things, others, by, NEAR_PX * 0.7 * scale.current, step);
  };

  const drawnTo = (from: Point, place: Point) => {
    const at = snapped(place);
    const box = spanned(from.x, from.y, at.x, at.y);
    if (tool !== 'circle') return uprightRectangle(box);
    const size = Math.max(box.width, box.length);
    return { ...uprightRectangle({ ...box, width: size, length: size }), form: 'circle' as const };
  };

  const move = (place: Point) => {
    if (tool === 'polygon' || tool === 'scale') setPointer(snapped(place));
    const now = gesture.current;
    if (!now) return;
    drags.current ||= Math.hypot(place.x - now.from.x, place.y - now.from.y) >= DRAGS_PX * scale.current;
    if (!drags.current) return;
    if (now.kind === 'draw') setDrawn(drawnTo(now.from, place));
    else if (now.kind === 'pull') {
      editing.draft([shaped(now.thing, pulled(now.thing, now.handle, place, step))]);
    } else {
      const { by, guides: lines } = moved(now, place);
      setGuides(lines);
      const there = now.things.map((thing) =>
        shaped(thing, { ...thing, x: thing.x + by.x, y: thing.y + by.y }),
      );
      setMoving({ by, things: there });
      editing.draft(there);
    }
  };

  const up = (place: Point) => {
    const now = gesture.current;
    gesture.current = null;
    setGuides([]);
    setMoving(null);
    // A press without a move only selects.
    if (!now || !drags.current) return;
    if (now.kind === 'draw') {
      const shape = drawnTo(now.from, place);
      setDrawn(null);
      if (shape.width > 0 && shape.length > 0) onDrawn(shape);
    } else if (now.kind === 'pull') {
      void editing.save([shaped(now.thing, pulled(now.thing, now.handle, place, step))]);
    } else {
      const { by } = moved(now, place);
      void editing.save(
        now.things.map((thing) => shaped(thing, { ...thing, x: thing.x + by.x, y: thing.y + by.y })),
      );
    }
  };

  const byKey = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (event.key === 'Escape') {
      setCorners([]);
      editing.select([]);
    } else if (event.key === 'Enter' && corners.length >= 3) finish(corners);
    else if (by && chosen.length > 0) {
      event.preventDefault();
      const far = event.shiftKey ? step * 4 : step;
      editing.saveSoon(
        chosen.map((thing) =>
          shaped(thing, { ...thing, x: thing.x + by[0]! * far, y: thing.y + by[1]! * far }),
        ),
      );
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && chosen.length > 0) {
      event.preventDefault();
      void editing.remove(chosen);
    } else if (event.key === 'z' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      void (event.shiftKey ? editing.redo() : editing.undo());
    }
  };

  const shownLine = corners.length > 0 && pointer ? [...corners, pointer] : corners;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the keys are those of what is selected within
    <div onKeyDown={byKey} className="relative">
      <PlanFrame
        frame={frame}
        label={t('canvas')}
        pans={tool === 'pan'}
        hand={tool === 'pan' ? undefined : { down, move, up }}
        cursor={tool === 'select' || tool === 'pan' ? '' : 'cursor-crosshair'}
        className="h-[30rem] border border-line-strong sm:h-[38rem]"
      >
        {(metresPerPixel) => {
          scale.current = metresPerPixel;
          return (
            <>
              <Underlay />
              {paintOrder(
                things.filter((thing): thing is { what: 'landmark' } & Landmark => thing.what === 'landmark'),
              ).map((mark) => (
                <Selectable key={mark.id} thing={{ ...mark, what: 'landmark' }} editing={editing}>
                  <LandmarkMark landmark={mark} marked={selected.includes(mark.id)} />
                </Selectable>
              ))}
              {things.map(
                (thing) =>
                  thing.what === 'bed' && (
                    <Selectable key={thing.id} thing={thing} editing={editing}>
                      <BedMark
                        bed={thing}
                        tenure={tenureIn(thing, year)?.kind ?? 'none'}
                        marked={selected.includes(thing.id)}
                      />
                    </Selectable>
                  ),
              )}
              {drawn && (
                <path
                  d={pathOf(outlineOf(drawn))}
                  className="fill-blossom/40 stroke-ink"
                  strokeWidth={0.05}
                />
              )}
              {shownLine.length > 0 && (
                <path
                  d={`M${shownLine.map(({ x, y }) => `${x} ${-y}`).join('L')}`}
                  className="fill-blossom/30 stroke-beet"
                  strokeWidth={2 * metresPerPixel}
                />
              )}
              {guides.map(({ axis, at }) => (
                <line
                  key={`${axis}${at}`}
                  {...(axis === 'x'
                    ? { x1: at, x2: at, y1: -frame.y, y2: -(frame.y + frame.length) }
                    : { y1: -at, y2: -at, x1: frame.x, x2: frame.x + frame.width })}
                  className="stroke-beet"
                  strokeWidth={metresPerPixel}
                />
              ))}
              {one &&
                tool === 'select' &&
                handlesOf(one, metresPerPixel).map(({ kind, at }) => (
                  <circle
                    key={`${kind}${at.x}${at.y}`}
                    cx={at.x}
                    cy={-at.y}
                    r={(kind === 'newVertex' ? 4 : 6) * metresPerPixel}
                    className={`stroke-ink ${kind === 'turn' ? 'fill-rain' : kind === 'newVertex' ? 'fill-straw' : 'fill-blossom'}`}
                    strokeWidth={metresPerPixel}
                  />
                ))}
            </>
          );
        }}
      </PlanFrame>
      {moving && <Distances moving={moving} things={things} />}
      {drawn && (
        <p className="absolute top-2 left-2 bg-rail px-3 py-1 font-semibold text-rail-ink">
          {length(drawn.width)} × {length(drawn.length)}
        </p>
      )}
    </div>
  );
}

/** Reachable by Tab, and selected by Enter or Space. */
function Selectable({
  thing,
  editing,
  children,
}: {
  thing: Thing;
  editing: LayoutEditing;
  children: React.ReactNode;
}) {
  const { t } = useTranslation('ground');
  const name = thing.name || (thing.what === 'landmark' ? t(`landmark.${thing.kind}`) : '');
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={name}
      aria-pressed={editing.selected.includes(thing.id)}
      className="cursor-move"
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        editing.select(event.shiftKey ? [...editing.selected, thing.id] : [thing.id]);
      }}
    >
      {children}
    </g>
  );
}
