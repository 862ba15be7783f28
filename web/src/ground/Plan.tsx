import type { Bed, Landmark } from '@unity-acre/contract/ground';
import type { Family } from '@unity-acre/core/crops';
import { extentOf, type Rectangle, snapTo, spanned } from '@unity-acre/core/ground';
import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomBehavior, zoom, zoomIdentity } from 'd3-zoom';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { FamilyGlyph } from '../kit/FamilyMark.tsx';
import { useHere } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { seasonYearOf } from '../season/year.ts';
import { tenureIn } from './bedShape.ts';
import { tenureFill } from './tenureLook.ts';

export type PlanMode = 'look' | 'draw' | 'arrange';

interface Props {
  beds: Bed[];
  landmarks: Landmark[];
  mode?: PlanMode;
  /** the bed to point out */
  highlight?: string;
  /** families growing in a bed this season */
  growing?: Map<string, Family[]>;
  /** a small plan that only shows where something is */
  small?: boolean;
  onOpen?(bed: Bed): void;
  onDrawn?(shape: Rectangle): void;
  onMoved?(bed: Bed, x: number, y: number): void;
  className?: string;
}

/** Ground shown around the outermost bed, metres. */
const MARGIN_M = 1.5;
const EMPTY: Rectangle = { x: 0, y: 0, width: 24, length: 14 };

/** What a length typed or drawn snaps to: half a foot, or a tenth of a metre. */
const snapStep = (system: 'imperial' | 'metric'): number => (system === 'imperial' ? 0.1524 : 0.1);

/** The garden to scale, north up. Beds can be drawn and moved by hand; every one of them can be reached by keyboard. */
export function Plan({
  beds,
  landmarks,
  mode = 'look',
  highlight,
  growing,
  small = false,
  onOpen,
  onDrawn,
  onMoved,
  className = '',
}: Props) {
  const { t } = useTranslation('ground');
  const { garden } = useHere();
  const { system } = useMeasure();
  const step = snapStep(system);
  const year = seasonYearOf(garden, garden.today);
  const frame = useMemo(() => {
    const around = extentOf([...beds, ...landmarks]) ?? EMPTY;
    return {
      x: around.x - MARGIN_M,
      y: around.y - MARGIN_M,
      width: around.width + 2 * MARGIN_M,
      length: around.length + 2 * MARGIN_M,
    };
  }, [beds, landmarks]);

  const svg = useRef<SVGSVGElement>(null);
  const ground = useRef<SVGGElement>(null);
  const zooming = useRef<ZoomBehavior<SVGSVGElement, unknown>>(null);
  const [shownSvg, setShownSvg] = useState<SVGSVGElement | null>(null);
  const [transform, setTransform] = useState(zoomIdentity);
  const [drawn, setDrawn] = useState<Rectangle | null>(null);
  const [moving, setMoving] = useState<{ id: string; x: number; y: number } | null>(null);
  const start = useRef<{ x: number; y: number }>({ x: 0, y: 0 });

  useEffect(() => {
    const behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, 12])
      // The wheel zooms only with Ctrl, so that the page still scrolls; drawing and moving beds never pans.
      .filter((event: Event) => {
        if (event.type === 'wheel') return (event as WheelEvent).ctrlKey;
        return mode === 'look' && !(event as MouseEvent).button;
      })
      .on('zoom', (event: D3ZoomEvent<SVGSVGElement, unknown>) => setTransform(event.transform));
    zooming.current = behaviour;
    // The scale bar is measured on the drawing, so it can only be drawn once the drawing is there.
    setShownSvg(svg.current);
    const selection = select(svg.current!);
    selection.call(behaviour).on('dblclick.zoom', null);
    return () => {
      selection.on('.zoom', null);
    };
  }, [mode]);

  /** A place on the ground under the pointer, metres. */
  const placeOf = (event: PointerEvent): { x: number; y: number } => {
    const matrix = ground.current!.getScreenCTM()!.inverse();
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { x: snapTo(point.x, step), y: snapTo(-point.y, step) };
  };
  const hold = (event: PointerEvent) => (event.target as Element).setPointerCapture(event.pointerId);

  const drawing = mode === 'draw' && {
    onPointerDown: (event: PointerEvent) => {
      hold(event);
      start.current = placeOf(event);
      setDrawn({ ...start.current, width: 0, length: 0 });
    },
    onPointerMove: (event: PointerEvent) => {
      if (!drawn) return;
      const { x, y } = placeOf(event);
      setDrawn(spanned(start.current.x, start.current.y, x, y));
    },
    onPointerUp: () => {
      if (drawn && drawn.width > 0 && drawn.length > 0) onDrawn?.(drawn);
      setDrawn(null);
    },
  };

  const arranging = (bed: Bed) =>
    mode === 'arrange' && {
      onPointerDown: (event: PointerEvent) => {
        hold(event);
        const at = placeOf(event);
        start.current = { x: at.x - bed.x, y: at.y - bed.y };
        setMoving({ id: bed.id, x: bed.x, y: bed.y });
      },
      onPointerMove: (event: PointerEvent) => {
        if (moving?.id !== bed.id) return;
        const at = placeOf(event);
        setMoving({
          id: bed.id,
          x: snapTo(at.x - start.current.x, step),
          y: snapTo(at.y - start.current.y, step),
        });
      },
      onPointerUp: () => {
        if (moving && (moving.x !== bed.x || moving.y !== bed.y)) onMoved?.(bed, moving.x, moving.y);
        setMoving(null);
      },
    };

  const byKey = (bed: Bed) => (event: React.KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (mode === 'arrange' && by) {
      event.preventDefault();
      onMoved?.(bed, snapTo(bed.x + by[0]! * step, step / 2), snapTo(bed.y + by[1]! * step, step / 2));
    } else if (event.key === 'Enter') onOpen?.(bed);
  };

  const zoomBy = (factor: number) => zooming.current!.scaleBy(select(svg.current!), factor);
  const control = 'grid size-9 place-items-center bg-paper border border-line-strong rounded-sm';
  return (
    <div className={`relative ${className}`}>
      <svg
        ref={svg}
        viewBox={`${frame.x} ${-(frame.y + frame.length)} ${frame.width} ${frame.length}`}
        className={`size-full touch-none select-none bg-straw-soft ${mode === 'draw' ? 'cursor-crosshair' : ''}`}
        role="group"
        aria-label={t('plan.label')}
        {...drawing}
      >
        <g ref={ground} transform={transform.toString()}>
          {landmarks.map((landmark) => (
            <LandmarkMark key={landmark.id} landmark={landmark} />
          ))}
          {beds.map((bed) => {
            const shown = moving?.id === bed.id ? { ...bed, ...moving } : bed;
            const kind = tenureIn(bed, year)?.kind ?? 'none';
            return (
              <g
                key={bed.id}
                role="link"
                tabIndex={0}
                aria-label={t('plan.bed', { bed: bed.name, tenure: t(`tenure.${kind}`) })}
                transform={`translate(${shown.x} ${-(shown.y + shown.length)})`}
                className={mode === 'arrange' ? 'cursor-move' : 'cursor-pointer'}
                onClick={() => mode === 'look' && onOpen?.(bed)}
                onKeyDown={byKey(bed)}
                {...arranging(bed)}
              >
                <rect
                  width={bed.width}
                  height={bed.length}
                  rx={0.08}
                  className={`${tenureFill[kind]} ${highlight === bed.id ? 'stroke-beet' : 'stroke-ink'}`}
                  strokeWidth={highlight === bed.id ? 0.2 : 0.05}
                />
                <BedLabel bed={bed} families={growing?.get(bed.id) ?? []} />
              </g>
            );
          })}
          {drawn && (
            <rect
              x={drawn.x}
              y={-(drawn.y + drawn.length)}
              width={drawn.width}
              height={drawn.length}
              className="fill-blossom/50 stroke-ink"
              strokeWidth={0.05}
              strokeDasharray="0.2 0.12"
            />
          )}
        </g>
      </svg>
      {drawn && <DrawnSize shape={drawn} />}
      {!small && (
        <>
          <ScaleBar metresAcross={frame.width / transform.k} svg={shownSvg} />
          <div className="absolute top-2 right-2 flex flex-col gap-1">
            <button
              type="button"
              className={control}
              aria-label={t('plan.zoomIn')}
              onClick={() => zoomBy(1.5)}
            >
              <ZoomIn aria-hidden size={18} />
            </button>
            <button
              type="button"
              className={control}
              aria-label={t('plan.zoomOut')}
              onClick={() => zoomBy(1 / 1.5)}
            >
              <ZoomOut aria-hidden size={18} />
            </button>
            <button
              type="button"
              className={control}
              aria-label={t('plan.whole')}
              onClick={() => zooming.current!.transform(select(svg.current!), zoomIdentity)}
            >
              <Maximize aria-hidden size={18} />
            </button>
          </div>
        </>
      )}
    </div>
  );
}

/** The name along the bed's long side, and the marks of what grows in it. */
function BedLabel({ bed, families }: { bed: Bed; families: Family[] }) {
  const upright = bed.length > bed.width * 1.2;
  const [along, across] = upright ? [bed.length, bed.width] : [bed.width, bed.length];
  const mark = Math.min(0.72, across * 0.6);
  const shown = families.slice(0, 4);
  const room = along - 0.35 - shown.length * (mark + 0.12);
  const size = Math.max(0.26, Math.min(0.62, across * 0.5, room / (0.56 * bed.name.length)));
  return (
    <g
      transform={upright ? `translate(0 ${bed.length}) rotate(-90)` : undefined}
      className="pointer-events-none"
    >
      <text x={0.2} y={across / 2 + size * 0.34} fontSize={size} className="fill-ink font-semibold">
        {bed.name}
      </text>
      {shown.map((family, i) => (
        <g
          key={family}
          transform={`translate(${along - (i + 1) * (mark + 0.12)} ${(across - mark) / 2}) ${upright ? `rotate(90 ${mark / 2} ${mark / 2})` : ''} scale(${mark / 16})`}
        >
          <rect width="16" height="16" rx="3" className="fill-mark-ground" />
          <FamilyGlyph family={family} />
        </g>
      ))}
    </g>
  );
}

function LandmarkMark({ landmark }: { landmark: Landmark }) {
  const { t } = useTranslation('ground');
  const { kind, x, y, width, length } = landmark;
  const name = t(`landmark.${kind}`);
  const look = {
    tap: 'fill-rain stroke-rain',
    shed: 'fill-line-strong stroke-ink',
    hedge: 'fill-leaf-mid stroke-leaf',
    fence: 'fill-none stroke-ink-soft',
    tree: 'fill-leaf-mid/70 stroke-leaf',
  }[kind];
  const size = Math.min(0.6, Math.max(0.34, Math.min(width, length) * 0.5));
  const upright = length > width * 2;
  const [cx, cy] = [x + width / 2, -(y + length / 2)];
  return (
    <g>
      <title>{name}</title>
      {kind === 'tap' || kind === 'tree' ? (
        <ellipse cx={cx} cy={cy} rx={width / 2} ry={length / 2} className={look} strokeWidth={0.05} />
      ) : (
        <rect
          x={x}
          y={-(y + length)}
          width={width}
          height={length}
          rx={kind === 'hedge' ? 0.3 : 0}
          className={look}
          strokeWidth={0.06}
        />
      )}
      {kind === 'tap' ? (
        <text x={cx + width / 2 + 0.15} y={cy + 0.18} fontSize={0.55} className="fill-rain font-semibold">
          {name}
        </text>
      ) : (
        <text
          x={cx}
          y={cy}
          dy={size * 0.35}
          fontSize={size}
          textAnchor="middle"
          transform={upright ? `rotate(-90 ${cx} ${cy})` : undefined}
          className={kind === 'fence' ? 'fill-ink-soft' : 'fill-paper font-semibold'}
        >
          {name}
        </text>
      )}
    </g>
  );
}

function DrawnSize({ shape }: { shape: Rectangle }) {
  const { length } = useMeasure();
  return (
    <p className="absolute top-2 left-2 bg-rail px-3 py-1 font-semibold text-rail-ink">
      {length(shape.width)} × {length(shape.length)}
    </p>
  );
}

const ROUND = [0.5, 1, 2, 5, 10, 20, 50];

/** A bar of a round length at the plan's present scale, and north. */
function ScaleBar({ metresAcross, svg }: { metresAcross: number; svg: SVGSVGElement | null }) {
  const { t } = useTranslation('ground');
  const { system, number } = useMeasure();
  const unit = system === 'imperial' ? 0.3048 : 1;
  const wanted = metresAcross / 6 / unit;
  const steps = ROUND.filter((step) => step <= wanted);
  const units = steps.at(-1) ?? ROUND[0]!;
  // The plan is fitted into its box: the narrower of the two sides sets the scale.
  const box = svg?.getScreenCTM()?.a;
  const pixels = box ? units * unit * box * (svg!.viewBox.baseVal.width / metresAcross) : 0;
  return (
    <div className="pointer-events-none absolute bottom-2 left-3 flex items-end gap-4">
      <span className="flex flex-col items-center font-title font-bold text-sm leading-none">
        <svg viewBox="0 0 12 18" width="14" height="20" aria-hidden>
          <path d="M6 1 11 17 6 13 1 17Z" className="fill-ink" />
        </svg>
        {t('plan.north')}
      </span>
      {pixels > 0 && (
        <span className="text-sm">
          {number(units)} {system === 'imperial' ? 'ft' : 'm'}
          <svg width={pixels} height="7" className="block" aria-hidden>
            <path d={`M0.5 0v6.500H${pixels - 0.5}V0`} className="fill-none stroke-ink" />
          </svg>
        </span>
      )}
    </div>
  );
}
