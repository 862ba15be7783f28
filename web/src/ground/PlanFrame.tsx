import type { Point, Rectangle } from '@unity-acre/core/ground';
import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomBehavior, zoom, zoomIdentity } from 'd3-zoom';
import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { type PointerEvent, type ReactNode, useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
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
  className?: string;
  /** drawn in metres, with y downwards; given how many metres a pixel is */
  children: ReactNode | ((metresPerPixel: number) => ReactNode);
}

/** Ground to scale, with zoom and pan, a bar of a round length, and north. */
export function PlanFrame({
  frame,
  label,
  pans = true,
  small = false,
  hand,
  cursor = '',
  className = '',
  children,
}: Props) {
  const { t } = useTranslation('ground');
  const svg = useRef<SVGSVGElement>(null);
  const ground = useRef<SVGGElement>(null);
  const zooming = useRef<ZoomBehavior<SVGSVGElement, unknown>>(null);
  const [shownSvg, setShownSvg] = useState<SVGSVGElement | null>(null);
  const [transform, setTransform] = useState(zoomIdentity);

  useEffect(() => {
    const behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.5, 12])
      // The wheel zooms only with Ctrl, so that the page still scrolls; drawing and moving things never pans.
      .filter((event: Event) => {
        if (event.type === 'wheel') return (event as WheelEvent).ctrlKey;
        return pans && !(event as MouseEvent).button;
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
  }, [pans]);

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
  const zoomBy = (factor: number) => zooming.current!.scaleBy(select(svg.current!), factor);
  const box = shownSvg?.getBoundingClientRect();
  const fitted = box?.width
    ? Math.max(frame.width / box.width, frame.length / Math.max(1, box.height))
    : frame.width / 800;
  const metresPerPixel = fitted / transform.k;
  const control = 'grid size-9 place-items-center bg-paper border border-line-strong rounded-sm';
  return (
    <div className={`relative ${className}`}>
      <svg
        ref={svg}
        viewBox={`${frame.x} ${-(frame.y + frame.length)} ${frame.width} ${frame.length}`}
        className={`size-full touch-none select-none bg-straw-soft ${cursor}`}
        role="group"
        aria-label={label}
        {...handling}
      >
        <g ref={ground} transform={transform.toString()}>
          {typeof children === 'function' ? children(metresPerPixel) : children}
        </g>
      </svg>
      {!small && (
        <>
          <ScaleBar metresPerPixel={shownSvg ? metresPerPixel : null} />
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
