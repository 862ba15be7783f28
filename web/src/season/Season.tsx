import { useVirtualizer } from '@tanstack/react-virtual';
import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day, daysBetween } from '@unity-acre/core/calendar';
import { freezeRisk, placeForEarlier, placeForLater } from '@unity-acre/core/place';
import { group } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { useMemo, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { useCatalogue } from '../crops/catalogue.ts';
import { useCropNames } from '../crops/names.ts';
import { useDates } from '../kit/dates.ts';
import { FamilyGlyph } from '../kit/FamilyMark.tsx';
import { useHere, useList, useSeasonList } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { Bare, Loaded } from '../kit/states.tsx';
import { useAlmanac } from '../place/almanac.ts';
import { SeasonPaths } from './SeasonPaths.tsx';
import { type Span, spansOf } from './spans.ts';
import { monthsBetween, seasonYearOf } from './year.ts';

const NAME_PX = 108;
const WIDTH = 1180;
const LANE = 26;
const PAD = 5;
const HEAD = 46;
/** Nights that chill-tender crops wait for, °C. */
const STEADY_C = 10;

/** One band per bed along the year, with the chance of frost behind. */
export default function Season() {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const [search, setSearch] = useSearchParams();
  const thisYear = seasonYearOf(garden, garden.today);
  const year = Number(search.get('year')) || thisYear;
  const beds = useList('beds');
  const plantings = useSeasonList('plantings', year);
  return (
    <div className="flex flex-col gap-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1>{t('title', { year })}</h1>
        <label className="flex items-center gap-2">
          <span className="font-semibold text-sm">{t('year')}</span>
          <select
            className="input w-28"
            value={year}
            onChange={(event) => setSearch({ year: event.target.value })}
          >
            {[-3, -2, -1, 0, 1].map((n) => (
              <option key={n} value={thisYear + n}>
                {thisYear + n}
              </option>
            ))}
          </select>
        </label>
      </div>
      <SeasonPaths />
      <SeasonKey />
      <Loaded of={beds}>
        {(bedList) => (
          <Loaded of={plantings}>
            {(list) =>
              bedList.length === 0 ? (
                <Bare title={t('noBeds')}>
                  <Link to="/ground" className="underline underline-offset-4">
                    {t('toGround')}
                  </Link>
                </Bare>
              ) : (
                <>
                  {list.length === 0 && (
                    <Bare title={t('noPlantings', { year })}>{t('noPlantingsHint')}</Bare>
                  )}
                  <Bands beds={bedList} plantings={list} year={year} />
                </>
              )
            }
          </Loaded>
        )}
      </Loaded>
    </div>
  );
}

function SeasonKey() {
  const { t } = useTranslation('season');
  const { temperature } = useMeasure();
  const swatch = 'inline-block h-3.5 w-7 border border-ink/50';
  return (
    <ul className="flex flex-wrap gap-x-6 gap-y-1 text-sm">
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-straw`} />
        {t('key.indoors')}
      </li>
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-leaf-soft`} />
        {t('key.growing')}
      </li>
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-leaf-mid`} />
        {t('key.picking')}
      </li>
      <li className="flex items-center gap-2">
        <span className={`${swatch} bg-rain-soft`} />
        {t('key.frost')}
      </li>
      <li className="flex items-center gap-2">
        <span className="inline-block h-1.5 w-7 bg-straw-deep" />
        {t('key.nights', { night: temperature(STEADY_C) })}
      </li>
      <li className="flex items-center gap-2">
        <span className="inline-block h-4 border-beet border-l-2 border-dashed" />
        {t('key.today')}
      </li>
    </ul>
  );
}

function Bands({ beds, plantings, year }: { beds: Bed[]; plantings: Planting[]; year: number }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const almanac = useAlmanac();
  const dates = useDates();
  const scroller = useRef<HTMLDivElement>(null);
  const bands = useMemo(() => {
    const byBed = group(plantings, (planting) => planting.bedId);
    return beds.map((bed) => {
      const spans = spansOf(byBed.get(bed.id) ?? []);
      const lanes = Math.max(1, ...spans.map((span) => span.lane + 1));
      return { bed, spans, height: lanes * LANE + 2 * PAD };
    });
  }, [beds, plantings]);
  const first = garden.latitude >= 0 ? `${year}-02-01` : `${year}-08-01`;
  const days = 318;
  const x = scaleLinear([0, days], [0, WIDTH]);
  const at = (day: Day) => Math.max(0, Math.min(WIDTH, x(daysBetween(first, day))));
  const virtual = useVirtualizer({
    count: bands.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => bands[i]!.height,
    overscan: 6,
  });
  const frost = useMemo(() => {
    const weeks = Math.ceil(days / 4);
    return Array.from({ length: weeks }, (_, n) => ({
      n: n * 4,
      risk: freezeRisk(almanac, addDays(first, n * 4 + 2)),
    }));
  }, [almanac, first]);
  const from = placeForEarlier(almanac.nightsFrom(STEADY_C), 0.5);
  const until = placeForLater(almanac.nightsUntil(STEADY_C), 0.5);
  const steady =
    from !== null && until !== null
      ? { from: almanac.day(year, from), until: almanac.day(year, until) }
      : null;
  return (
    <section
      ref={scroller}
      aria-label={t('bands')}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      className="max-h-[72vh] overflow-auto border border-line-strong bg-paper"
    >
      <div style={{ width: NAME_PX + WIDTH }} className="relative">
        <div className="sticky top-0 z-20 flex border-line-strong border-b bg-paper" style={{ height: HEAD }}>
          <div className="sticky left-0 z-10 bg-paper" style={{ width: NAME_PX }} />
          <svg width={WIDTH} height={HEAD} aria-hidden>
            {frost.map(({ n, risk }) => (
              <rect
                key={n}
                x={x(n)}
                width={x(4) + 0.5}
                y={HEAD - risk * 20}
                height={risk * 20}
                className="fill-rain/45"
              />
            ))}
            {steady && (
              <rect
                x={at(steady.from)}
                width={Math.max(0, at(steady.until) - at(steady.from))}
                y={HEAD - 5}
                height={5}
                className="fill-straw-deep"
              />
            )}
            {monthsBetween(first, addDays(first, days)).map((month) => (
              <text key={month} x={at(month) + 5} y={17} className="fill-ink font-semibold text-[13px]">
                {dates.month(month)}
              </text>
            ))}
          </svg>
        </div>
        <div className="relative" style={{ height: virtual.getTotalSize() }}>
          <svg
            width={WIDTH}
            height={virtual.getTotalSize()}
            className="absolute top-0"
            style={{ left: NAME_PX }}
            aria-hidden
            preserveAspectRatio="none"
          >
            {frost
              .filter(({ risk }) => risk > 0.02)
              .map(({ n, risk }) => (
                <rect
                  key={n}
                  x={x(n)}
                  width={x(4) + 0.5}
                  y={0}
                  height="100%"
                  className="fill-rain-soft"
                  opacity={risk * 0.75}
                />
              ))}
            {monthsBetween(first, addDays(first, days)).map((month) => (
              <line key={month} x1={at(month)} x2={at(month)} y1={0} y2="100%" className="stroke-line" />
            ))}
          </svg>
          {virtual.getVirtualItems().map((item) => {
            const { bed, spans, height } = bands[item.index]!;
            return (
              <div
                key={bed.id}
                className="absolute inset-x-0 flex border-line border-b"
                style={{ height, transform: `translateY(${item.start}px)` }}
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
                    <SpanBar key={span.planting.id} span={span} at={at} />
                  ))}
                </div>
              </div>
            );
          })}
          {garden.today >= first && garden.today <= addDays(first, days) && (
            <div
              className="pointer-events-none absolute inset-y-0 border-beet border-l-2 border-dashed"
              style={{ left: NAME_PX + at(garden.today) }}
            />
          )}
        </div>
      </div>
    </section>
  );
}

function SpanBar({ span, at }: { span: Span; at: (day: Day) => number }) {
  const { t } = useTranslation('season');
  const names = useCropNames();
  const dates = useDates();
  const { planting, indoors, inGround, firstPick, lastPick, lane } = span;
  const crop = useCatalogue().crop(planting.cropId);
  const from = at(indoors ?? inGround);
  const width = at(lastPick) - from;
  const label = t('span', {
    crop: names.crop(planting.cropId),
    out: dates.bare(inGround),
    pick: dates.bare(firstPick),
    last: dates.bare(lastPick),
  });
  const part = (a: Day, b: Day, look: string) => (
    <span
      className={`absolute inset-y-0 ${look}`}
      style={{ left: at(a) - from, width: Math.max(0, at(b) - at(a)) }}
    />
  );
  return (
    <Link
      to={`/ground/${planting.bedId}`}
      title={label}
      aria-label={label}
      className="absolute block overflow-hidden rounded-xs border border-ink/60 hover:z-10 hover:border-2 hover:border-ink"
      style={{ left: from, width: Math.max(14, width), top: PAD + lane * LANE, height: LANE - 4 }}
    >
      {indoors && part(indoors, inGround, 'bg-straw')}
      {part(inGround, firstPick, 'bg-leaf-soft')}
      {part(firstPick, lastPick, 'bg-leaf-mid')}
      <span className="absolute inset-y-0 left-1 flex items-center gap-1 whitespace-nowrap text-[13px] text-ink">
        {crop && (
          <svg
            viewBox="0 0 16 16"
            width="17"
            height="17"
            aria-hidden
            className="shrink-0 rounded-xs bg-mark-ground"
          >
            <FamilyGlyph family={crop.family} />
          </svg>
        )}
        {names.crop(planting.cropId)}
      </span>
    </Link>
  );
}
