import { freezeRisk, YEAR } from '@unity-acre/core/place';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere, useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useCropNames } from '../names.ts';
import { type CropWay, within } from './cropYear.ts';

const WIDTH = 900;
const LABEL = 190;
const TOP = 92;
const ROW = 46;
const x = scaleLinear([0, YEAR], [LABEL, WIDTH - 8]);

/** Every way of growing a crop along the year of this garden, with frost and nights above. */
export function CropYearChart({ cropId, ways }: { cropId: string; ways: CropWay[] }) {
  const { t } = useTranslation(['crops', 'season']);
  const { garden } = useHere();
  const { temperature } = useMeasure();
  const dates = useDates();
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  const places = Array.from({ length: YEAR }, (_, place) => place);
  const months = places.filter((place) => almanac.day(year, place).slice(8) === '01');
  const height = TOP + ways.length * ROW + 8;
  const frost = area<number>(
    (p) => x(p),
    36,
    (p) => 36 - freezeRisk(almanac, almanac.day(year, p)) * 28,
  );
  const warmth = scaleLinear([Math.min(0, ...almanac.low), Math.max(12, ...almanac.low)], [78, 44]);
  const nights = line<number>(
    (p) => x(p),
    (p) => warmth(almanac.low[p]!),
  );
  const [today] = within(almanac, year, garden.today, garden.today);
  const label = t('crops:chart');
  // On a phone the year is wider than the screen: what is near is seen first.
  const scroller = useRef<HTMLElement>(null);
  const next = ways.map((way) => within(almanac, year, way.out.on, way.out.on)[0]);
  const near = Math.min(...next, YEAR);
  useEffect(() => {
    const box = scroller.current;
    if (box) box.scrollLeft = (x(near) / WIDTH) * box.scrollWidth - box.clientWidth / 2;
  }, [near]);
  return (
    <section
      ref={scroller}
      aria-label={label}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      className="overflow-x-auto"
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="mt-2 w-full min-w-[40rem]"
        role="img"
        aria-label={label}
      >
        <title>{label}</title>
        <text x={0} y={32} className="fill-ink-soft text-[12px]">
          {t('season:chart.frost')}
        </text>
        <text x={LABEL - 6} y={16} textAnchor="end" className="fill-ink-soft text-[11px]">
          100%
        </text>
        <path d={frost(places) ?? ''} className="fill-rain-soft stroke-rain" />
        <text x={0} y={74} className="fill-ink-soft text-[12px]">
          {t('season:chart.lows')}
        </text>
        <text x={LABEL - 6} y={warmth(10) + 4} textAnchor="end" className="fill-ink-soft text-[11px]">
          {temperature(10)}
        </text>
        <line
          x1={LABEL}
          x2={WIDTH - 8}
          y1={warmth(10)}
          y2={warmth(10)}
          className="stroke-line-strong"
          strokeDasharray="2 3"
        />
        <path d={nights(places) ?? ''} fill="none" className="stroke-ink" strokeWidth={1.5} />
        {months.map((place) => (
          <g key={place}>
            <line x1={x(place)} x2={x(place)} y1={36} y2={height} className="stroke-line" />
            <text x={x(place) + 3} y={TOP - 5} className="fill-ink-soft text-[11.5px]">
              {dates.month(almanac.day(year, place))}
            </text>
          </g>
        ))}
        <line
          x1={x(today)}
          x2={x(today)}
          y1={8}
          y2={height}
          strokeWidth={1.5}
          strokeDasharray="4 3"
          className="stroke-beet"
        />
        {ways.map((way, i) => (
          <Way
            key={`${way.method} ${way.cropping}`}
            cropId={cropId}
            way={way}
            y={TOP + i * ROW}
            year={year}
          />
        ))}
      </svg>
    </section>
  );
}

function Way({ cropId, way, y, year }: { cropId: string; way: CropWay; y: number; year: number }) {
  const { t } = useTranslation('season');
  const dates = useDates();
  const names = useCropNames();
  const almanac = useAlmanac();
  const { method, cropping, steps, start, out } = way;
  const pick = steps.find(({ kind }) => kind === 'firstPick');
  const end = steps.find(({ kind }) => kind === 'lastPick') ?? steps.at(-1)!;
  const bar = (from: string, to: string, look: string, top: number, height: number) => {
    const [a, b] = within(almanac, year, from, to);
    if (a >= YEAR || b <= 0) return null;
    // A window of one day can still be seen.
    const width = Math.max(3, x(b) - x(a));
    return <rect x={x(a)} y={y + top} width={width} height={height} className={look} />;
  };
  const [a] = within(almanac, year, start.window.earliest, start.window.latest);
  const said = [
    `${t(`step.${start.kind}`)} ${[...new Set([start.window.earliest, start.window.latest])].map(dates.bare).join(' – ')}`,
    ...(out === start ? [] : [`${t(`step.${out.kind}`)} ${dates.bare(out.on)}`]),
    ...(pick
      ? [
          `${t('step.firstPick')} ${dates.bare(pick.on)}${
            almanac.seasonYear(pick.on) > year ? ` ${pick.on.slice(0, 4)}` : ''
          }`,
        ]
      : []),
  ].join(' · ');
  return (
    <g>
      <text x={0} y={y + 20} className="fill-ink font-semibold text-[13px]">
        {names.method(cropId, method)}
      </text>
      <text x={0} y={y + 36} className="fill-ink-soft text-[12px]">
        {t(`cropping.${cropping}`)}
      </text>
      {start !== out && bar(start.on, out.on, 'fill-straw', 10, 12)}
      {bar(out.on, (pick ?? end).on, 'fill-leaf-soft', 10, 12)}
      {pick && bar(pick.on, end.on, 'fill-leaf-mid', 10, 12)}
      {bar(start.window.earliest, start.window.latest, 'fill-blossom stroke-ink', 6, 5)}
      <text
        x={Math.min(x(a), 620)}
        y={y + 36}
        className="fill-ink text-[12px]"
        paintOrder="stroke"
        strokeWidth={6}
        strokeLinejoin="round"
        stroke="var(--frost)"
      >
        {said}
      </text>
    </g>
  );
}
