import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';
import { type RefObject, useCallback, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useHere } from '../../garden/index.ts';
import { Head, Weather } from './BandWeather.tsx';
import {
  BandScaleProvider,
  bandScale,
  DAYS,
  HEAD,
  LANE,
  NAME_PX,
  PAD,
  USED,
  useBandScale,
  type Zoom,
} from './bandScale.ts';
import { useBandsInSight } from './bandsInSight.ts';
import { mover, useHand } from './hand.ts';
import { Ghost, SpanBar } from './SpanBar.tsx';
import { type Span, spansOf } from './spans.ts';
import { type Taking, useArrowKeys, useDrag } from './taking.ts';
import { Used } from './Used.tsx';

interface Props extends Taking {
  beds: Bed[];
  plantings: Planting[];
  year: number;
  selected: string | null;
  zoom: Zoom;
}

interface Band {
  bed: Bed;
  spans: Span[];
  /** where it begins, and how high it is, pixels */
  top: number;
  height: number;
  plantings: Planting[];
}

/** A band for each bed, one under another, each as high as it takes to show its plantings side by side. */
function bandsOf(beds: readonly Bed[], plantings: readonly Planting[]): Band[] {
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
}

/** The day at which the bands of a year begin. */
export const bandsFrom = (latitude: number, year: number): Day =>
  latitude >= 0 ? `${year}-02-01` : `${year}-08-01`;

/** One band per bed along the year, with the chance of frost behind. Plantings are moved by hand and by keyboard. */
export function Bands(props: Props) {
  const scale = useMemo(() => bandScale(props.zoom), [props.zoom]);
  return (
    <BandScaleProvider value={scale}>
      <Scrolled key={props.zoom} {...props} />
    </BandScaleProvider>
  );
}

/** Opens at today: the left third is what lies behind it. */
function useOpenAt(scroller: RefObject<HTMLDivElement | null>, left: number | null) {
  useLayoutEffect(() => {
    const region = scroller.current;
    if (region && left !== null) region.scrollLeft = left - (region.clientWidth - NAME_PX) / 3;
  }, [scroller, left]);
}

function Scrolled({ beds, plantings, year, selected, zoom: _, ...taking }: Props) {
  const { dayPx, width } = useBandScale();
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const scroller = useRef<HTMLDivElement>(null);
  const first = bandsFrom(garden.latitude, year);
  const bands = useMemo(() => bandsOf(beds, plantings), [beds, plantings]);
  const at = useCallback(
    (day: Day) => Math.max(0, Math.min(width, daysBetween(first, day) * dayPx)),
    [first, dayPx, width],
  );
  const isShown = garden.today >= first && garden.today <= addDays(first, DAYS);
  useOpenAt(scroller, isShown ? at(garden.today) : null);
  const inSight = useBandsInSight(scroller, bands);
  const total = bands.reduce((sum, { height }) => sum + height, 0);
  const hold = useHand((hand) => hand.hold);
  useEffect(() => () => hold(null), [hold]);
  const bedAt = (clientY: number): Bed | null => {
    const box = scroller.current!.getBoundingClientRect();
    const y = clientY - box.top + scroller.current!.scrollTop - HEAD;
    return bands.find(({ top, height }) => top <= y && y < top + height)?.bed ?? null;
  };
  const onTake = useDrag(beds, bedAt, dayPx, taking);
  const onKey = useArrowKeys(beds, taking);
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
      <div style={{ width: NAME_PX + width }} className="relative">
        <Head first={first} at={at} year={year} />
        <div className="relative" style={{ height: total }}>
          <Weather first={first} at={at} height={total} />
          {inSight.map((band) => (
            <BandRow
              key={band.bed.id}
              band={band}
              {...{ first, at, selected, onTake, onKey }}
              onPress={taking.onSelect}
            />
          ))}
          {isShown && (
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

interface RowProps {
  band: Band;
  first: Day;
  at(day: Day): number;
  selected: string | null;
  onTake: ReturnType<typeof useDrag>;
  onKey: ReturnType<typeof useArrowKeys>;
  onPress: Taking['onSelect'];
}

/** A bed's band: its name at the side, its plantings, and how much of its ground they take. */
function BandRow({ band, first, at, selected, onTake, onKey, onPress }: RowProps) {
  const { bed, spans, top, height, plantings } = band;
  const { width } = useBandScale();
  const press = useCallback((planting: Planting) => onPress(planting.id), [onPress]);
  return (
    <div
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
      <div className="relative" style={{ width }}>
        {spans.map((span) => (
          <SpanBar
            key={span.planting.id}
            span={span}
            at={at}
            isSelected={selected === span.planting.id}
            onTake={onTake}
            onKey={onKey}
            onPress={press}
          />
        ))}
        <Used bed={bed} plantings={plantings} first={first} top={height - USED} />
      </div>
    </div>
  );
}
