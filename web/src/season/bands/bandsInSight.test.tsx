import { act, renderHook } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useBandsInSight } from './bandsInSight.ts';

/** A hundred bands of 50 pixels, in a region that tells where it is scrolled to. */
const bands = Array.from({ length: 100 }, (_, i) => ({ top: i * 50, height: 50 }));
function scrolled() {
  const region = document.createElement('div');
  const scroller = { current: region };
  const { result } = renderHook(() => useBandsInSight(scroller, bands));
  const to = (top: number) =>
    act(() => {
      region.scrollTop = top;
      region.dispatchEvent(new Event('scroll'));
    });
  const span = () => [result.current[0]!.top, result.current.at(-1)!.top + 50] as const;
  return { to, span, result };
}

it('draws what is in sight with some to spare on both sides, wherever it is scrolled to, and not all', () => {
  const { to, span, result } = scrolled();
  const tall = Math.round(window.innerHeight * 0.72);
  for (const top of [0, 10, 239, 240, 1000, 2999, 5000 - tall]) {
    to(top);
    const [from, until] = span();
    expect(from, `${top}`).toBeLessThanOrEqual(Math.max(0, top - 200));
    expect(until, `${top}`).toBeGreaterThanOrEqual(Math.min(5000, top + tall + 200));
    expect(result.current.length).toBeLessThan(50);
  }
});
