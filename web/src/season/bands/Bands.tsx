import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';
import { type PointerEvent, useCallback, useEffect, useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCoordinates, useHere } from '../../garden/index.ts';
import { Head, Weather } from './BandWeather.tsx';
import { DAY_PX, DAYS, HEAD, LANE, NAME_PX, PAD, USED, WIDTH } from './bandScale.ts';
import { useBandsInSight } from './bandsInSight.ts';
import { fixedBy, type Moving, mover, useHand } from './hand.ts';
import { Ghost, SpanBar } from './SpanBar.tsx';
import { type Span, spansOf } from './spans.ts';
import { Used } from './Used.tsx';

/** A press that moves less than this is no drag, pixels. */
const STILL_PX = 4;
/** How long the arrow keys may go on before a move is saved, milliseconds. */
const PAUSE_MS = 600;

interface Props {
  beds: Bed[];
  plantings: Planting[];
  year: number;
  selected: string | null;
  onSelect(id: string | null): void;
  onMove(moving: Moving): void;
  /** a planting that cannot be moved was taken hold of */
  onFixed(planting: Planting): void;
}

interface Band {
  bed: Bed;
  spans: Span[];
  /** where it begins, and how high it is, pixels */
  top: number;
  height: number;
  plantings: Planting[];
}

/** One band per bed along the year, with the chance of frost behind. Plantings are moved by hand and by keyboard. */
export function Bands({ beds, plantings, year, selected, onSelect, onMove, onFixed }: Props) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const catalogue = useCatalogue();
  const scroller = useRef<HTMLDivElement>(null);
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const first = garden.latitude >= 0 ? `${year}-02-01` : `${year}-08-01`;
  const bands = useMemo(() => {
    const byBed = new Map(beds.map(({ id }): [string, Planting[]] => [id, []]));
    for (const planting of plantings) byBed.get(planting.bedId)?.push(planting);
    let under = 0;
    return beds.map((bed): Band => {
      const here = byBed.get(bed.id)!;
      const spans = spansOf(here);
      const lanes = Math.max(1, ...spans.map((span) => span.lane + 1));
      const height = lanes * LANE + 2 * PAD + USED;
      const top = under;
      under += height;
      return { bed, spans, top, height, plantings: here };
    });
  }, [beds, plantings]);
  const at = useCallback(
    (day: Day) => Math.max(0, Math.min(WIDTH, daysBetween(first, day) * DAY_PX)),
    [first],
  );
  const inSight = useBandsInSight(scroller, bands);
  const total = bands.reduce((sum, { height }) => sum + height, 0);
  const hold = useHand((hand) => hand.hold);
  useEffect(() => () => hold(null), [hold]);

  const bedAt = (clientY: number): Bed | null => {
    const box = scroller.current!.getBoundingClientRect();
    const y = clientY - box.top + scroller.current!.scrollTop - HEAD;
    return bands.find(({ top, height }) => top <= y && y < top + height)?.bed ?? null;
  };

  const take = (planting: Planting, event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    const bar = event.currentTarget;
    const from = { x: event.clientX, y: event.clientY };
    let moved = false;
    const bed = beds.find(({ id }) => id === planting.bedId)!;
    const isFixed = !coordinates || fixedBy(planting) !== null;
    // Where the hand is when the code that computes the dates has come: from then on it follows each move.
    let at: globalThis.PointerEvent | null = null;
    if (!isFixed) void mover.take().then(() => at && move(at));
    const move = (next: globalThis.PointerEvent) => {
      const [dx, dy] = [next.clientX - from.x, next.clientY - from.y];
      if (!moved && Math.hypot(dx, dy) < STILL_PX) return;
      if (!moved && isFixed && coordinates) onFixed(planting);
      moved = true;
      if (isFixed) return;
      at = next;
      const days = Math.round(dx / DAY_PX);
      const to = Math.abs(dy) > LANE / 2 ? (bedAt(next.clientY) ?? bed) : bed;
      const known = useHand.getState().moving;
      const isSame = known?.bedId === to.id && known.startOn === addDays(startDay(planting), days);
      if (!isSame && mover.movedBy) hold(mover.movedBy(planting, days, to, garden, catalogue));
    };
    const end = () => {
      at = null;
      bar.removeEventListener('pointermove', move);
      bar.removeEventListener('pointerup', end);
      bar.removeEventListener('pointercancel', cancel);
      const moving = useHand.getState().moving;
      if (!moved) onSelect(planting.id);
      else if (moving) {
        onMove(moving);
        // What the move comes to is said where the planting is chosen.
        onSelect(planting.id);
      }
      hold(null);
    };
    const cancel = () => {
      moved = true;
      hold(null);
      end();
    };
    bar.setPointerCapture(event.pointerId);
    bar.addEventListener('pointermove', move);
    bar.addEventListener('pointerup', end);
    bar.addEventListener('pointercancel', cancel);
  };

  const press = useCallback((planting: Planting) => onSelect(planting.id), [onSelect]);
  const key = (planting: Planting, event: React.KeyboardEvent) => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onSelect(planting.id);
      return;
    }
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const to = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (event.key === 'Escape') {
      clearTimeout(pause.current);
      hold(null);
      return;
    }
    if ((by === undefined && to === undefined) || !coordinates) return;
    event.preventDefault();
    if (fixedBy(planting)) return onFixed(planting);
    void mover.take().then((movedBy) => {
      if (!movedBy) return;
      const known = useHand.getState().moving;
      const same = known?.planting.id === planting.id ? known : null;
      const days =
        (same ? daysBetween(startDay(planting), same.startOn) : 0) + (by ?? 0) * (event.shiftKey ? 7 : 1);
      const place = beds.findIndex(({ id }) => id === (same?.bedId ?? planting.bedId));
      const bed = beds[Math.max(0, Math.min(beds.length - 1, place + (to ?? 0)))]!;
      hold(movedBy(planting, days, bed, garden, catalogue));
      clearTimeout(pause.current);
      pause.current = setTimeout(() => {
        const moving = useHand.getState().moving;
        if (moving) onMove(moving);
        hold(null);
      }, PAUSE_MS);
    });
  };

  return (
    <section
      ref={scroller}
      aria-label={t('bands')}
      onPointerEnter={mover.fetch}
      onFocus={mover.fetch}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      className="max-h-[72vh] overflow-auto border border-line-strong bg-paper print:max-h-none print:overflow-visible print:border-0 print:[zoom:0.54]"
    >
      <div style={{ width: NAME_PX + WIDTH }} className="relative">
        <Head first={first} at={at} year={year} />
        <div className="relative" style={{ height: total }}>
          <Weather first={first} at={at} height={total} />
          {inSight.map(({ bed, spans, top, height, plantings }) => (
            <div
              key={bed.id}
              className="absolute inset-x-0 flex border-line border-b"
              style={{ height, transform: `translateY(${top}px)` }}
            >
              <Link
                to={`/ground/${bed.id}`}
                className="sticky left-0 z-10 truncate bg-paper px-2 py-1.5 font-semibold text-sm hover:underline"
                style={{ width: NAME_PX }}
              >
                {bed.name}
              </Link>
              <div className="relative" style={{ width: WIDTH }}>
                {spans.map((span) => (
                  <SpanBar
                    key={span.planting.id}
                    span={span}
                    at={at}
                    isSelected={selected === span.planting.id}
                    onTake={take}
                    onKey={key}
                    onPress={press}
                  />
                ))}
                <Used bed={bed} plantings={plantings} first={first} top={height - USED} />
              </div>
            </div>
          ))}
          {garden.today >= first && garden.today <= addDays(first, DAYS) && (
            <div
              className="pointer-events-none absolute inset-y-0 border-beet border-l-2 border-dashed"
              style={{ left: NAME_PX + at(garden.today) }}
            />
          )}
          <Ghost at={at} topOf={(bedId) => bands.find(({ bed }) => bed.id === bedId)?.top} />
        </div>
      </div>
    </section>
  );
}

const startDay = (planting: Planting): Day =>
  planting.steps.find(({ kind }) => kind === 'startIndoors' || kind === 'sow' || kind === 'setOut')!.on;
