import { select } from 'd3-selection';
import { type D3ZoomEvent, zoom, zoomIdentity } from 'd3-zoom';

/** How the ground is moved and enlarged: `scale` times, then by `x` and `y`, in the drawing's own units. */
export interface PlanTransform {
  scale: number;
  x: number;
  y: number;
}

export interface PlanZoom {
  by(factor: number): void;
  /** back to all of the ground */
  whole(): void;
  end(): void;
}

/** Zooms and pans a drawing by wheel, fingers and mouse. @param pans true where dragging moves the drawing */
export function planZoom(
  svg: SVGSVGElement,
  pans: boolean,
  onChange: (transform: PlanTransform) => void,
): PlanZoom {
  const behaviour = zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.5, 12])
    // The wheel zooms only with Ctrl, so that the page still scrolls; drawing and moving things never pans.
    .filter((event: Event) => {
      if (event.type === 'wheel') return (event as WheelEvent).ctrlKey;
      return pans && !(event as MouseEvent).button;
    })
    .on('zoom', ({ transform: { k, x, y } }: D3ZoomEvent<SVGSVGElement, unknown>) =>
      onChange({ scale: k, x, y }),
    );
  const selection = select(svg);
  selection.call(behaviour).on('dblclick.zoom', null);
  return {
    by: (factor) => behaviour.scaleBy(selection, factor),
    whole: () => behaviour.transform(selection, zoomIdentity),
    end: () => {
      selection.on('.zoom', null);
    },
  };
}
