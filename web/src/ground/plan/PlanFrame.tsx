import type { Point, Rectangle } from '@unity-acre/core/ground';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { type PointerEvent, type ReactNode, useCallback, useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sayUnfetched } from '../../kit/fetchedPart.tsx';
import { GroundCanvas, type PaintGround } from './GroundCanvas.tsx';
import type { PlanTransform, PlanZoom } from './planZoom.ts';
import { ScaleBar } from './ScaleBar.tsx';

/** What a hand does on the plan, at a place of the ground, metres. */
interface GroundHand {
  down(place: Point, event: PointerEvent): void;
  move(place: Point, event: PointerEvent): void;
  up(place: Point, event: PointerEvent): void;
}

interface Props {
  /** the ground that is shown before anybody zooms */
  frame: Rectangle;
  label: string;
  /** true where dragging moves the plan and not what is on it */
  pans?: boolean;
  /** a small plan that only shows where something is: without zoom and scale */
  small?: boolean;
  hand?: GroundHand | undefined;
  cursor?: string;
  /** painted over what is drawn */
  paint?: PaintGround | undefined;
  /** drawn over what is painted, in metres; nothing in it can be pressed */
  above?: ReactNode;
  className?: string;
  /** drawn in metres, with y downwards; given how many metres a pixel is */
  children: ReactNode | ((metresPerPixel: number) => ReactNode);
}

/** What zooms is fetched so long after the plan is there, milliseconds; sooner where somebody presses its buttons. */
const SOON_MS = 400;

/** Ground to scale, with zoom and pan, a bar of a round length, and north. */
export function PlanFrame({
  frame,
  label,
  pans = true,
  small = false,
  hand,
  cursor = '',
  paint,
  above,
  className = '',
  children,
}: Props) {
  const { t } = useTranslation('ground');
  const svg = useRef<SVGSVGElement>(null);
  const ground = useRef<SVGGElement>(null);
  const zooming = useRef<Promise<PlanZoom> | null>(null);
  const [shownSvg, setShownSvg] = useState<SVGSVGElement | null>(null);
  const [transform, setTransform] = useState<PlanTransform>({ scale: 1, x: 0, y: 0 });

  const begin = useCallback(() => {
    zooming.current ??= import('./planZoom.ts').then(({ planZoom }) =>
      planZoom(svg.current!, pans, setTransform),
    );
    zooming.current.catch(() => {
      // What could not be fetched can be asked for again.
      zooming.current = null;
    });
    return zooming.current;
  }, [pans]);
  useEffect(() => {
    // The scale bar is measured on the drawing, so it can only be drawn once the drawing is there.
    setShownSvg(svg.current);
    // Nobody zooms before there is something to be seen.
    const soon = setTimeout(begin, SOON_MS);
    return () => {
      clearTimeout(soon);
      const begun = zooming.current;
      zooming.current = null;
      void begun?.then(
        (zoom) => zoom.end(),
        () => undefined,
      );
    };
  }, [begin]);

  const placeOf = (event: PointerEvent): Point => {
    const matrix = ground.current!.getScreenCTM()!.inverse();
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { x: point.x, y: -point.y };
  };
  const handling = hand && {
    onPointerDown: (event: PointerEvent) => {
      if (event.button !== 0) return;
      svg.current!.setPointerCapture(event.pointerId);
      hand.down(placeOf(event), event);
    },
    onPointerMove: (event: PointerEvent) => hand.move(placeOf(event), event),
    onPointerUp: (event: PointerEvent) => hand.up(placeOf(event), event),
  };
  const zoom = (how: (zoom: PlanZoom) => void) => void begin().then(how, sayUnfetched);
  const box = shownSvg?.getBoundingClientRect();
  const fitted = box?.width
    ? Math.max(frame.width / box.width, frame.length / Math.max(1, box.height))
    : frame.width / 800;
  const metresPerPixel = fitted / transform.scale;
  const control = 'grid size-9 place-items-center bg-paper border border-line-strong rounded-sm';
  const viewBox = `${frame.x} ${-(frame.y + frame.length)} ${frame.width} ${frame.length}`;
  const moved = `translate(${transform.x},${transform.y}) scale(${transform.scale})`;
  return (
    <div className={`relative contain-paint ${className}`}>
      <svg
        ref={svg}
        viewBox={viewBox}
        className={`size-full touch-none select-none bg-straw-soft ${cursor} ${paint ? 'will-change-transform' : ''}`}
        role="group"
        aria-label={label}
        {...handling}
      >
        <g ref={ground} transform={moved}>
          {typeof children === 'function' ? children(metresPerPixel) : children}
        </g>
      </svg>
      {paint && <GroundCanvas frame={frame} transform={transform} paint={paint} />}
      {above && (
        <svg
          viewBox={viewBox}
          aria-hidden
          // A layer of its own: what is painted under it changes many times a second.
          className="pointer-events-none absolute inset-0 size-full will-change-transform"
        >
          <g transform={moved}>{above}</g>
        </svg>
      )}
      {!small && (
        <>
          <ScaleBar metresPerPixel={shownSvg ? metresPerPixel : null} />
          <div className="absolute top-2 right-2 flex flex-col gap-1">
            <button
              type="button"
              className={control}
              aria-label={t('plan.zoomIn')}
              onClick={() => zoom((plan) => plan.by(1.5))}
            >
              <ZoomIn aria-hidden size={18} />
            </button>
            <button
              type="button"
              className={control}
              aria-label={t('plan.zoomOut')}
              onClick={() => zoom((plan) => plan.by(1 / 1.5))}
            >
              <ZoomOut aria-hidden size={18} />
            </button>
            <button
              type="button"
              className={control}
              aria-label={t('plan.whole')}
              onClick={() => zoom((plan) => plan.whole())}
            >
              <Maximize aria-hidden size={18} />
            </button>
          </div>
        </>
      )}
    </div>
  );
}
