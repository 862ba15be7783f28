import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCoordinates, useHere } from '../../garden/index.ts';
import { LANE } from './bandScale.ts';
import { fixedBy, type Moving, mover, useHand } from './hand.ts';

/** A press that moves less than this is no drag, pixels. */
const STILL_PX = 4;
/** How long the arrow keys may go on before a move is saved, milliseconds. */
const PAUSE_MS = 600;

/** What comes of taking hold of a planting. */
export interface Taking {
  onSelect(id: string | null): void;
  onMove(moving: Moving): void;
  /** a planting that cannot be moved was taken hold of */
  onFixed(planting: Planting): void;
}

const startDay = (planting: Planting): Day =>
  planting.steps.find(({ kind }) => kind === 'startIndoors' || kind === 'sow' || kind === 'setOut')!.on;

/**
 * Moves a planting by hand: along the year by days, and to the bed under the pointer.
 * @param bedAt the bed whose band is at a height of the window  @param dayPx pixels of a day
 */
export function useDrag(
  beds: readonly Bed[],
  bedAt: (clientY: number) => Bed | null,
  dayPx: number,
  { onSelect, onMove, onFixed }: Taking,
): (planting: Planting, event: PointerEvent<HTMLElement>) => void {
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const catalogue = useCatalogue();
  const hold = useHand((hand) => hand.hold);
  /** Where a planting comes to that is dragged so far. */
  const follow = (planting: Planting, dx: number, to: Bed) => {
    const days = Math.round(dx / dayPx);
    const known = useHand.getState().moving;
    const isSame = known?.bedId === to.id && known.startOn === addDays(startDay(planting), days);
    if (!isSame && mover.movedBy) hold(mover.movedBy(planting, days, to, garden, catalogue));
  };
  const letGo = (planting: Planting, moved: boolean) => {
    const { moving } = useHand.getState();
    if (moved && moving) onMove(moving);
    // What the move comes to is said where the planting is chosen.
    if (!moved || moving) onSelect(planting.id);
    hold(null);
  };
  return (planting, event) => {
    if (event.button !== 0) return;
    const bar = event.currentTarget;
    const from = { x: event.clientX, y: event.clientY };
    const bed = beds.find(({ id }) => id === planting.bedId)!;
    const isFixed = !coordinates || fixedBy(planting) !== null;
    let moved = false;
    // Where the hand is when the code that computes the dates has come: from then on it follows each move.
    let at: globalThis.PointerEvent | null = null;
    const move = (next: globalThis.PointerEvent) => {
      const [dx, dy] = [next.clientX - from.x, next.clientY - from.y];
      if (!moved && Math.hypot(dx, dy) < STILL_PX) return;
      if (!moved && isFixed && coordinates) onFixed(planting);
      moved = true;
      if (isFixed) return;
      at = next;
      follow(planting, dx, Math.abs(dy) > LANE / 2 ? (bedAt(next.clientY) ?? bed) : bed);
    };
    if (!isFixed) void mover.take().then(() => at && move(at));
    const over = new AbortController();
    const end = () => {
      at = null;
      over.abort();
      letGo(planting, moved);
    };
    bar.setPointerCapture(event.pointerId);
    bar.addEventListener('pointermove', move, { signal: over.signal });
    bar.addEventListener('pointerup', end, { signal: over.signal });
    bar.addEventListener(
      'pointercancel',
      () => {
        moved = true;
        hold(null);
        end();
      },
      { signal: over.signal },
    );
  };
}

/** Moves a planting by the arrow keys: by days, by weeks with Shift, and from bed to bed; it is saved when they rest. */
export function useArrowKeys(
  beds: readonly Bed[],
  { onSelect, onMove, onFixed }: Taking,
): (planting: Planting, event: KeyboardEvent) => void {
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const catalogue = useCatalogue();
  const hold = useHand((hand) => hand.hold);
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const step = (planting: Planting, days: number, bands: number) =>
    void mover.take().then((movedBy) => {
      if (!movedBy) return;
      const known = useHand.getState().moving;
      const same = known?.planting.id === planting.id ? known : null;
      const before = same ? daysBetween(startDay(planting), same.startOn) : 0;
      const place = beds.findIndex(({ id }) => id === (same?.bedId ?? planting.bedId));
      const bed = beds[Math.max(0, Math.min(beds.length - 1, place + bands))]!;
      hold(movedBy(planting, before + days, bed, garden, catalogue));
      clearTimeout(pause.current);
      pause.current = setTimeout(() => {
        const { moving } = useHand.getState();
        if (moving) onMove(moving);
        hold(null);
      }, PAUSE_MS);
    });
  return (planting, event) => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onSelect(planting.id);
      return;
    }
    if (event.key === 'Escape') {
      clearTimeout(pause.current);
      hold(null);
      return;
    }
    const days = { ArrowLeft: -1, ArrowRight: 1 }[event.key] ?? 0;
    const bands = { ArrowUp: -1, ArrowDown: 1 }[event.key] ?? 0;
    if ((days === 0 && bands === 0) || !coordinates) return;
    event.preventDefault();
    if (fixedBy(planting)) onFixed(planting);
    else step(planting, days * (event.shiftKey ? 7 : 1), bands);
  };
}
