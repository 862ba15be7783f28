import { type RefObject, useEffect, useState } from 'react';
import { usePrinting } from '../../kit/lists/index.ts';

/** How much of the window the bands take at most; `Bands` says so to the browser as well. */
const SHARE_OF_WINDOW = 0.72;
/** What is in sight is told in steps of this many pixels, and as many more are drawn above and below. */
const STEP_PX = 240;

interface Tall {
  /** where it begins, and how high it is, pixels */
  top: number;
  height: number;
}

const inSteps = (height: number): number => Math.ceil(height / STEP_PX) * STEP_PX;

/** Which of the bands are in sight; on paper all are. */
export function useBandsInSight<Band extends Tall>(
  scroller: RefObject<HTMLElement | null>,
  bands: readonly Band[],
): Band[] {
  // Drawn at once for as much as is shown at most, instead of a second time when its height is known.
  const [from, setFrom] = useState(0);
  const [height, setHeight] = useState(inSteps(window.innerHeight * SHARE_OF_WINDOW));
  useEffect(() => {
    const region = scroller.current;
    if (!region) return;
    const follow = () => setFrom(Math.floor(region.scrollTop / STEP_PX) * STEP_PX);
    // Told when it is laid out and as it changes: to ask for it would have the page laid out in the middle of being drawn.
    const observer = new ResizeObserver(([entry]) => {
      const tall = entry?.contentRect.height ?? 0;
      setHeight(inSteps(tall));
    });
    observer.observe(region);
    region.addEventListener('scroll', follow, { passive: true });
    return () => {
      observer.disconnect();
      region.removeEventListener('scroll', follow);
    };
  }, [scroller]);
  const until = from + height + 2 * STEP_PX;
  const inSight = bands.filter((band) => band.top + band.height > from - STEP_PX && band.top < until);
  return usePrinting() ? [...bands] : inSight;
}
