import { addDays, dayIn, daysBetween } from '@unity-acre/core/calendar';
import { frostDates, frostRisk } from '@unity-acre/core/place';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useTranslation } from 'react-i18next';
import { useDates } from '../kit/dates.ts';
import { useHere } from '../kit/garden.ts';
import { seasonYearOf } from '../season/year.ts';

const WIDTH = 480;
const HEIGHT = 170;
const edge = { left: 44, right: 12, top: 14, bottom: 26 };

/** The chance of frost through the year, as a curve: what a tender plant standing outdoors would face. */
export function FrostChart() {
  const { garden } = useHere();
  const { t } = useTranslation('place');
  const dates = useDates();
  const year = seasonYearOf(garden, garden.today);
  // In the south the growing season lies across the new year: draw the year around it.
  const first = garden.latitude >= 0 ? dayIn(year, '01-01') : dayIn(year, '07-01');
  const days = Array.from({ length: 365 }, (_, n) => ({
    n,
    risk: frostRisk(garden, year, addDays(first, n)),
  }));
  const x = scaleLinear([0, 364], [edge.left, WIDTH - edge.right]);
  const y = scaleLinear([0, 1], [HEIGHT - edge.bottom, edge.top]);
  const shade = area<(typeof days)[number]>(
    (d) => x(d.n),
    y(0),
    (d) => y(d.risk),
  );
  const curve = line<(typeof days)[number]>(
    (d) => x(d.n),
    (d) => y(d.risk),
  );
  const { lastFrost, firstFrost } = frostDates(garden, year);
  const months = Array.from({ length: 12 }, (_, m) => {
    const month = ((garden.latitude >= 0 ? 0 : 6) + m) % 12;
    const inYear = garden.latitude < 0 && month < 6 ? year + 1 : year;
    return dayIn(inYear, `${String(month + 1).padStart(2, '0')}-01`);
  });
  const today = daysBetween(first, garden.today);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-2 w-full max-w-2xl"
      role="img"
      aria-label={t('chart.label')}
    >
      <title>{t('chart.label')}</title>
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <line
            x1={edge.left}
            x2={WIDTH - edge.right}
            y1={y(share)}
            y2={y(share)}
            className="stroke-line"
            strokeWidth={1}
          />
          <text x={edge.left - 6} y={y(share) + 4} textAnchor="end" className="fill-ink-soft text-[11px]">
            {Math.round(share * 100)} %
          </text>
        </g>
      ))}
      <path d={shade(days) ?? ''} className="fill-rain-soft" />
      <path d={curve(days) ?? ''} className="fill-none stroke-rain" strokeWidth={2} />
      {months.map((month) => (
        <text
          key={month}
          x={x(daysBetween(first, month)) + 3}
          y={HEIGHT - 8}
          className="fill-ink-soft text-[11px]"
        >
          {dates.month(month)}
        </text>
      ))}
      {[lastFrost, firstFrost].map((day, i) => (
        <g key={day}>
          <circle cx={x(daysBetween(first, day))} cy={y(0.5)} r={4} className="fill-rain" />
          <text
            x={x(daysBetween(first, day)) + (i === 0 ? 8 : -8)}
            y={y(0.5) - 6}
            textAnchor={i === 0 ? 'start' : 'end'}
            className="fill-ink font-semibold text-[12px]"
          >
            {dates.bare(day)}
          </text>
        </g>
      ))}
      {today >= 0 && today < 365 && (
        <g>
          <line
            x1={x(today)}
            x2={x(today)}
            y1={edge.top}
            y2={HEIGHT - edge.bottom}
            className="stroke-beet"
            strokeWidth={1.5}
          />
          <text x={x(today) + 4} y={edge.top + 8} className="fill-beet text-[11px]">
            {t('chart.today')}
          </text>
        </g>
      )}
    </svg>
  );
}
