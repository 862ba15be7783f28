import { type Day, daysBetween } from '@unity-acre/core/calendar';
import { YEAR } from '@unity-acre/core/place';
import { type ScaleLinear, scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useAlmanac, useHere } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';

const CHART_WIDTH = 560;
const edge = { left: 46, right: 14, top: 16, bottom: 26 };

/** The frame that all charts of the year share: months along, a scale up, today marked. */
export function YearChart({
  label,
  height,
  domain,
  ticks,
  showTick,
  children,
}: {
  label: string;
  height: number;
  domain: [number, number];
  ticks: number[];
  showTick(value: number): string;
  children(
    x: ScaleLinear<number, number>,
    y: ScaleLinear<number, number>,
    dayAt: (place: number) => Day,
  ): ReactNode;
}) {
  const { garden } = useHere();
  const { t } = useTranslation('place');
  const almanac = useAlmanac();
  const dates = useDates();
  const year = garden.seasonYear;
  const dayAt = (place: number) => almanac.day(year, place);
  const x = scaleLinear([0, YEAR], [edge.left, CHART_WIDTH - edge.right]);
  const y = scaleLinear(domain, [height - edge.bottom, edge.top]);
  const months = Array.from({ length: YEAR }, (_, place) => place).filter(
    (place) => dayAt(place).slice(8) === '01',
  );
  const today = daysBetween(dayAt(0), garden.today);
  return (
    <svg
      viewBox={`0 0 ${CHART_WIDTH} ${height}`}
      className="mt-2 w-full max-w-3xl"
      role="img"
      aria-label={label}
    >
      <title>{label}</title>
      {ticks.map((tick) => (
        <g key={tick}>
          <line
            x1={edge.left}
            x2={CHART_WIDTH - edge.right}
            y1={y(tick)}
            y2={y(tick)}
            className="stroke-line"
          />
          <text x={edge.left - 6} y={y(tick) + 4} textAnchor="end" className="fill-ink-soft text-[11px]">
            {showTick(tick)}
          </text>
        </g>
      ))}
      {children(x, y, dayAt)}
      {months.map((place) => (
        <text key={place} x={x(place) + 3} y={height - 8} className="fill-ink-soft text-[11px]">
          {dates.month(dayAt(place))}
        </text>
      ))}
      {today >= 0 && today <= YEAR && (
        <g>
          <line
            x1={x(today)}
            x2={x(today)}
            y1={edge.top}
            y2={height - edge.bottom}
            strokeWidth={1.5}
            strokeDasharray="4 3"
            className="stroke-beet"
          />
          <text x={x(today) + 4} y={edge.top + 4} className="fill-beet text-[11px]">
            {t('chart.today')}
          </text>
        </g>
      )}
    </svg>
  );
}
